import { type Look, sizeOfPaper } from '@parlor/core/cover';
import { showLength } from '@parlor/core/measure';
import { drawPaper, type Mark } from '@parlor/core/print';
import { type DerivedCovering, type MadePiece, type PaperJoin, type PaperNeed, paperName } from '@parlor/core/set';
import type { Rect } from '@parlor/core/shape';
import { memo, useEffect, useMemo, useState } from 'react';
import { useUnits } from '../../state/index.ts';
import { Button, Marks, mm } from '../../ui/index.ts';

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

/** A dashed line wherever two sheets meet on a paper, or the two sides of the trim over it. */
const seamMarks = (seams: readonly PaperJoin[], paper: number, box: Rect, height: number): readonly Mark[] => {
  const low = height - box.y1;
  return seams
    .filter((seam) => seam.paper === paper)
    .flatMap(({ way, at, trim }): readonly Mark[] =>
      (trim === null ? [at] : [at - trim / 2, at + trim / 2]).map((line) => ({
        kind: 'line',
        style: trim === null ? 'join' : 'cut',
        closed: false,
        points:
          way === 'across'
            ? [
                [line, low],
                [line, height],
              ]
            : [
                [0, low + line],
                [box.x1, low + line],
              ],
      })),
    );
};

const NO_SEAMS: readonly PaperJoin[] = [];

/** The seams on one piece; the same list while nothing has changed. */
export const useSeams = (needs: readonly PaperNeed[] | undefined, piece: string): readonly PaperJoin[] =>
  useMemo(() => {
    const all = (needs ?? []).flatMap((need) => ('seams' in need ? need.seams : [])).filter((seam) => seam.piece === piece);
    return all.length === 0 ? NO_SEAMS : all;
  }, [needs, piece]);

/** The papers of a piece unfolded, as they will be printed, all to one scale. */
export const Unfolded = memo(
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
    readonly seams: readonly PaperJoin[];
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
            const { marks, width, height } = drawPaper({ tag: '', name: '', paper, look, on: 'plain' });
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
