import type { z } from 'zod';
import type { caseworkSchema } from './casework.ts';

/** A piece to start from: what people call it, and the decisions that differ from the defaults. */
export type Preset = { readonly key: string; readonly name: string; readonly hint: string; readonly piece: z.input<typeof caseworkSchema> };

const even = (count: number, cell: object): object[] => Array.from({ length: count }, () => ({ cell }));

/** Real-object sizes from interior-design handbooks (Panero & Zelnik; Neufert), recalled from memory; pigeon-holes and the
 *  parcel cupboard are common practice without source. */
export const PRESETS: readonly Preset[] = [
  {
    key: 'bookcase',
    name: 'Bookcase',
    hint: 'shelves at even gaps on a plinth',
    piece: {
      name: 'Bookcase',
      width: '900 mm',
      height: '1800 mm',
      depth: '300 mm',
      plinth: '80 mm',
      setback: '20 mm',
      front: { kind: 'shelves', count: 5, holds: 'paperback' },
    },
  },
  {
    key: 'pigeon-holes',
    name: 'Pigeon-holes',
    hint: 'a wall of small bays for letters or shoes',
    piece: {
      name: 'Pigeon-holes',
      width: '1200 mm',
      height: '1100 mm',
      depth: '300 mm',
      front: { kind: 'rows', slots: even(4, { kind: 'columns', slots: even(5, { kind: 'open', holds: 'letter, C6' }) }) },
    },
  },
  {
    key: 'wardrobe',
    name: 'Wardrobe',
    hint: 'two doors, room to hang, a shelf above',
    piece: {
      name: 'Wardrobe',
      width: '1000 mm',
      height: '2000 mm',
      depth: '600 mm',
      plinth: '80 mm',
      setback: '30 mm',
      front: {
        kind: 'door',
        hinge: 'pair',
        behind: {
          kind: 'rows',
          slots: [{ cell: { kind: 'open', holds: 'coat on a hanger' } }, { size: { clear: '300 mm' }, cell: { kind: 'open' } }],
        },
      },
    },
  },
  {
    key: 'sideboard',
    name: 'Sideboard',
    hint: 'low, with doors left and right and shelves between',
    piece: {
      name: 'Sideboard',
      width: '1500 mm',
      height: '800 mm',
      depth: '450 mm',
      corner: 'top',
      plinth: '80 mm',
      setback: '30 mm',
      front: {
        kind: 'columns',
        slots: [
          { size: { share: 2 }, cell: { kind: 'door', hinge: 'left', behind: { kind: 'shelves', count: 1 } } },
          { size: { share: 3 }, cell: { kind: 'shelves', count: 2 } },
          { size: { share: 2 }, cell: { kind: 'door', hinge: 'right', behind: { kind: 'shelves', count: 1 } } },
        ],
      },
    },
  },
  {
    key: 'box',
    name: 'Plain box',
    hint: 'four panels and a back, to divide as you like',
    piece: { name: 'Box', width: '800 mm', height: '800 mm', depth: '400 mm', front: { kind: 'open' } },
  },
];
