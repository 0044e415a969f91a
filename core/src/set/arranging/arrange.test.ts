import { describe, expect, it } from 'vitest';
import { applyEdit, arrangedIn, derive, describeFinding, type SetDocument } from '../index.ts';
import { roomSet, type Thing } from './roomSet.testing.ts';

const setWith = (room: object, things: readonly Thing[]): SetDocument => roomSet(things, room);

const notesOf = (document: SetDocument): readonly string[] =>
  arrangedIn(document, derive(document), 'room')?.findings.map((finding) => {
    const { title, reason } = describeFinding(finding, document.units);
    return `${finding.code}: ${title}. ${reason}`;
  }) ?? [];

describe('an arranged room', () => {
  it('has nothing to note where all stands free, opens and is reached', () => {
    expect(
      notesOf(
        setWith({}, [
          { key: 'bookcase', x: 120, z: 30 },
          { key: 'side-chair', x: 300, z: 200 },
        ]),
      ),
    ).toEqual([]);
  });

  it('says each thing that a careful maker would notice, by name, once', () => {
    const crowd = notesOf(
      setWith({}, [
        { key: 'bookcase', x: 120, z: 200 },
        { key: 'side-chair', x: 130, z: 205 },
        { key: 'coffee-table', x: 520, z: 200 },
        { key: 'wall-clock', x: 250, z: 150, up: 150 },
        { key: 'running-chest', x: 350, z: 60 },
        { key: 'box', x: 350, z: 160 },
      ]),
    );
    expect(crowd.filter((note) => note.startsWith('things-clash'))).toEqual([
      expect.stringContaining('Bookcase and Side chair run into each other.'),
      expect.stringMatching(/Coffee table runs into the room’s own walls/),
    ]);
    expect(crowd.filter((note) => note.startsWith('stands-outside'))).toEqual([expect.stringContaining('Coffee table')]);
    expect(crowd.filter((note) => note.startsWith('hangs-free'))).toEqual([expect.stringContaining('hangs in the air')]);
    expect(crowd.filter((note) => note.startsWith('opens-into'))).toEqual([
      expect.stringMatching(/Chest with drawers that run runs into Plain box/),
    ]);
  });

  it('tells where she cannot go, with how broad she is', () => {
    const room = { width: '1200 mm', depth: '2400 mm' };
    const notes = notesOf(
      setWith(room, [
        { key: 'wardrobe', x: 90, z: 250 },
        { key: 'box', x: 100, z: 40 },
      ]),
    );
    expect(notes.find((note) => note.startsWith('no-way-to'))).toMatch(
      /Marisol is ≈ 75 mm across the shoulders, and no way as wide leads to Plain box/,
    );
  });

  it('under a ceiling tells what a hand does not reach from the side that opens', () => {
    const things = [{ key: 'bookcase', x: 120, z: 30 }] as const;
    const deep = { depth: '4000 mm', ceiling: true };
    expect(notesOf(setWith(deep, things))).toEqual([expect.stringMatching(/^out-of-reach: Your hand does not get there/)]);
    expect(notesOf(setWith({ ...deep, ceiling: false }, things))).toEqual([]);
    expect(notesOf(setWith({ ceiling: true }, [{ key: 'bookcase', x: 120, z: 200 }]))).toEqual([]);
  });

  it('keeps what stands where it stands as the very same thing while another is moved', () => {
    const document = setWith({}, [
      { key: 'bookcase', x: 120, z: 30 },
      { key: 'side-chair', x: 300, z: 200 },
    ]);
    const derived = derive(document);
    const before = arrangedIn(document, derived, 'room');
    const [layout] = document.layouts;
    const moved = {
      ...document,
      layouts: [{ ...layout, placed: layout?.placed.with(1, { ...(layout.placed[1] as never as object), x: 250_000 } as never) }],
    } as SetDocument;
    const after = arrangedIn(moved, derived, 'room');
    expect(after?.standing[0]).toBe(before?.standing[0]);
    expect(after?.standing[1]).not.toBe(before?.standing[1]);
  });

  it('is nothing for a piece that is no room, and for one that cannot be built', () => {
    const document = setWith({}, [{ key: 'bookcase', x: 120, z: 30 }]);
    expect(arrangedIn(document, derive(document), 'bookcase-0')).toBeUndefined();
    const broken = setWith({ width: '20 mm' }, []);
    expect(arrangedIn(broken, derive(broken), 'room')).toBeUndefined();
  });

  it('is changed as a whole and taken back as a whole', () => {
    const document = setWith({}, [{ key: 'bookcase', x: 120, z: 30 }]);
    const { document: emptied, inverse } = applyEdit(document, { kind: 'change-set', change: { layouts: [] } });
    expect(emptied.layouts).toEqual([]);
    expect(applyEdit(emptied, inverse).document).toEqual(document);
  });
});
