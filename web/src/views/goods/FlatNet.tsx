import { outlineOfNet, type PanelFrame, panelsOf } from '@parlor/core/print';
import type { GoodSheet } from '@parlor/core/set';
import { bounds, merged, type Point, type Region, type Ring, signedArea } from '@parlor/core/shape';
import { useId, useMemo } from 'react';
import { cx } from '../../ui/index.ts';
import { printOf } from './prints.ts';

const path = (rings: readonly (readonly Point[])[]): string =>
  rings.map((ring) => `M${ring.map(([x, y]) => `${(x / 1000).toFixed(3)} ${(-y / 1000).toFixed(3)}`).join('L')}Z`).join('');

const straight = ([from, to]: readonly [Point, Point]) => ({
  x1: from[0] / 1000,
  y1: -from[1] / 1000,
  x2: to[0] / 1000,
  y2: -to[1] / 1000,
});

/** A panel as one figure: the facets of what is rolled and the fields of a map are one. */
const wholePanel = ({ name, rings }: PanelFrame): { readonly name: string; readonly rings: readonly Ring[] } => {
  const faces = rings.map((ring): Region => {
    const rounded = ring.map(([x, y]): Point => [Math.round(x), Math.round(y)]);
    return { outline: signedArea(rounded) < 0 ? rounded.toReversed() : rounded, holes: [] };
  });
  if (faces.length === 1) return { name, rings };
  return { name, rings: merged(faces).flatMap(({ outline, holes }) => [outline, ...holes]) };
};

type Props = {
  readonly sheet: GoodSheet;
  readonly panel: string | null;
  readonly came: number;
  readonly onPanel: (panel: string) => void;
};

/** A net as it lies flat: what is cut, folded and glued, with what is printed on it. Each panel can be chosen. */
export const FlatNet = ({ sheet, panel, came, onPanel }: Props) => {
  const { net, pose } = sheet.sheet;
  const drawn = useMemo(() => {
    void came;
    const print = printOf(sheet, '#ffffff', 1200);
    return { print, href: print.front.toDataURL('image/png'), cut: outlineOfNet(net), panels: panelsOf(net, pose).map(wholePanel) };
  }, [sheet, net, pose, came]);
  const { window: art } = drawn.print;
  const { x0, y0, x1, y1 } = bounds(drawn.cut.flatMap(({ outline }) => outline));
  const room = Math.max(x1 - x0, y1 - y0) * 0.03 + 500;
  const clip = useId();
  return (
    <svg
      viewBox={`${(x0 - room) / 1000} ${(-y1 - room) / 1000} ${(x1 - x0 + 2 * room) / 1000} ${(y1 - y0 + 2 * room) / 1000}`}
      className="w-full h-full"
      preserveAspectRatio="xMidYMid meet"
      role="group"
      aria-label={`${sheet.sheet.name}, flat`}
    >
      <clipPath id={clip}>
        <path d={path(drawn.cut.flatMap(({ outline, holes }) => [outline, ...holes]))} clipRule="evenodd" />
      </clipPath>
      <path d={path(drawn.cut.flatMap(({ outline, holes }) => [outline, ...holes]))} fillRule="evenodd" fill="#ffffff" />
      <image
        href={drawn.href}
        x={art.x0 / 1000}
        y={-art.y1 / 1000}
        width={(art.x1 - art.x0) / 1000}
        height={(art.y1 - art.y0) / 1000}
        preserveAspectRatio="none"
        clipPath={`url(#${clip})`}
      />
      {net.tabs.map(({ outline }, index) => (
        <path key={index} d={path([outline])} className="fill-sprig" stroke="none" />
      ))}
      {net.hinges.map((hinge, index) =>
        hinge.how === 'rolled' ? null : (
          <line
            key={index}
            {...straight([hinge.from, hinge.to])}
            className="stroke-graphite"
            strokeWidth="1"
            strokeDasharray={hinge.how === 'plain' ? '1 4' : hinge.how === 'valley' || hinge.angle < 0 ? '7 3 1 3' : '4 3'}
            vectorEffect="non-scaling-stroke"
          />
        ),
      )}
      {net.tabs.map(({ on }, index) => (
        <line
          key={index}
          {...straight([on.from, on.to])}
          className="stroke-graphite"
          strokeWidth="1"
          strokeDasharray="4 3"
          vectorEffect="non-scaling-stroke"
        />
      ))}
      {sheet.sheet.tears.map((tear, index) => (
        <line key={index} {...straight(tear)} className="stroke-graphite" strokeDasharray="1 3" vectorEffect="non-scaling-stroke" />
      ))}
      <path
        d={path(drawn.cut.flatMap(({ outline, holes }) => [outline, ...holes]))}
        fill="none"
        className="stroke-ink"
        strokeWidth="1.4"
        vectorEffect="non-scaling-stroke"
      />
      {drawn.panels.map(({ name, rings }) => (
        <path
          key={name}
          d={path(rings)}
          data-panel={name}
          fillRule="evenodd"
          className={cx('cursor-pointer', panel === name ? 'fill-rose/15 stroke-rose' : 'fill-transparent hover:fill-moss/15')}
          strokeWidth="2.5"
          vectorEffect="non-scaling-stroke"
          onClick={() => onPanel(name)}
        >
          <title>{name}</title>
        </path>
      ))}
    </svg>
  );
};
