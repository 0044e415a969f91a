import { scaleOf } from '@parlor/core/doll';
import { type DerivedSet, readSet, type SetDocument } from '@parlor/core/set';
import { useEffect, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { api, type SetSummary, useAppSelector, workshop } from '../../state/index.ts';
import { Figure, FRONT_FILL, frontView } from '../../ui/index.ts';

type Look = { readonly document: SetDocument; readonly derived: DerivedSet };

/** The set as it stands now: the open one from the page, others from the server, derived in the worker. */
const useLook = ({ id }: SetSummary): Look | 'unreadable' | null => {
  const open = useAppSelector((state) => (state.openSet.id === id ? state.openSet.document : null));
  const [look, setLook] = useState<Look | 'unreadable' | null>(null);
  useEffect(() => {
    let wanted = true;
    const show = async () => {
      const answer = open ? null : await api.read(id);
      const read = open ? { ok: true as const, value: open } : answer?.ok ? readSet(answer.value.document) : null;
      if (!read?.ok) return wanted && setLook('unreadable');
      const derived = await workshop.look(read.value);
      return wanted && setLook({ document: read.value, derived });
    };
    void show().catch(() => wanted && setLook('unreadable'));
    return () => {
      wanted = false;
    };
  }, [id, open]);
  return look;
};

const BETWEEN = 0.12;

/** The pieces of a set side by side on a floor, the doll before them, all to one scale. */
const Scene = ({ document, derived }: Look) => {
  const doll = document.doll.height / 1000;
  const placed = useMemo(() => {
    let x = doll * 0.5;
    return derived.pieces.flatMap(({ id, made }) => {
      if (!made) return [];
      const at = x;
      x += made.assembly.outside.max[0] / 1000 + doll * BETWEEN;
      return [{ id, at, rects: frontView(made.assembly.parts), end: x, height: made.assembly.outside.max[1] / 1000 }];
    });
  }, [derived, doll]);
  const width = Math.max(placed.at(-1)?.end ?? 0, doll * 1.2);
  const height = Math.max(doll, ...placed.map((piece) => piece.height)) * 1.08;
  return (
    <svg
      viewBox={`0 ${-height} ${width} ${height * 1.06}`}
      className="w-full h-full"
      aria-hidden="true"
      preserveAspectRatio="xMidYMax meet"
    >
      <line x1={-width} x2={width * 2} y1="0" y2="0" stroke="var(--tab)" strokeWidth={height * 0.008} />
      {placed.map(({ id, at, rects }) => (
        <g key={id} transform={`translate(${at} 0)`}>
          {rects.map((rect) => (
            <rect
              key={rect.index}
              x={rect.x}
              y={-rect.y - rect.height}
              width={rect.width}
              height={rect.height}
              fill={FRONT_FILL[rect.role]}
              stroke="var(--ink)"
              strokeWidth={height * 0.0035}
            />
          ))}
        </g>
      ))}
      <Figure heightUm={document.doll.height} x={doll * 0.24} floor={0} />
    </svg>
  );
};

const facts = ({ document, derived }: Look): string => {
  const scale = scaleOf(document.doll);
  const notes = derived.pieces.flatMap(({ findings }) => findings).filter(({ severity }) => severity !== 'note').length;
  const count = document.pieces.length;
  return [
    `1 : ${Number((scale.real / scale.doll).toFixed(2))}`,
    `${count} ${count === 1 ? 'piece' : 'pieces'}`,
    notes > 0 ? `${notes} to look at` : 'nothing to mend',
  ].join(' · ');
};

/** A set on the shelf: what stands in it, drawn from the model. */
export const Vignette = ({ set }: { readonly set: SetSummary }) => {
  const look = useLook(set);
  return (
    <Link
      to={`/sets/${set.id}/pieces`}
      data-set={set.id}
      className="grid grid-cols-[minmax(0,1.6fr)_minmax(0,1fr)] max-sm:grid-cols-1 gap-5 bg-paper rounded-soft border border-tab p-3.5 no-underline text-ink hover:border-rose hover:shadow-md transition-shadow"
    >
      <div className="h-[168px] bg-leaf rounded-lg p-2 pb-0 grid place-items-center">
        {look === 'unreadable' ? (
          <p className="font-hand text-rose">it cannot be drawn</p>
        ) : look ? (
          <Scene {...look} />
        ) : (
          <p className="font-hand text-graphite">setting it up …</p>
        )}
      </div>
      <div className="min-w-0 flex flex-col">
        <h3 className="text-[20px] line-clamp-2 wrap-break-word">{set.name || 'no name yet'}</h3>
        <p className="text-[14px] text-graphite mt-1.5 line-clamp-4">{set.about}</p>
        <p className="text-[14px] mt-auto">{look && look !== 'unreadable' ? facts(look) : '…'}</p>
      </div>
    </Link>
  );
};
