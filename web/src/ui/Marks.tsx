import { fittedWords, LINE_STYLES, type Mark } from '@parlor/core/print';
import type { Ring } from '@parlor/core/shape';
import { Fragment, useId } from 'react';
import { fontOf, tonesUrl, widthsOf } from './lookCanvas.ts';
import { mm } from './mm.ts';
import { pictureUrl } from './pictures.ts';

type Props = { readonly marks: readonly Mark[] /** Of the page, in µm: marks count up from its lower edge. */; readonly height: number };

const pathOf = (rings: readonly Ring[], height: number): string =>
  rings.map((ring) => `M${ring.map(([x, y]) => `${mm(x)} ${mm(height - y)}`).join('L')}Z`).join('');

const Group = ({ mark, height }: { readonly mark: Mark & { kind: 'group' }; readonly height: number }) => {
  const id = useId();
  return (
    <g clipPath={`url(#${id})`}>
      <clipPath id={id}>
        <path d={pathOf(mark.clip, height)} clipRule="evenodd" />
      </clipPath>
      <Marks marks={mark.marks} height={height} />
    </g>
  );
};

const Words = ({ mark, height }: { readonly mark: Mark & { kind: 'words' }; readonly height: number }) => {
  const { lines, face, align, colour, width, matrix } = mark;
  const widths = widthsOf(lines, face);
  const { size, middles } = fittedWords(widths, mark);
  const [a, b, c, d, e, f] = matrix;
  return (
    <g transform={`matrix(${a} ${-b} ${-c} ${d} ${mm(e)} ${mm(height - f)})`} fill={colour}>
      {lines.map((line, index) => (
        <text
          key={index}
          x={mm(align === 'middle' ? width / 2 : 0)}
          y={-mm(middles[index] as number)}
          textAnchor={align === 'middle' ? 'middle' : 'start'}
          dominantBaseline="central"
          style={{ font: fontOf(face, mm(size)) }}
        >
          {line}
        </text>
      ))}
    </g>
  );
};

const Drawn = ({ mark, height }: { readonly mark: Mark; readonly height: number }) => {
  switch (mark.kind) {
    case 'text': {
      const [x, y] = [mm(mark.at[0]), mm(height - mark.at[1])];
      return (
        <text
          x={x}
          y={y}
          fontSize={mm(mark.size)}
          textAnchor={mark.anchor}
          dominantBaseline="central"
          fill="#2b2440"
          transform={mark.angle === 0 ? undefined : `rotate(${-mark.angle} ${x} ${y})`}
        >
          {mark.text}
        </text>
      );
    }
    case 'line': {
      const { weight, dash, colour } = LINE_STYLES[mark.style];
      return (
        <path
          d={`M${mark.points.map(([x, y]) => `${mm(x)} ${mm(height - y)}`).join('L')}${mark.closed ? 'Z' : ''}`}
          fill="none"
          stroke={colour}
          strokeWidth={mm(weight) * 1.6}
          strokeDasharray={dash.length > 0 ? dash.map(mm).join(' ') : undefined}
        />
      );
    }
    case 'fill':
      return <path d={pathOf(mark.rings, height)} fill={mark.colour} fillRule="evenodd" />;
    case 'tones': {
      const { x0, y0, x1, y1 } = mark.window;
      const { cos, sin, dx, dy } = mark.place;
      // The picture's own axes run right and down from the window's upper left corner.
      const [x, y] = [x0 * cos - y1 * sin + dx, x0 * sin + y1 * cos + dy];
      return (
        <image
          href={tonesUrl(mark.look, mark.window)}
          width={mm(x1 - x0)}
          height={mm(y1 - y0)}
          preserveAspectRatio="none"
          transform={`matrix(${cos} ${-sin} ${sin} ${cos} ${mm(x)} ${mm(height - y)})`}
        />
      );
    }
    case 'picture': {
      const [a, b, c, d, e, f] = mark.matrix;
      // The unit square's y runs up, the picture's down.
      return (
        <image
          href={pictureUrl(mark.picture)}
          width={1}
          height={1}
          preserveAspectRatio="none"
          transform={`matrix(${[a, -b, -c, d, c + e, height - d - f].map((value) => value / 1000).join(' ')})`}
        />
      );
    }
    case 'words':
      return <Words mark={mark} height={height} />;
    case 'group':
      return <Group mark={mark} height={height} />;
  }
};

/** What is printed, as SVG in millimetres, y down: the very marks that the PDF is written from. */
export const Marks = ({ marks, height }: Props) => (
  <>
    {marks.map((mark, index) => (
      <Fragment key={index}>
        <Drawn mark={mark} height={height} />
      </Fragment>
    ))}
  </>
);
