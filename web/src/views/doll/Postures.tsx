import { bodyOf, type PoseName, posed, posturesOf } from '@parlor/core/doll';
import { bounds } from '@parlor/core/shape';
import { useMemo } from 'react';
import { useSet } from '../../state/index.ts';

const WORDS: Readonly<Record<PoseName, string>> = { standing: 'standing', sitting: 'sitting', lying: 'lying', above: 'from above' };

const STANDS_WORDS = { alone: 'standing', leaning: 'standing, leaning on something', stand: 'standing in a stand' } as const;

/** The doll from the side as she stands, sits and lies, and from above: drawn from her own measures. */
export const Postures = () => {
  const { doll } = useSet();
  const body = useMemo(() => bodyOf(doll), [doll]);
  const drawn = useMemo(
    () =>
      posturesOf(body).map((pose) => {
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
      aria-label={`${doll.name} ${STANDS_WORDS[doll.stands]}${body.bends.hips ? `, sitting${body.bends.knees ? '' : ' with straight legs'}` : ', who cannot sit'}, lying and from above`}
    >
      {drawn.map(({ pose, rings, box }) => {
        const at = x - box.x0;
        x += box.x1 - box.x0 + gap;
        return (
          <g key={pose}>
            {pose === 'standing' && doll.stands !== 'alone' && (
              // What holds her: a rod with a foot, or what she leans on.
              <path
                d={`M${(at - body.thighDepth * 0.75) / 1000} 0V${-body.shoulder / 1000}${doll.stands === 'stand' ? `M${(at - body.foot) / 1000} 0H${(at + body.foot) / 1000}M${(at - body.thighDepth * 0.75) / 1000} ${-body.hip / 1000}H${at / 1000}` : ''}`}
                fill="none"
                stroke="var(--graphite)"
                strokeWidth={doll.stands === 'stand' ? 2 : 5}
                vectorEffect="non-scaling-stroke"
              />
            )}
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
