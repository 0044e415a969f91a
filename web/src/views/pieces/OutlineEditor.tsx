import { dollOf, type Scale, showLength } from '@parlor/core/measure';
import { outlineOfStack, type Stack } from '@parlor/core/piece';
import type { OutlineMend, OutlineProblem } from '@parlor/core/plot';
import { bounds, type Point, type Ring } from '@parlor/core/shape';
import { Minus, PenLine, Plus, Upload } from 'lucide-react';
import { type KeyboardEvent, type PointerEvent, useMemo, useRef, useState } from 'react';
import { useEdit, useUnits } from '../../state/index.ts';
import { Button } from '../../ui/index.ts';
import { nearestPoint, type PointAt, pointAt, withPointAdded, withPointGone, withPointMoved } from './outlinePoints.ts';

const percent = (share: number): string => `${Math.max(0.1, Math.round(share * 1000) / 10)} %`;

/** What was put right about a file, in words. */
const mendText = (mend: OutlineMend): string => {
  switch (mend.code) {
    case 'gap-closed':
      return `A gap of ${percent(mend.share)} of its size was closed.`;
    case 'loop-taken-away':
      return 'It crossed itself in a small loop, which was taken away.';
    case 'crumbs-left-out':
      return 'Small bits beside it were left out.';
    case 'coarser':
      return 'It had more points than a knife can follow; its curves are a little coarser now.';
  }
};

const problemText = (problem: OutlineProblem): string => {
  switch (problem.code) {
    case 'unreadable':
      return problem.reason;
    case 'empty':
      return 'There is no closed outline in it.';
    case 'open':
      return `The outline is open: its ends are ${percent(problem.share)} of its size apart. Close it where it was drawn, and take it again.`;
    case 'crosses':
      return `The outline crosses itself, first at ${percent(problem.at[0] / 1e6)} from its left and ${percent(problem.at[1] / 1e6)} from below. Draw it without, and take it again.`;
    case 'several':
      return `There are ${problem.count} outlines beside one another. One piece is one of them: take them one by one.`;
  }
};

/** How much of the drawing a point moves by with an arrow: a two-hundredth, with shift a fortieth. */
const STEP = { fine: 1 / 200, coarse: 1 / 40 } as const;

const ARROWS: Readonly<Record<string, Point>> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] };

const pathOf = (rings: readonly Ring[]): string => rings.map((ring) => `M${ring.map(([x, y]) => `${x} ${-y}`).join('L')}Z`).join('');

type DrawingProps = {
  readonly rings: readonly Ring[];
  readonly name: string;
  readonly onChange: (words: string, rings: readonly Ring[]) => void;
};

/** The outline with one point in hand: the one touched last. Points follow the pointer at once; the piece follows when they are let go. */
const OutlineDrawing = ({ rings: decided, name, onChange }: DrawingProps) => {
  const svg = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<PointAt | null>(null);
  const [dragged, setDragged] = useState<readonly Ring[] | null>(null);
  const rings = dragged ?? decided;
  // The drawing keeps its frame while a point is moved.
  const frame = useMemo(() => bounds(decided.flat()), [decided]);
  const longer = Math.max(frame.x1 - frame.x0, frame.y1 - frame.y0);
  const room = longer * 0.06;
  const path = useMemo(() => pathOf(rings), [rings]);
  const point = pointAt(rings, held);
  const placeOf = (event: PointerEvent): Point => {
    const matrix = svg.current?.getScreenCTM();
    if (!matrix) return [0, 0];
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    return [x, -y];
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const arrow = ARROWS[event.key];
    if (arrow && held && point) {
      event.preventDefault();
      const step = longer * (event.shiftKey ? STEP.coarse : STEP.fine);
      onChange('a point of the outline', withPointMoved(decided, held, [point[0] + arrow[0] * step, point[1] + arrow[1] * step]));
    }
    if (event.key === '.' || event.key === ',') {
      event.preventDefault();
      const ring = decided[held?.ring ?? 0] as Ring;
      const index = ((held?.index ?? -1) + (event.key === '.' ? 1 : ring.length - 1)) % ring.length;
      setHeld({ ring: held?.ring ?? 0, index });
    }
  };
  return (
    <>
      <svg
        ref={svg}
        viewBox={`${frame.x0 - room} ${-frame.y1 - room} ${frame.x1 - frame.x0 + 2 * room} ${frame.y1 - frame.y0 + 2 * room}`}
        className="w-full h-64 border border-tab rounded-soft touch-none cursor-crosshair"
        role="application"
        aria-label={`Outline of ${name}: full stop and comma go from point to point, arrows move it`}
        tabIndex={0}
        data-testid="outline"
        onKeyDown={onKeyDown}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          setHeld(nearestPoint(decided, placeOf(event)));
          setDragged(decided);
        }}
        onPointerMove={(event) => {
          if (dragged && held) setDragged(withPointMoved(dragged, held, placeOf(event)));
        }}
        onPointerUp={() => {
          if (dragged && dragged !== decided) onChange('a point of the outline', dragged);
          setDragged(null);
        }}
        onPointerCancel={() => setDragged(null)}
      >
        <path d={path} fill="var(--leaf)" fillRule="evenodd" stroke="var(--ink)" strokeWidth="1.5" vectorEffect="non-scaling-stroke" />
        {point && (
          <circle
            cx={point[0]}
            cy={-point[1]}
            r={longer / 60}
            fill="var(--blush)"
            stroke="var(--rose)"
            strokeWidth="2"
            vectorEffect="non-scaling-stroke"
            data-point={held?.index}
          />
        )}
      </svg>
      <div className="flex flex-wrap gap-2">
        <Button
          look="quiet"
          disabled={!held}
          onClick={() => {
            if (!held) return;
            const added = withPointAdded(decided, held);
            onChange('a point of the outline', added.rings);
            setHeld(added.at);
          }}
        >
          <Plus size={15} /> a point after it
        </Button>
        <Button
          look="quiet"
          disabled={!held}
          onClick={() => {
            if (held) onChange('a point of the outline', withPointGone(decided, held));
            setHeld(null);
          }}
        >
          <Minus size={15} /> take the point away
        </Button>
        <p className="text-small text-graphite self-center">
          {rings.reduce((sum, ring) => sum + ring.length, 0)} points; touch one to take it in hand
        </p>
      </div>
    </>
  );
};

/** A stacked shape's outline: by the points of a maker's own, which may come from a file, or begun from the outline that it has now. */
export const OutlineEditor = ({ piece, scale }: { readonly piece: Stack; readonly scale: Scale }) => {
  const edit = useEdit();
  const units = useUnits();
  const file = useRef<HTMLInputElement>(null);
  const [said, setSaid] = useState<{ readonly ok: boolean; readonly text: readonly string[] } | null>(null);
  const put = (words: string, change: Partial<Stack>) => edit(`${words} of ${piece.name}`, { kind: 'change-piece', id: piece.id, change });
  const take = async (text: string): Promise<void> => {
    const { readOutline } = await import('@parlor/core/plot');
    const read = readOutline(text);
    if (!read.ok) {
      setSaid({ ok: false, text: [problemText(read.error)] });
      return;
    }
    const { rings, width, height, mends } = read.value;
    // It keeps the width that is stated, and its own proportions.
    const wide = dollOf(piece.width, scale);
    const doll = Math.round((wide * height) / Math.max(1, width));
    put('an outline from a file', { outline: 'own', points: rings, height: { doll: doll as never } });
    setSaid({ ok: true, text: [`Taken, ${showLength(wide, units)} wide; ${rings.length - 1} openings.`, ...mends.map(mendText)] });
  };
  return (
    <section aria-label="Its outline" className="mt-3 space-y-2">
      {piece.outline === 'own' && piece.points.length > 0 && (
        <OutlineDrawing rings={piece.points} name={piece.name} onChange={(words, points) => put(words, { points })} />
      )}
      <div className="flex flex-wrap gap-2">
        {piece.outline !== 'own' && (
          <Button
            look="quiet"
            onClick={() => {
              const region = outlineOfStack(piece, (measure) => dollOf(measure, scale));
              if (region) put('its outline by points', { outline: 'own', points: [region.outline, ...region.holes] });
            }}
          >
            <PenLine size={15} /> change it by its points
          </Button>
        )}
        <Button look="quiet" onClick={() => file.current?.click()}>
          <Upload size={15} /> an outline from a file
        </Button>
        <input
          ref={file}
          type="file"
          accept=".svg,image/svg+xml,.txt"
          className="sr-only"
          aria-label="An outline from an SVG file"
          onChange={async (event) => {
            const [chosen] = event.target.files ?? [];
            event.target.value = '';
            if (chosen) await take(await chosen.text());
          }}
        />
      </div>
      {said && (
        <p role={said.ok ? 'status' : 'alert'} className={said.ok ? 'font-hand text-moss' : 'font-hand text-rose'}>
          {said.text.join(' ')}
        </p>
      )}
    </section>
  );
};
