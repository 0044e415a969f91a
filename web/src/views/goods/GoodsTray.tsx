import { fromPreset, isSmall, PRESETS } from '@parlor/core/piece';
import { outlineOfNet } from '@parlor/core/print';
import {
  type ClothCut,
  cutsOfCloth,
  type DerivedPiece,
  type GoodSheet,
  type MadePiece,
  MOST_PIECES,
  type Piece,
  sheetsOfGood,
} from '@parlor/core/set';
import { bounds } from '@parlor/core/shape';
import { Search } from 'lucide-react';
import { type ReactNode, useDeferredValue, useMemo, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useBegin, useLook, useSet } from '../../state/index.ts';
import { Choice, Drawn, drawnFrom } from '../../ui/index.ts';

const KINDS = [
  { value: 'all', label: 'all' },
  { value: 'paper', label: 'of paper' },
  { value: 'cloth', label: 'of cloth' },
  { value: 'odd', label: 'odd things' },
] as const;
type Kind = (typeof KINDS)[number]['value'];

const GOODS = PRESETS.flatMap((preset) => {
  const piece = fromPreset(preset, preset.key, 1);
  return isSmall(piece) ? [{ ...preset, piece: 'count' in piece ? { ...piece, count: 1 } : piece }] : [];
});

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

/** The pieces of a pattern as they are cut, in rows. */
const PatternPicture = ({ cuts, label }: { readonly cuts: readonly ClothCut[]; readonly label: string }) => {
  const gap = Math.max(...cuts.map(({ size }) => Math.max(...size))) * 0.06;
  const wide = Math.max(...cuts.map(({ size }) => size[0]), Math.sqrt(cuts.reduce((sum, { size: [w, h] }) => sum + w * h, 0) * 1.8));
  let [x, y, row] = [0, 0, 0];
  const placed = cuts.map((cut) => {
    const [w, h] = cut.size;
    if (x > 0 && x + w > wide) [x, y, row] = [0, y + row + gap, 0];
    const at = [x, y] as const;
    x += w + gap;
    row = Math.max(row, h);
    return { cut, at };
  });
  const most = Math.max(...placed.map(({ cut, at }) => at[0] + cut.size[0]));
  return (
    <svg viewBox={`${-gap} ${-gap} ${most + 2 * gap} ${y + row + 2 * gap}`} className="w-full h-full" role="img" aria-label={label}>
      {placed.map(({ cut, at: [left, top] }) => {
        const { x0, y1 } = bounds(cut.line);
        return (
          <path
            key={cut.tag}
            d={`M${cut.line.map(([px, py]) => `${left + px - x0} ${top + y1 - py}`).join('L')}Z`}
            className={cut.role === 'batting' ? 'fill-oat stroke-graphite' : 'fill-leaf stroke-ink'}
            strokeWidth="1.2"
            vectorEffect="non-scaling-stroke"
          />
        );
      })}
    </svg>
  );
};

/** A thing from the front. */
const FrontPicture = ({ made, label }: { readonly made: MadePiece; readonly label: string }) => {
  const [w, h] = made.assembly.outside.max;
  const room = Math.max(w, h) * 0.00005;
  return (
    <svg
      viewBox={`${-room} ${-h / 1000 - room} ${w / 1000 + 2 * room} ${h / 1000 + 2 * room}`}
      className="w-full h-full"
      preserveAspectRatio="xMidYMid meet"
      role="img"
      aria-label={label}
    >
      <Drawn drawings={drawnFrom(made.assembly.parts, 'front')} />
    </svg>
  );
};

/** A tray of small things, found by what people call them; each is drawn as it is cut at the set's scale. */
export const GoodsTray = ({ onTaken }: { readonly onTaken?: () => void }) => {
  const set = useSet();
  const { setId } = useParams();
  const begin = useBegin();
  const navigate = useNavigate();
  const [typed, setTyped] = useState('');
  const wanted = useDeferredValue(typed);
  const [kind, setKind] = useState<Kind>('all');
  const document = useMemo(
    () => ({ ...set, name: 'small goods', company: [], layouts: [], pieces: GOODS.map(({ piece }) => piece) }),
    [set],
  );
  const look = useLook(document);
  const pictures = useMemo(() => {
    if (!look || look === 'failed') return new Map<string, ReactNode>();
    const picture = (piece: DerivedPiece, { name, kind }: (typeof GOODS)[number]): ReactNode => {
      if (kind === 'paper') {
        const [first] = sheetsOfGood(document, look, piece);
        return first && <NetPicture sheet={first} label={`${name}, as it is cut`} />;
      }
      if (kind === 'cloth') {
        const cuts = cutsOfCloth(document, look, piece.id);
        return cuts.length > 0 && <PatternPicture cuts={cuts} label={`${name}, as it is cut`} />;
      }
      return piece.made && <FrontPicture made={piece.made} label={name} />;
    };
    return new Map(
      GOODS.flatMap((good) => {
        const piece = look.pieces.find(({ id }) => id === good.key);
        return piece ? [[good.key, picture(piece, good)] as const] : [];
      }),
    );
  }, [document, look]);
  const take = async (from: Piece): Promise<void> => {
    const piece = await begin(from, look && look !== 'failed' ? look.pieces.find(({ id }) => id === from.id) : undefined);
    if (!piece) return;
    onTaken?.();
    void navigate(`/sets/${setId}/goods/${piece.id}`);
  };
  const found = GOODS.filter((good) => (kind === 'all' || good.kind === kind) && finds(good, wanted));
  return (
    <>
      <label className="relative block max-w-sm mb-3">
        <span className="text-small text-graphite">What people call it</span>
        <Search size={18} className="absolute left-0 bottom-3 text-graphite" aria-hidden="true" />
        <input
          value={typed}
          maxLength={60}
          onChange={(event) => setTyped(event.target.value)}
          placeholder="letter, cushion, lamp, bread …"
          className="block w-full min-h-touch pl-7 bg-transparent font-hand text-lead border-b-2 border-dotted border-tab hover:border-moss"
        />
      </label>
      <Choice label="Made of" hideLabel value={kind} options={KINDS} onChange={setKind} />
      {found.length === 0 && (
        <p className="font-hand text-graphite py-6">Nothing is called that here. A tray, a carton or a sheet can become it.</p>
      )}
      <ul
        className="mt-3 grid grid-cols-[repeat(auto-fill,minmax(150px,1fr))] gap-3"
        aria-label="Small goods to start from"
        data-testid="tray"
      >
        {found.map((good) => {
          const picture = pictures.get(good.key);
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
                  {picture || (
                    <span className="font-hand text-small text-graphite grid place-items-center h-full text-center px-2">
                      {look ? 'too small at this scale' : '…'}
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
