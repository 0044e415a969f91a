// Presets to store things in.
import type { Preset } from '../kit/preset.ts';
import { even, preset } from './preset.ts';

/** Sizes of the real things: bookcase, wardrobe, chest, night stand, kitchen units and appliances from interior-design handbooks (Panero &
 *  Zelnik; Neufert), recalled from memory; pigeon-holes, lockers, toy box and media unit are common practice without source. */
export const STORING: readonly Preset[] = [
  preset('bookcase', 'Bookcase', 'shelves at even gaps on a plinth', 'shelf shelves books rack', 'storing', {
    width: '900 mm',
    height: '1800 mm',
    depth: '300 mm',
    plinth: '80 mm',
    setback: '20 mm',
    front: { kind: 'shelves', count: 5, holds: 'paperback' },
  }),
  preset('chest', 'Chest of drawers', 'false fronts, plates at even gaps', 'drawers dresser commode bedroom', 'storing', {
    width: '900 mm',
    height: '850 mm',
    depth: '450 mm',
    corner: 'top',
    base: 'feet',
    plinth: '60 mm',
    setback: '20 mm',
    front: { kind: 'drawers', count: 4, fit: 'inset', gap: '3 mm', grip: 'knob' },
  }),
  preset('running-chest', 'Chest with drawers that run', 'trays on boards, with stops', 'drawers dresser running working', 'storing', {
    width: '900 mm',
    height: '850 mm',
    depth: '450 mm',
    corner: 'top',
    base: 'legs',
    plinth: '120 mm',
    setback: '30 mm',
    front: { kind: 'drawers', make: 'running', count: 3, fit: 'inset', gap: '0.5 mm', grip: 'bar' },
  }),
  preset('night-stand', 'Night stand', 'one drawer, an open bay below', 'bedside table lamp bedroom cabinet', 'storing', {
    width: '450 mm',
    height: '600 mm',
    depth: '400 mm',
    corner: 'top',
    base: 'legs',
    plinth: '150 mm',
    setback: '20 mm',
    front: {
      kind: 'rows',
      slots: [
        { cell: { kind: 'open', holds: 'paperback' } },
        { size: { clear: '130 mm' }, cell: { kind: 'drawers', count: 1, fit: 'inset', gap: '1 mm', grip: 'knob' } },
      ],
    },
  }),
  preset('wardrobe', 'Wardrobe', 'two doors, room to hang, a shelf above', 'closet clothes cupboard armoire bedroom', 'storing', {
    width: '1000 mm',
    height: '2000 mm',
    depth: '600 mm',
    plinth: '80 mm',
    setback: '30 mm',
    front: {
      kind: 'door',
      hinge: 'pair',
      style: 'framed',
      border: '90 mm',
      grip: 'knob',
      behind: {
        kind: 'rows',
        slots: [{ cell: { kind: 'open', holds: 'coat on a hanger' } }, { size: { clear: '300 mm' }, cell: { kind: 'open' } }],
      },
    },
  }),
  preset('sideboard', 'Sideboard', 'low, with doors left and right and shelves between', 'buffet credenza cupboard dining', 'storing', {
    width: '1500 mm',
    height: '800 mm',
    depth: '450 mm',
    corner: 'top',
    plinth: '80 mm',
    setback: '30 mm',
    front: {
      kind: 'columns',
      slots: [
        {
          size: { share: 2 },
          cell: { kind: 'door', hinge: 'left', fit: 'inset', gap: '0.6 mm', grip: 'knob', behind: { kind: 'shelves', count: 1 } },
        },
        { size: { share: 3 }, cell: { kind: 'shelves', count: 2 } },
        {
          size: { share: 2 },
          cell: { kind: 'door', hinge: 'right', fit: 'inset', gap: '0.6 mm', grip: 'knob', behind: { kind: 'shelves', count: 1 } },
        },
      ],
    },
  }),
  preset('pedestal', 'Desk pedestal', 'drawers to stand under a desk top', 'drawers office cabinet rolling', 'storing', {
    width: '420 mm',
    height: '680 mm',
    depth: '550 mm',
    corner: 'top',
    base: 'feet',
    plinth: '40 mm',
    setback: '15 mm',
    front: { kind: 'drawers', count: 3, fit: 'inset', gap: '2 mm', grip: 'bar' },
  }),
  preset('pigeon-holes', 'Pigeon-holes', 'a wall of small bays for letters or shoes', 'cubby shoes letters mail sorting', 'storing', {
    width: '1200 mm',
    height: '1100 mm',
    depth: '300 mm',
    front: { kind: 'rows', slots: even(4, { kind: 'columns', slots: even(5, { kind: 'open', holds: 'letter, C6' }) }) },
  }),
  preset('lockers', 'Lockers', 'doors in rows that sit inside', 'school sports changing room metal', 'storing', {
    width: '1200 mm',
    height: '1800 mm',
    depth: '500 mm',
    plinth: '100 mm',
    setback: '20 mm',
    standing: 'fixed to the wall',
    front: {
      kind: 'columns',
      slots: even(3, { kind: 'rows', slots: even(3, { kind: 'door', fit: 'inset', gap: '0.6 mm', hinge: 'left', grip: 'bar' }) }),
    },
  }),
  preset('media-unit', 'Media unit', 'long and low, an open middle between two flaps', 'television tv console living room', 'storing', {
    width: '1600 mm',
    height: '480 mm',
    depth: '420 mm',
    corner: 'top',
    base: 'legs',
    plinth: '120 mm',
    setback: '40 mm',
    front: {
      kind: 'columns',
      slots: [
        { cell: { kind: 'door', hinge: 'bottom', fit: 'inset', gap: '0.6 mm', grip: 'bar' } },
        { size: { share: 1.4 }, cell: { kind: 'shelves', count: 1 } },
        { cell: { kind: 'door', hinge: 'bottom', fit: 'inset', gap: '0.6 mm', grip: 'bar' } },
      ],
    },
  }),
  preset('toy-box', 'Toy box', 'a chest with a lid that turns at the back', 'chest trunk blanket lid nursery', 'storing', {
    width: '800 mm',
    height: '450 mm',
    depth: '420 mm',
    top: 'lid',
    front: { kind: 'plate', fit: 'inset' },
  }),
  preset('display', 'Display cabinet', 'windows in the doors, glass shelves', 'vitrine glass china showcase', 'storing', {
    width: '900 mm',
    height: '1800 mm',
    depth: '350 mm',
    plinth: '80 mm',
    setback: '20 mm',
    standing: 'fixed to the wall',
    front: {
      kind: 'door',
      hinge: 'pair',
      fit: 'overlay',
      style: 'glazed',
      border: '70 mm',
      grip: 'knob',
      behind: { kind: 'shelves', count: 4, made: 'clear' },
    },
  }),
  preset('framed-cupboard', 'Cupboard with a face frame', 'an even border before the raw edges', 'face frame hutch pantry', 'storing', {
    width: '1000 mm',
    height: '1200 mm',
    depth: '400 mm',
    plinth: '80 mm',
    setback: '0 mm',
    frame: { border: '70 mm' },
    front: {
      kind: 'columns',
      slots: [
        { cell: { kind: 'shelves', count: 2 } },
        { cell: { kind: 'door', fit: 'inset', gap: '0.6 mm', hinge: 'right', grip: 'knob' } },
      ],
    },
  }),
  preset('box', 'Plain box', 'four panels and a back, to divide as you like', 'crate cube shelf', 'storing', {
    width: '800 mm',
    height: '800 mm',
    depth: '400 mm',
    front: { kind: 'open' },
  }),
];
