import { type Booklet, leavesOf } from '@parlor/core/cover';
import { realUm, showLength, UM } from '@parlor/core/measure';
import { Minus, Plus, Trash2 } from 'lucide-react';
import { useId } from 'react';
import { Link, useParams } from 'react-router';
import { useEdit, useScale, useSet, useUnits } from '../../state/index.ts';
import { Button, Choice, HANDS, InkChoice, LINES_STAND, SizeField, TextField, WordsField } from '../../ui/index.ts';
import { readable } from './dressing.ts';
import { STOCKS } from './SupplyFields.tsx';

const MOST = 40;
const MOST_PAGES = 64;

const pageName = (page: number, count: number): string =>
  page === 0 ? 'Cover, line by line' : page === count - 1 ? 'Back, line by line' : `Page ${page + 1}, line by line`;

type Put = (words: string, change: Partial<Booklet>) => void;

/** What stands on one booklet's pages, how large it is, and what it is printed on. */
const BookletFields = ({
  booklet,
  tag,
  put,
  onDrop,
}: {
  readonly booklet: Booklet;
  readonly tag: string;
  readonly put: Put;
  readonly onDrop: () => void;
}) => {
  const { name, pages, width, height, face, align, ink, ground, on } = booklet;
  const scale = useScale();
  const units = useUnits();
  const { setId } = useParams();
  const leaves = leavesOf(pages.length).length;
  const closed = scale ? [width, height].map((side) => showLength(Math.round((side * scale.doll) / scale.real), units)).join(' × ') : '';
  return (
    <div className="space-y-3 bg-leaf rounded-soft p-4 shadow-leaf">
      <div className="flex items-end gap-3">
        <div className="flex-1 min-w-0">
          <TextField
            label="This booklet is called"
            most={60}
            value={name}
            onChange={(next) => put('the name of a booklet', { name: next })}
          />
        </div>
        <Button look="quiet" aria-label={`Throw ${name} away`} onClick={onDrop}>
          <Trash2 size={16} />
        </Button>
      </div>
      <div className="grid grid-cols-2 gap-5">
        <SizeField
          label="Closed, wide, real"
          world="real"
          lengthUm={width}
          min={20 * UM.mm}
          max={UM.m}
          onChange={(um) => put(`how wide ${name} is`, { width: realUm(um) })}
        />
        <SizeField
          label="Closed, high, real"
          world="real"
          lengthUm={height}
          min={20 * UM.mm}
          max={UM.m}
          onChange={(um) => put(`how high ${name} is`, { height: realUm(um) })}
        />
      </div>
      <p className="text-small text-graphite" aria-live="polite">
        {closed} at doll size · {leaves === 1 ? 'one leaf' : `${leaves} leaves laid into one another`}, printed on both sides ·{' '}
        <Link
          to={`/sets/${setId}/printing?print=coverings&find=${encodeURIComponent(tag)}`}
          className="underline decoration-dotted text-ink"
        >
          its pages
        </Link>
      </p>
      {pages.map((words, page) => (
        <WordsField
          key={page}
          label={pageName(page, pages.length)}
          value={words}
          onChange={(next) => put(`what ${name} says`, { pages: pages.map((each, at) => (at === page ? next : each)) })}
        />
      ))}
      <div className="flex flex-wrap gap-2">
        <Button
          look="quiet"
          className="-ml-3"
          disabled={pages.length >= MOST_PAGES}
          onClick={() => put(`a page more in ${name}`, { pages: [...pages.slice(0, -1), '', ...pages.slice(-1)] })}
        >
          <Plus size={16} /> a page before the back
        </Button>
        <Button
          look="quiet"
          disabled={pages.length <= 2}
          onClick={() => put(`a page less in ${name}`, { pages: [...pages.slice(0, -2), ...pages.slice(-1)] })}
        >
          <Minus size={16} /> the one before the back
        </Button>
      </div>
      <Choice label="Written" value={face} options={HANDS} onChange={(next) => put(`the hand of ${name}`, { face: next })} />
      <Choice label="Lines" value={align} options={LINES_STAND} onChange={(next) => put(`the lines of ${name}`, { align: next })} />
      <InkChoice label="words" usual={null} value={ink} onChange={(next) => put(`the ink of ${name}`, { ink: next ?? ink })} />
      <InkChoice label="ground" usual={null} value={ground} onChange={(next) => put(`the ground of ${name}`, { ground: next ?? ground })} />
      <Choice label="Printed on" value={on} options={STOCKS} onChange={(next) => put(`what ${name} is printed on`, { on: next })} />
    </div>
  );
};

/** Menus, timetables, stamp books: what is printed on both sides, folded and read. */
export const Booklets = () => {
  const { booklets, palette } = useSet();
  const edit = useEdit();
  const id = useId();
  const change = (words: string, next: readonly Booklet[]) => edit(words, { kind: 'change-set', change: { booklets: next } });
  const add = () => {
    const fresh: Booklet = {
      ...readable(palette),
      id: crypto.randomUUID(),
      name: `booklet ${booklets.length + 1}`,
      width: realUm(105 * UM.mm),
      height: realUm(148 * UM.mm),
      pages: ['Title', '', '', ''],
      face: 'name',
      align: 'middle',
      on: 'plain',
    };
    change('a booklet', [...booklets, fresh]);
  };
  return (
    <section aria-labelledby={id}>
      <h2 id={id} className="text-lead font-semibold">
        Booklets of the set
      </h2>
      <p className="text-small text-graphite mb-2">menus, timetables, stamp books: printed on both sides, folded, read</p>
      <ul className="space-y-3">
        {booklets.map((booklet, index) => (
          <li key={booklet.id} data-booklet={booklet.name}>
            <details>
              <summary className="cursor-pointer min-h-touch flex items-center font-hand text-lead underline decoration-dotted">
                {booklet.name || 'a booklet'} · {booklet.pages.length} pages
              </summary>
              <BookletFields
                booklet={booklet}
                tag={`book ${index + 1}`}
                put={(words, part) =>
                  change(
                    words,
                    booklets.map((each) => (each.id === booklet.id ? { ...each, ...part } : each)),
                  )
                }
                onDrop={() =>
                  change(
                    `${booklet.name} thrown away`,
                    booklets.filter((each) => each.id !== booklet.id),
                  )
                }
              />
            </details>
          </li>
        ))}
      </ul>
      <Button look="quiet" className="-ml-3 mt-1" disabled={booklets.length >= MOST || palette.length === 0} onClick={add}>
        <Plus size={16} /> {booklets.length === 0 ? 'a booklet' : 'another booklet'}
      </Button>
    </section>
  );
};
