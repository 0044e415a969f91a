import type { Finish, Look } from '@parlor/core/cover';
import { showLength, UM, type Units } from '@parlor/core/measure';
import type { LaidPaper, PaperJoin, PaperNeed } from '@parlor/core/set';
import { useSet, useUnits } from '../../state/index.ts';
import { LookSwatch, mm } from '../../ui/index.ts';

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

/** The trims over the seams: how many, and how long together. */
const Trims = ({ seams }: { readonly seams: readonly PaperJoin[] }) => {
  const units = useUnits();
  const under = seams.filter(({ trim }) => trim !== null);
  if (under.length === 0) return null;
  const together = under.reduce((sum, { length }) => sum + length, 0);
  return (
    <span className="block text-small" data-testid="trims">
      a trim {showLength(under[0]?.trim ?? 0, units)} wide over {under.length} {under.length === 1 ? 'seam' : 'seams'}:{' '}
      {showLength(together, units)} of it
    </span>
  );
};

/** What all coverings of the set take. */
export const Needs = ({ needs, looks }: { readonly needs: readonly PaperNeed[]; readonly looks: ReadonlyMap<string, Look> }) => {
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
                  {'seams' in need && <Trims seams={need.seams} />}
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
