import { type Finish, type Look, PATTERN_NAMES, PATTERNS } from '@parlor/core/cover';
import { Plus, Type } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useEdit, useScale, useSet } from '../../state/index.ts';
import { Button, cx, LookSwatch, Sheet } from '../../ui/index.ts';
import { newFinish, patternArt, signArt } from './dressing.ts';
import { lookOfArt } from './looks.ts';
import { OwnPicture } from './OwnPicture.tsx';

type SwatchProps = {
  readonly label: string;
  readonly look: Look | null;
  readonly pressed: boolean;
  readonly onPress: () => void;
};

/** A snippet at true size, pinned to the page; the one in hand is lifted. */
const Swatch = ({ label, look, pressed, onPress }: SwatchProps) => (
  <button
    type="button"
    aria-pressed={pressed}
    onClick={onPress}
    data-swatch={label}
    className={cx(
      'self-start p-1.5 rounded-slip border-2 text-left w-[106px] transition-transform duration-quick',
      pressed ? 'border-rose bg-leaf shadow-slip -translate-y-0.5' : 'border-transparent hover:border-tab hover:bg-leaf',
    )}
  >
    {look ? (
      <LookSwatch label={label} look={look} width={23.6} height={16} whole className="block rounded-nick border border-tab" />
    ) : (
      <span className="block rounded-nick border-2 border-dashed border-tab" style={{ width: '23.6mm', height: '16mm' }} />
    )}
    <span className="block text-small leading-tight mt-1 line-clamp-2" aria-hidden={look !== null}>
      {label}
    </span>
  </button>
);

const KINDS = [
  { kind: 'wall', label: 'for walls' },
  { kind: 'floor', label: 'for floors' },
  { kind: 'wood', label: 'wood' },
  { kind: 'stone', label: 'stone and the like' },
  { kind: 'paper', label: 'wallpapers and cloths' },
] as const;

/** Everything a swatch can be begun from, drawn at the set's scale. */
const NewFinish = ({
  open,
  onOpenChange,
  onTake,
}: {
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly onTake: (finish: Finish) => void;
}) => {
  const { palette } = useSet();
  const scale = useScale();
  const take = (art: Finish['art']) => {
    onTake(newFinish(art, palette));
    onOpenChange(false);
  };
  if (!scale) return null;
  return (
    <Sheet title="What shall it look like?" open={open} onOpenChange={onOpenChange} wide>
      <p className="text-graphite -mt-3 mb-4">at true size where a swatch holds as much; larger patterns are drawn smaller</p>
      <section className="mb-5">
        <h3 className="text-small text-graphite mb-1">one colour, of the palette</h3>
        <div className="flex flex-wrap gap-1">
          {palette.map(({ id, name }) => (
            <Swatch
              key={id}
              label={name}
              pressed={false}
              look={lookOfArt({ kind: 'plain', ink: id }, palette, scale)}
              onPress={() => take({ kind: 'plain', ink: id })}
            />
          ))}
        </div>
      </section>
      <section className="mb-5">
        <h3 className="text-small text-graphite mb-1.5">your own</h3>
        <div className="flex flex-wrap gap-3 items-start">
          <OwnPicture words="a picture of yours" onTake={take} />
          <Button onClick={() => take(signArt(palette))}>
            <Type size={18} /> a sign, label or poster
          </Button>
        </div>
        <p className="text-small text-graphite mt-1.5 max-w-xl">
          JPEG, PNG, WebP or SVG, up to 25 MB. Pictures that you found belong to somebody: mind the rights, above all when you sell.
        </p>
      </section>
      {KINDS.map(({ kind, label }) => (
        <section key={kind} className="mb-5">
          <h3 className="text-small text-graphite mb-1">{label}</h3>
          <div className="flex flex-wrap gap-1">
            {PATTERN_NAMES.filter((name) => PATTERNS[name].kind === kind).map((name) => (
              <Swatch
                key={name}
                label={PATTERNS[name].label}
                pressed={false}
                look={lookOfArt(patternArt(name), palette, scale)}
                onPress={() => take(patternArt(name))}
              />
            ))}
          </div>
        </section>
      ))}
    </Sheet>
  );
};

type Props = { readonly hand: string | null; readonly onHand: (finish: string | null) => void };

/** Nothing in hand, the bare board, or a finish by its id. */
export const BARE = 'bare';

/** The swatch tray: what lies in it, and which is in the hand. */
export const Tray = ({ hand, onHand }: Props) => {
  const set = useSet();
  const { finishes, palette } = set;
  const scale = useScale();
  const edit = useEdit();
  const [open, setOpen] = useState(false);
  const looks = useMemo(
    () => new Map(scale ? finishes.map((finish) => [finish.id, lookOfArt(finish.art, palette, scale)]) : []),
    [finishes, palette, scale],
  );
  const toggle = (id: string) => onHand(hand === id ? null : id);
  return (
    <section aria-label="The swatch tray">
      <div className="flex flex-wrap gap-1 items-start -ml-1.5">
        {finishes.map(({ id, name }) => (
          <Swatch key={id} label={name} look={looks.get(id) ?? null} pressed={hand === id} onPress={() => toggle(id)} />
        ))}
        {finishes.length > 0 && <Swatch label="bare board" look={null} pressed={hand === BARE} onPress={() => toggle(BARE)} />}
        <Button className="ml-1.5 mt-1.5" onClick={() => setOpen(true)} aria-haspopup="dialog">
          <Plus size={18} /> {finishes.length === 0 ? 'a first swatch' : 'swatch'}
        </Button>
      </div>
      {open && (
        <NewFinish
          open={open}
          onOpenChange={setOpen}
          onTake={(finish) => {
            edit(`${finish.name} into the tray`, { kind: 'change-set', change: { finishes: [...finishes, finish] } });
            onHand(finish.id);
          }}
        />
      )}
    </section>
  );
};
