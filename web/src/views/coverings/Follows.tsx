import { type Finish, type Look, mainColour, sizeOfPaper, UNDRESSED, wornOn } from '@parlor/core/cover';
import { showLength, UM, type Units } from '@parlor/core/measure';
import { drawPaper, type Mark } from '@parlor/core/print';
import {
  type DerivedCovering,
  type DerivedPiece,
  type LaidPaper,
  type MadePiece,
  neighbours,
  type PaperNeed,
  paperName,
  type Seam,
} from '@parlor/core/set';
import type { Rect, Vec3 } from '@parlor/core/shape';
import { memo, useEffect, useMemo, useState } from 'react';
import { useAppSelector, useNeeds, useSet, useUnits } from '../../state/index.ts';
import { Button, canDrawModel, clothesOf, Figure, LookSwatch, MarginNote, Marks, PieceModel, usePicturesCame } from '../../ui/index.ts';
import { Beside } from './Palette.tsx';

const NOTHING = new Map<string, Look>();
const NO_STEPS: readonly never[] = [];

/** The piece in its clothes. Touch a face to dress it with the swatch in hand. */
const Dressed = ({
  piece,
  made,
  covering,
  looks,
  onTouch,
}: {
  readonly piece: DerivedPiece;
  readonly made: MadePiece;
  readonly covering: DerivedCovering | null;
  readonly looks: ReadonlyMap<string, Look>;
  readonly onTouch: ((part: number, at: Vec3) => void) | undefined;
}) => {
  const { doll, finishes, pieces } = useSet();
  const dress = pieces.find(({ id }) => id === piece.id)?.dress ?? UNDRESSED;
  const { night } = useAppSelector((state) => state.desk);
  const came = usePicturesCame();
  // Who wears what is known here at once; where it shows, and what it is cut from, follows from the worker.
  const clothes = useMemo(() => {
    if (!covering || came < 0) return [];
    const { surfaces } = covering.covering;
    const worn = wornOn(made.assembly, surfaces, dress, new Map(finishes.map((finish) => [finish.id, finish])));
    return clothesOf(made.assembly, { surfaces, worn }, looks, came);
  }, [made, covering, looks, came, dress, finishes]);
  return (
    <div className={canDrawModel() ? 'relative h-88 shrink-0' : ''} data-clothes={clothes.length}>
      <div className={canDrawModel() ? 'absolute inset-0' : ''}>
        <PieceModel
          key={String(night)}
          made={made}
          name={piece.name}
          dollHeightUm={doll.height}
          apart={0}
          tag={null}
          xray={false}
          steps={NO_STEPS}
          step={null}
          clothes={clothes}
          onTouch={onTouch}
        />
      </div>
    </div>
  );
};

const mm = (um: number): number => Math.round(um) / 1000;

/** Millimetres of paper to a pixel of the page, so that all papers of a piece keep their proportions. */
const PX = 0.92;

/** Counts up to a number, one by one whenever nothing else is to be done: papers with wood and marble are drawn each in its own time. */
const useGrowing = (to: number): number => {
  const [count, setCount] = useState(1);
  const at = Math.min(count, to);
  useEffect(() => {
    if (at >= to) return undefined;
    const timer = setTimeout(() => setCount(at + 1), 0);
    return () => clearTimeout(timer);
  }, [at, to]);
  return at;
};

/** A dashed line wherever two sheets meet on a paper. */
const seamMarks = (seams: readonly Seam[], paper: number, box: Rect, height: number): readonly Mark[] => {
  const low = height - box.y1;
  return seams
    .filter((seam) => seam.paper === paper)
    .map(({ way, at }) => ({
      kind: 'line',
      style: 'join',
      closed: false,
      points:
        way === 'across'
          ? [
              [at, low],
              [at, height],
            ]
          : [
              [0, low + at],
              [box.x1, low + at],
            ],
    }));
};

const NO_SEAMS: readonly Seam[] = [];

/** The seams on one piece; the same list while nothing has changed. */
const useSeams = (needs: readonly PaperNeed[] | undefined, piece: string): readonly Seam[] =>
  useMemo(() => {
    const all = (needs ?? []).flatMap((need) => ('seams' in need ? need.seams : [])).filter((seam) => seam.piece === piece);
    return all.length === 0 ? NO_SEAMS : all;
  }, [needs, piece]);

/** The papers of a piece unfolded, as they will be printed, all to one scale. */
const Unfolded = memo(
  ({
    made,
    covering,
    looks,
    seams,
  }: {
    readonly made: MadePiece;
    readonly covering: DerivedCovering;
    readonly looks: ReadonlyMap<string, Look>;
    /** Where papers that are larger than a sheet are joined of several. */
    readonly seams: readonly Seam[];
  }) => {
    const [all, setAll] = useState(false);
    const units = useUnits();
    const { papers } = covering.covering;
    const sorted = useMemo(
      () =>
        papers
          .map((paper, number) => ({ paper, number, box: sizeOfPaper(paper) }))
          .sort((a, b) => b.box.x1 * b.box.y1 - a.box.x1 * a.box.y1),
      [papers],
    );
    const shown = sorted.slice(0, useGrowing(all ? sorted.length : Math.min(FIRST, sorted.length)));
    if (papers.length === 0) return null;
    return (
      <section aria-label="Its papers, unfolded">
        <h3 className="text-lead font-semibold">
          {papers.length} {papers.length === 1 ? 'paper' : 'papers'}, unfolded
        </h3>
        <div className="flex flex-wrap gap-x-4 gap-y-3 items-end mt-2" data-testid="papers">
          {shown.map(({ paper, number, box }, index) => {
            const look = looks.get(paper.wear.finish ?? '');
            if (!look) return null;
            const { tag, name } = paperName(paper, covering.covering, made);
            const { marks, width, height } = drawPaper({ tag: '', name: '', paper, look });
            const words = `${tag} ${name}, ${showLength(box.x1, units)} × ${showLength(box.y1, units)}`;
            return (
              <figure key={index} className="max-w-full">
                <svg
                  viewBox={`-1.2 -1.2 ${mm(width) + 2.4} ${mm(height) + 2.4}`}
                  style={{ width: `${(mm(width) + 2.4) * PX}px` }}
                  className="max-w-full bg-sheet"
                  role="img"
                  aria-label={words}
                  data-paper={paper.how}
                >
                  <Marks marks={[...marks, ...seamMarks(seams, number, box, height)]} height={height} />
                </svg>
                <figcaption className="text-small text-graphite max-w-44">{words}</figcaption>
              </figure>
            );
          })}
        </div>
        {sorted.length > FIRST && (
          <Button look="quiet" className="-ml-3" onClick={() => setAll(!all)}>
            {all ? 'only the largest' : `show all ${sorted.length}`}
          </Button>
        )}
      </section>
    );
  },
);

const FIRST = 9;

const NeedWords = ({ need, finish }: { readonly need: PaperNeed; readonly finish: Finish }) => {
  const units = useUnits();
  const price = (value: number | null) => (value === null || value === 0 ? '' : ` for ${value.toFixed(2)}`);
  switch (need.kind) {
    case 'paint':
      return (
        <>
          {need.ml < 1 ? need.ml.toFixed(1) : Math.ceil(need.ml)} ml for {finish.coats} {finish.coats === 1 ? 'coat' : 'coats'}
        </>
      );
    case 'printed':
      return (
        <>
          {need.pages} {need.pages === 1 ? 'page' : 'pages'} to print
        </>
      );
    case 'sheets':
      return (
        <>
          {need.count} {need.count === 1 ? 'sheet' : 'sheets'}
          {need.buy > 0 ? `, ${need.buy} to buy` : ', all there'}
          {price(need.price)}
        </>
      );
    case 'roll':
      return (
        <>
          {showLength(need.length, units)} of the roll{need.buy > 0 ? `, ${showLength(need.buy, units)} to buy` : ', all there'}
          {price(need.price)}
        </>
      );
  }
};

/** An area in the maker's units, from µm². */
const areaText = (area: number, { unit }: Units): string => {
  const value = area / (unit === 'in' ? UM.in ** 2 : UM.cm ** 2);
  return `${value.toFixed(value < 10 ? 1 : 0)} ${unit === 'in' ? 'sq in' : 'cm²'}`;
};

/** Pixels to a millimetre of a sheet that is drawn small. */
const SHEET_PX = 0.75;

/** How sheets or a roll are cut: each small, its cuts with the tags of their parts. */
const LaidPapers = ({ laid, name }: { readonly laid: readonly LaidPaper[]; readonly name: string }) => (
  <details className="mt-1">
    <summary className="cursor-pointer text-small text-moss min-h-8 content-center">how it is cut</summary>
    <div className="flex flex-wrap gap-2.5 mt-1">
      {laid.map(({ width, height, cuts }, index) => (
        <svg
          key={index}
          viewBox={`-1 -1 ${mm(width) + 2} ${mm(height) + 2}`}
          style={{ width: `${(mm(width) + 2) * SHEET_PX}px` }}
          role="img"
          aria-label={`${name}, ${index + 1} of ${laid.length}: ${cuts.map(({ tag }) => tag).join(' ')}`}
          data-laid=""
        >
          <rect width={mm(width)} height={mm(height)} fill="var(--oat)" stroke="var(--line)" strokeWidth={1.6} />
          {cuts.map((cut, each) => (
            <g key={each}>
              <rect
                x={mm(cut.x)}
                y={mm(height - cut.y - cut.height)}
                width={mm(cut.width)}
                height={mm(cut.height)}
                fill="var(--leaf)"
                stroke="var(--ink)"
                strokeWidth={1}
              />
              {Math.min(cut.width, cut.height) > 16_000 && (
                <text
                  x={mm(cut.x + cut.width / 2)}
                  y={mm(height - cut.y - cut.height / 2)}
                  fontSize={16}
                  textAnchor="middle"
                  dominantBaseline="central"
                  fill="var(--ink)"
                >
                  {cut.tag}
                </text>
              )}
            </g>
          ))}
        </svg>
      ))}
    </div>
  </details>
);

/** What all coverings of the set take. */
const Needs = ({ needs, looks }: { readonly needs: readonly PaperNeed[]; readonly looks: ReadonlyMap<string, Look> }) => {
  const { finishes } = useSet();
  const units = useUnits();
  if (needs.length === 0) return null;
  return (
    <section aria-label="What the set takes">
      <h3 className="text-lead font-semibold">What the whole set takes</h3>
      <ul className="mt-1.5 grid @min-[31rem]:grid-cols-2 gap-x-6 gap-y-2" data-testid="needs">
        {needs.map((need) => {
          const finish = finishes.find(({ id }) => id === need.finish);
          const look = looks.get(need.finish);
          return (
            finish &&
            look && (
              <li key={need.finish} className="flex items-start gap-3 text-note">
                <LookSwatch
                  label={finish.name}
                  look={look}
                  width={9}
                  height={7}
                  whole
                  className="rounded-nick border border-tab shrink-0"
                />
                <span className="min-w-0">
                  <strong className="font-semibold">{finish.name}</strong> <NeedWords need={need} finish={finish} />
                  <span className="block text-graphite text-small">covers {areaText(need.area, units)}</span>
                  {'laid' in need && <LaidPapers laid={need.laid} name={finish.name} />}
                </span>
              </li>
            )
          );
        })}
      </ul>
    </section>
  );
};

/** A swatch as a wall behind the doll, all at one scale. */
export const AgainstDoll = ({ look }: { readonly look: Look }) => {
  const { doll } = useSet();
  const height = doll.height / 1000;
  const [wide, high] = [height * 1.15, height * 1.12];
  const shown = 190;
  const scale = shown / high;
  return (
    <figure className="relative shrink-0 overflow-hidden rounded-slip border border-tab" style={{ width: wide * scale, height: shown }}>
      <div style={{ transform: `scale(${(scale * 25.4) / 96})`, transformOrigin: 'top left' }}>
        <LookSwatch label="the swatch" look={look} width={wide} height={high} />
      </div>
      <svg
        viewBox={`0 0 ${wide} ${high}`}
        className="absolute inset-0 w-full h-full"
        role="img"
        aria-label="The swatch behind the doll, at one scale"
      >
        <Figure heightUm={doll.height} x={wide * 0.5} floor={high} />
      </svg>
    </figure>
  );
};

type Props = {
  readonly piece: DerivedPiece | undefined;
  readonly covering: DerivedCovering | null;
  readonly looks: ReadonlyMap<string, Look> | null;
  readonly inHand: Finish | null;
  readonly onTouch: ((part: number, at: Vec3) => void) | undefined;
};

/** The piece dressed, its papers, what they take, and the notes in the margin. */
export const Follows = ({ piece, covering, looks, inHand, onTouch }: Props) => {
  const { finishes } = useSet();
  const needed = useNeeds();
  const seams = useSeams(needed?.needs, piece?.id ?? '');
  const made = piece?.made ?? null;
  const known = looks ?? NOTHING;
  if (!piece) return <p className="font-hand text-graphite">working it out …</p>;
  if (!made) return <p className="font-hand text-graphite">It cannot be built as it is; see the note at Pieces.</p>;
  const beside = covering ? neighbours(covering, piece) : [];
  const named = (id: string) => {
    const look = known.get(id);
    return { name: finishes.find((finish) => finish.id === id)?.name ?? '', colour: look ? mainColour(look) : '#cfc9c0' };
  };
  const notes = (needed?.findings ?? []).filter(({ where }) => where.pieceId === piece.id);
  const handLook = inHand && known.get(inHand.id);
  return (
    <div className="flex flex-col min-h-full">
      <header>
        <h2 className="text-head">{piece.name || 'This piece'}, dressed</h2>
        <p className="text-graphite" aria-live="polite">
          {onTouch ? 'touch a face to dress it' : 'take a swatch in hand, then touch a face'}
        </p>
      </header>
      <div className={handLook ? '@container' : ''}>
        <div className={handLook ? 'grid @min-[30rem]:grid-cols-[minmax(0,1fr)_auto] gap-3 items-center' : ''}>
          <Dressed piece={piece} made={made} covering={covering} looks={known} onTouch={onTouch} />
          {handLook && <AgainstDoll look={handLook} />}
        </div>
      </div>
      <div className="space-y-6 mt-3 pb-4">
        <div className="@container">
          <div className="grid @min-[31rem]:grid-cols-2 gap-6 items-start mb-6 empty:hidden">
            <ul className="space-y-3" aria-label="Margin notes" data-testid="notes">
              {notes.map((finding) => (
                <MarginNote key={`${finding.code} ${JSON.stringify(finding.where)} ${JSON.stringify(finding.numbers)}`} finding={finding} />
              ))}
              {needed && notes.length === 0 && needed.needs.length > 0 && (
                <li className="font-hand text-body text-moss">Nothing to note: enough paper, no raw edge in sight.</li>
              )}
            </ul>
            {beside.length > 0 && (
              <section aria-label="Colours side by side">
                <h3 className="text-small text-graphite mb-1.5">side by side on it</h3>
                <ul className="space-y-1.5">
                  {beside.map(([one, other]) => (
                    <Beside key={`${one} ${other}`} one={named(one)} other={named(other)} />
                  ))}
                </ul>
              </section>
            )}
          </div>
          <Needs needs={needed?.needs ?? []} looks={known} />
        </div>
        {covering && covering.covering.papers.length + covering.covering.paints.length > 0 ? (
          <Unfolded made={made} covering={covering} looks={known} seams={seams} />
        ) : (
          <p className="font-hand text-graphite">It wears nothing yet: bare board, as it was bought.</p>
        )}
      </div>
    </div>
  );
};
