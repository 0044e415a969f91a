import { type DerivedPiece, describeFinding, type Piece, setAside, takeUp, whyAside } from '@parlor/core/set';
import { useEdit, useUnits } from '../state/index.ts';
import { Button } from './Button.tsx';
import { keyed, notesOf } from './noted.ts';
import { TextField } from './TextField.tsx';

/** What was set aside for a piece, each with why. */
export const SetAside = ({ piece, own }: { readonly piece: Piece; readonly own: DerivedPiece }) => {
  const units = useUnits();
  const edit = useEdit();
  return (
    <li>
      <details data-testid="set-aside">
        <summary className="min-h-touch flex items-center text-small text-graphite underline underline-offset-4 decoration-dotted">
          {own.aside.length === 1 ? 'one note set aside' : `${own.aside.length} notes set aside`}
        </summary>
        <ul className="space-y-3 border-l-3 border-tab pl-3">
          {keyed(notesOf(own.aside)).map(([key, { finding }]) => (
            <li key={key} className="text-small text-graphite">
              <p>
                <strong>{describeFinding(finding, units).title}.</strong> {describeFinding(finding, units).reason}
              </p>
              <TextField
                label="Why not for this one"
                value={whyAside(piece, finding)}
                most={200}
                onChange={(next) => edit(`why a note of ${piece.name} is set aside`, setAside(piece, finding, next))}
              />
              <Button look="quiet" className="px-0!" onClick={() => edit(`a note of ${piece.name} taken up again`, takeUp(piece, finding))}>
                let it count again
              </Button>
            </li>
          ))}
        </ul>
      </details>
    </li>
  );
};
