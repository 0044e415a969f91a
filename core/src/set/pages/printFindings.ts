// What a careful maker would notice before pages are printed.
import { type Drawing, fieldOf, fittedWords, type Page, textWidth, tileJoins, wordsIn } from '../../print/index.ts';
import { bounds } from '../../shape/index.ts';
import type { SetDocument } from '../document/document.ts';
import type { Finding } from '../findings/finding.ts';

type Printed = {
  readonly document: SetDocument;
  readonly drawings: readonly Drawing[];
  readonly pages: readonly Page[];
  /** The fewest pages that could do. */
  readonly least: number;
};

const NOWHERE = { pieceId: '' };

/** So many pages more than could do, and a quarter more, are worth a word. */
const FAR = 3;

const wasteful = ({ pages, least }: Printed): readonly Finding[] => {
  const count = pages.filter(({ parts }) => parts.length > 0).length;
  if (count - least < FAR || count < 1.25 * least) return [];
  return [{ code: 'pages-wasteful', severity: 'note', numbers: { pages: count, least }, where: NOWHERE, mend: null }];
};

/** A page with this share of solid colour cockles while it dries, and empties a cartridge: common practice, no source. */
const INKY = 0.45;

const inky = ({ pages }: Printed): readonly Finding[] => {
  const found = pages.flatMap(({ ink }, index) => (ink > INKY ? [{ ink, number: String(index + 1) }] : []));
  if (found.length === 0) return [];
  const share = Math.round(100 * Math.max(...found.map(({ ink }) => ink)));
  return [
    { code: 'page-inky', severity: 'note', pages: found.map(({ number }) => number), numbers: { share }, where: NOWHERE, mend: null },
  ];
};

/** Letters lower than this are blurred by a printer at home: about 3 points; common practice, no source. */
const LEAST_LETTER = 1_050;

const small = ({ drawings }: Printed): readonly Finding[] =>
  drawings.flatMap((drawing): readonly Finding[] => {
    const sizes = wordsIn(drawing.marks).map((words) => {
      const { size } = fittedWords(
        words.lines.map((line) => textWidth(line, 1)),
        words,
      );
      const [a, b] = words.matrix;
      return size * Math.hypot(a, b);
    });
    const least = Math.min(...sizes);
    if (!(least < LEAST_LETTER)) return [];
    return [
      {
        code: 'words-too-small',
        severity: 'warning',
        paper: `${drawing.tag} ${drawing.name}`,
        numbers: { size: Math.round(least), least: LEAST_LETTER },
        where: NOWHERE,
        mend: null,
      },
    ];
  });

const throughWords = ({ document, drawings }: Printed): readonly Finding[] => {
  const field = fieldOf(document.printing);
  const [roomX, roomY] = [field.x1 - field.x0, field.y1 - field.y0];
  return drawings.flatMap((drawing): readonly Finding[] => {
    const { width, height } = drawing;
    const fits = (width <= roomX && height <= roomY) || (height <= roomX && width <= roomY);
    if (fits) return [];
    const { lying, x, y, tiles } = tileJoins(drawing, field, document.printing.overlap);
    const [across, up] = lying ? [y, x.map((at) => height - at)] : [x, y];
    const crossed = wordsIn(drawing.marks).some(({ matrix: [a, b, c, d, e, f], width: wide, height: high }) => {
      const box = bounds(
        [
          [0, 0],
          [wide, 0],
          [wide, high],
          [0, high],
        ].map(([px, py]) => [a * (px as number) + c * (py as number) + e, b * (px as number) + d * (py as number) + f] as const),
      );
      const within = (at: number, from: number, to: number) => at > from && at < to;
      return across.some((at) => within(at, box.x0, box.x1)) || up.some((at) => within(at, box.y0, box.y1));
    });
    if (!crossed) return [];
    return [
      {
        code: 'seam-through-words',
        severity: 'warning',
        paper: `${drawing.tag} ${drawing.name}`,
        numbers: { tiles },
        where: NOWHERE,
        mend: null,
      },
    ];
  });
};

const changed = ({ document, pages }: Printed): readonly Finding[] => {
  const { measured, changed: since } = document.printing.printer;
  if (pages.length === 0 || since === null || (measured !== null && measured >= since)) return [];
  return [{ code: 'printer-changed', severity: 'warning', measured, since, numbers: {}, where: NOWHERE, mend: null }];
};

const JUDGES = [changed, throughWords, small, wasteful, inky] as const;

/** All findings about pages that are to be printed. */
export const printFindings = (printed: Printed): readonly Finding[] => JUDGES.flatMap((judge) => judge(printed));
