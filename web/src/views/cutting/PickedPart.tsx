import type { CutItem, LotPlacement, Sheet } from '@parlor/core/cut';
import { keepApart, keepTogether, letGo, pinPart, placeNear, rulesOf, type SetDocument } from '@parlor/core/set';
import { orientedSize } from '@parlor/core/shape';
import { FlipHorizontal2, Pin, PinOff, RotateCcw, Unlink2, X } from 'lucide-react';
import { useEdit, useSet } from '../../state/index.ts';
import { Button, Picker } from '../../ui/index.ts';
import type { SheetPart } from './onSheet.ts';
import type { Parts } from './SheetTable.tsx';

type Props = {
  readonly board: SetDocument['boards'][number];
  readonly part: SheetPart;
  readonly parts: Parts;
  readonly id: string;
  readonly sheets: readonly Sheet[];
  readonly items: ReadonlyMap<string, CutItem>;
  readonly onClose: () => void;
};

/** What can be done with the part that was picked: kept where it lies, turned, laid on another sheet, let go. */
export const PickedPart = ({ board, part, parts, id, sheets, items, onClose }: Props) => {
  const document = useSet();
  const edit = useEdit();
  const at = sheets.findIndex(({ placements }) => placements.some((each) => each.id === id));
  const sheet = sheets[at];
  const placement = sheet?.placements.find((each) => each.id === id);
  const item = items.get(id);
  if (!sheet || !placement || !item) return null;
  const group = document.cutting.together.find((ids) => ids.includes(id));
  const apart = group?.some((other) => items.has(other) && !sheet.placements.some((each) => each.id === other));
  const pinned = sheet.pinned?.parts.includes(id) === true;
  const name = `${part.tag} ${part.name}`;
  const lay = (words: string, on: Sheet, to: LotPlacement | undefined) =>
    to &&
    edit(
      words,
      pinPart(document, board, on, to, () => crypto.randomUUID()),
    );
  const near = (on: Sheet, to: LotPlacement) => placeNear(on, items, to, rulesOf(document));
  const { width, height } = orientedSize(item, placement);
  const turned: LotPlacement = {
    ...placement,
    turn: ((placement.turn + (item.lies === 'either' ? 1 : 2)) % 4) as LotPlacement['turn'],
    x: Math.round(placement.x + (item.lies === 'either' ? (width - height) / 2 : 0)),
    y: Math.round(placement.y + (item.lies === 'either' ? (height - width) / 2 : 0)),
  };
  const flipped: LotPlacement = { ...placement, mirrored: !placement.mirrored };
  return (
    <div
      role="group"
      aria-label={`${name}: where it lies`}
      className="sticky bottom-2 z-10 flex flex-wrap items-end gap-2 mt-2 p-3 bg-oat border border-tab rounded-soft shadow-lg"
    >
      <p className="font-hand text-pencil w-full flex justify-between items-center">
        {name}, on sheet {at + 1}
        <Button look="quiet" className="px-2.5!" onClick={onClose} aria-label={`Leave ${name} be`}>
          <X size={18} />
        </Button>
      </p>
      {pinned ? (
        <Button onClick={() => edit(`${name} let go`, letGo(document, id))}>
          <PinOff size={16} /> let it go
        </Button>
      ) : (
        <Button
          disabled={!near(sheet, placement)}
          title={sheet.kind.outline ? 'Nothing is kept on an offcut of this shape' : undefined}
          onClick={() => lay(`${name} kept where it lies`, sheet, near(sheet, placement))}
        >
          <Pin size={16} /> keep it here
        </Button>
      )}
      <Button look="quiet" disabled={!near(sheet, turned)} onClick={() => lay(`${name} turned`, sheet, near(sheet, turned))}>
        <RotateCcw size={16} /> turn it
      </Button>
      {item.outline && item.flips && (
        <Button look="quiet" onClick={() => lay(`${name} turned over`, sheet, near(sheet, flipped))}>
          <FlipHorizontal2 size={16} /> turn it over
        </Button>
      )}
      {sheets.length > 1 && (
        <div className="w-56">
          <Picker
            label="lay it on"
            value={String(at)}
            options={sheets.flatMap((each, index) => {
              const fits = index === at || near(each, { ...placement, x: 0, y: 0 });
              return fits ? [{ value: String(index), label: `sheet ${index + 1}, ${each.kind.name}` }] : [];
            })}
            onChange={(to) => {
              const on = sheets[Number(to)];
              if (on && Number(to) !== at) lay(`${name} laid on sheet ${Number(to) + 1}`, on, near(on, { ...placement, x: 0, y: 0 }));
            }}
          />
        </div>
      )}
      {group ? (
        <p className="text-note w-full flex flex-wrap items-center gap-x-3">
          from one sheet with{' '}
          {group
            .filter((other) => other !== id)
            .map((other) => parts.get(other)?.tag ?? 'a part that is gone')
            .join(', ')}
          {apart && <span className="font-hand text-rose">no sheet takes them all</span>}
          <Button look="quiet" onClick={() => edit(`${name} from any sheet`, keepApart(document, id))}>
            <Unlink2 size={16} /> from any sheet
          </Button>
        </p>
      ) : (
        <div className="w-56">
          <Picker
            label="cut it from one sheet with"
            value=""
            options={[
              { value: '', label: 'nobody in particular' },
              ...[...items.keys()].flatMap((other) => {
                const each = parts.get(other);
                return other !== id && each ? [{ value: other, label: `${each.tag} ${each.name}` }] : [];
              }),
            ]}
            onChange={(other) => other !== '' && edit(`${name} kept with ${parts.get(other)?.tag}`, keepTogether(document, id, other))}
          />
        </div>
      )}
    </div>
  );
};
