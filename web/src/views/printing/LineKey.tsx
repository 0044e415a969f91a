import { LINE_STYLES, type LineStyle } from '@parlor/core/print';

const MEANINGS: readonly (readonly [LineStyle, string])[] = [
  ['cut', 'cut along it'],
  ['guide', 'pencil guide: what stands on this face, by its tag'],
  ['guide-behind', 'the same on the face behind, tag in brackets'],
  ['glue', 'glue goes here'],
  ['score', 'score it, do not cut through, and fold'],
  ['fold', 'a fold that stands out: score it on this side'],
  ['valley', 'a fold that goes in, or a line to tear along'],
  ['stitch', 'sew along it'],
  ['centre', 'the middle of a hole or a pin'],
  ['join', 'where two tiles meet; lay cross on cross'],
];

/** What each line on the pages means; told apart by dash and weight, not by colour alone. */
export const LineKey = () => (
  <dl className="text-note space-y-1.5">
    {MEANINGS.map(([style, words]) => (
      <div key={style} className="flex items-center gap-3">
        <dt className="bg-sheet rounded-nick px-1">
          <svg width="64" height="12" aria-label={style} role="img">
            <line
              x1="0"
              x2="64"
              y1="6"
              y2="6"
              stroke={LINE_STYLES[style].colour}
              strokeWidth={LINE_STYLES[style].weight / 110}
              strokeDasharray={LINE_STYLES[style].dash.map((part) => part / 260).join(' ') || undefined}
            />
          </svg>
        </dt>
        <dd>{words}</dd>
      </div>
    ))}
  </dl>
);
