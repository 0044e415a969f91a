import { bodyOf, type PoseName, posed } from '@parlor/core/doll';
import { bounds } from '@parlor/core/shape';
import { useMemo } from 'react';
import { useSet } from '../../state/index.ts';

const WORDS: Readonly<Record<PoseName, string>> = { standing: 'standing', sitting: 'sitting', lying: 'lying', above: 'from above' };

/** The doll from the side as she stands, sits and lies, and from above: drawn from her own measures. */
export const Postures = () => {
  const { doll } = useSet();
  const body = useMemo(() => bodyOf(doll), [doll]);
  const drawn = useMemo(
    () =>
      (['standing', 'sitting', 'lying', 'above'] as const).map((pose) => {
        const rings = posed(body, pose);
        return { pose, rings, box: bounds(rings.flat()) };
      }),
    [body],
  );
  const high = Math.max(...drawn.map(({ box }) => box.y1 - box.y0));
  const gap = body.height * 0.12;
  const width = drawn.reduce((sum, { box }) => sum + box.x1 - box.x0 + gap, gap);
  let x = gap;
  return (
    <svg
      viewBox={`0 ${-high / 1000 - 6} ${width / 1000} ${(high / 1000) * 1.16 + 6}`}
      className="w-full h-48"
      role="img"
      aria-label={`${doll.name} standing, sitting${body.bends.knees ? '' : ' with straight legs'}, lying and from above`}
    >
      {drawn.map(({ pose, rings, box }) => {
        const at = x - box.x0;
        x += box.x1 - box.x0 + gap;
        return (
          <g key={pose}>
            {rings.map((ring, index) => (
              <path
                key={index}
                d={`M${ring.map(([px, py]) => `${(px + at) / 1000} ${-(py - box.y0) / 1000}`).join('L')}Z`}
                fill="var(--lilac)"
                stroke="var(--figure-line)"
                strokeWidth="1"
                vectorEffect="non-scaling-stroke"
              />
            ))}
            <text
              x={(at + (box.x0 + box.x1) / 2) / 1000}
              y={(high / 1000) * 0.1}
              className="font-hand"
              fill="var(--graphite)"
              fontSize={(high / 1000) * 0.075}
              textAnchor="middle"
            >
              {WORDS[pose]}
            </text>
          </g>
        );
      })}
    </svg>
  );
};
