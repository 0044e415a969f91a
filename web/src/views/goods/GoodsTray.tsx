import { fromPreset, type Good, PRESETS } from '@parlor/core/piece';
import { outlineOfNet } from '@parlor/core/print';
import { type GoodSheet, MOST_PIECES, type Piece, sheetsOfGood } from '@parlor/core/set';
import { bounds } from '@parlor/core/shape';
import { Search } from 'lucide-react';
import { useDeferredValue, useMemo, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useEdit, useLook, useSet } from '../../state/index.ts';

const GOODS = PRESETS.filter(({ kind }) => kind === 'paper').map((preset) => ({
  ...preset,
  piece: fromPreset(preset, preset.key, 1) as Good,
}));

/** Every word that was typed must begin some word of the name, the hint or what else people call it. */
const finds = ({ name, hint, words }: (typeof GOODS)[number], typed: string): boolean => {
  const known = `${name} ${hint} ${words}`.toLowerCase().split(/[^\p{L}\p{N}]+/u);
  return typed
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '')
    .every((word) => known.some((each) => each.startsWith(word)));
};

/** The first net of a good, as it is cut and folded. */
const NetPicture = ({ sheet, label }: { readonly sheet: GoodSheet; readonly label: string }) => {
  const { net } = sheet.sheet;
  const cut = outlineOfNet(net);
  const { x0, y0, x1, y1 } = bounds(cut.flatMap(({ outline }) => outline));
  const room = Math.max(x1 - x0, y1 - y0) * 0.04;
  const path = (rings: readonly (readonly (readonly [number, number])[])[]) =>
    rings.map((ring) => `M${ring.map(([x, y]) => `${x} ${-y}`).join('L')}Z`).join('');
  return (
    <svg
      viewBox={`${x0 - room} ${-y1 - room} ${x1 - x0 + 2 * room} ${y1 - y0 + 2 * room}`}
      className="w-full h-full"
      preserveAspectRatio="xMidYMid meet"
      role="img"
      aria-label={label}
    >
      <path
        d={path(cut.flatMap(({ outline, holes }) => [outline, ...holes]))}
        fillRule="evenodd"
        className="fill-leaf stroke-ink"
        strokeWidth="1.2"
        vectorEffect="non-scaling-stroke"
      />
      {net.tabs.map(({ outline }, index) => (
        <path key={index} d={path([outline])} className="fill-sprig" />
      ))}
      {net.hinges.map(({ from, to, how }, index) =>
        how === 'rolled' ? null : (
          <line
            key={index}
            x1={from[0]}
            y1={-from[1]}
            x2={to[0]}
            y2={-to[1]}
            className="stroke-graphite"
            strokeDasharray="4 3"
            strokeWidth="0.9"
            vectorEffect="non-scaling-stroke"
          />
        ),
      )}
    </svg>
  );
};

/** A tray of small things, found by what people call them; each is drawn as it is cut at the set's scale. */
export const GoodsTray = ({ onTaken }: { readonly onTaken?: () => void }) => {
  const set = useSet();
  const { setId } = useParams();
  const edit = useEdit();
  const navigate = useNavigate();
  const [typed, setTyped] = useState('');
  const wanted = useDeferredValue(typed);
  const document = useMemo(
    () => ({ ...set, name: 'small goods', company: [], layouts: [], pieces: GOODS.map(({ piece }) => ({ ...piece, count: 1 })) }),
    [set],
  );
  const look = useLook(document);
  const pictures = useMemo(() => {
    if (!look || look === 'failed') return new Map<string, GoodSheet>();
    return new Map(
      look.pieces.flatMap((piece) => {
        const [first] = sheetsOfGood(document, look, piece);
        return first ? [[piece.id, first] as const] : [];
      }),
    );
  }, [document, look]);
  const take = (from: Good): void => {
    const piece: Piece = { ...from, id: crypto.randomUUID(), mark: Math.max(0, ...set.pieces.map(({ mark }) => mark)) + 1 };
    edit(`${piece.name} added`, { kind: 'add-piece', at: set.pieces.length, piece });
    onTaken?.();
    void navigate(`/sets/${setId}/goods/${piece.id}`);
  };
  const found = GOODS.filter((good) => finds(good, wanted));
  return (
    <>
      <label className="relative block max-w-sm mb-3">
        <span className="text-small text-graphite">What people call it</span>
        <Search size={18} className="absolute left-0 bottom-3 text-graphite" aria-hidden="true" />
        <input
          value={typed}
          maxLength={60}
          onChange={(event) => setTyped(event.target.value)}
          placeholder="cereal, letter, hat, tickets …"
          className="block w-full min-h-touch pl-7 bg-transparent font-hand text-lead border-b-2 border-dotted border-tab hover:border-moss"
        />
      </label>
      {found.length === 0 && (
        <p className="font-hand text-graphite py-6">Nothing is called that here. A tray, a carton or a sheet can become it.</p>
      )}
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(150px,1fr))] gap-3" aria-label="Small goods to start from" data-testid="tray">
        {found.map((good) => {
          const sheet = pictures.get(good.key);
          return (
            <li key={good.key}>
              <button
                type="button"
                data-preset={good.key}
                disabled={set.pieces.length >= MOST_PIECES}
                onClick={() => take(good.piece)}
                className="w-full text-left rounded-soft border border-tab bg-paper hover:border-moss hover:bg-sprig/40 p-2.5 flex flex-col h-full"
              >
                <span className="block h-24 w-full">
                  {sheet ? (
                    <NetPicture sheet={sheet} label={`${good.name}, as it is cut`} />
                  ) : (
                    <span className="font-hand text-small text-graphite grid place-items-center h-full text-center px-2">
                      {look ? 'too small for its paper at this scale' : '…'}
                    </span>
                  )}
                </span>
                <span className="font-name text-body font-semibold leading-tight mt-1.5">{good.name}</span>
                <span className="text-small text-graphite leading-snug">{good.hint}</span>
              </button>
            </li>
          );
        })}
      </ul>
    </>
  );
};
