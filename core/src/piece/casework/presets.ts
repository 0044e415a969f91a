import type { z } from 'zod';
import type { Preset } from '../kit/preset.ts';
import type { caseworkSchema } from './casework.ts';

const even = (count: number, cell: object): object[] => Array.from({ length: count }, () => ({ cell }));

const preset = (
  key: string,
  name: string,
  hint: string,
  words: string,
  kind: Preset['kind'],
  piece: z.input<typeof caseworkSchema>,
): Preset => ({
  key,
  name,
  hint,
  words,
  kind,
  piece: { ...piece, family: 'casework', name },
});

/** Sizes of the real things: bookcase, wardrobe, chest, night stand, kitchen units and appliances from interior-design handbooks (Panero &
 *  Zelnik; Neufert), recalled from memory; pigeon-holes, lockers, toy box and media unit are common practice without source. */
const STORING: readonly Preset[] = [
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

const KITCHEN: readonly Preset[] = [
  preset('base-unit', 'Kitchen base unit', 'a door and a drawer under a worktop, with a toe-kick', 'cabinet counter cupboard', 'kitchen', {
    width: '600 mm',
    height: '910 mm',
    depth: '620 mm',
    base: 'toe-kick',
    plinth: '100 mm',
    setback: '75 mm',
    standing: 'fixed to the wall',
    worktop: { front: '15 mm' },
    front: {
      kind: 'rows',
      slots: [
        { cell: { kind: 'door', fit: 'overlay', hinge: 'left', grip: 'bar', behind: { kind: 'shelves', count: 1 } } },
        { size: { clear: '130 mm' }, cell: { kind: 'drawers', count: 1, fit: 'overlay', gap: '0.5 mm', grip: 'bar' } },
      ],
    },
  }),
  preset('sink-unit', 'Sink unit', 'a found tub let into the worktop', 'basin tub wash kitchen bathroom', 'kitchen', {
    width: '800 mm',
    height: '910 mm',
    depth: '620 mm',
    base: 'toe-kick',
    plinth: '100 mm',
    setback: '75 mm',
    standing: 'fixed to the wall',
    worktop: { front: '15 mm', tub: {} },
    front: { kind: 'door', hinge: 'pair', fit: 'overlay', grip: 'bar' },
  }),
  preset('wall-unit', 'Kitchen wall unit', 'doors over shelves, hung above the worktop', 'cabinet cupboard hanging', 'kitchen', {
    width: '800 mm',
    height: '720 mm',
    depth: '320 mm',
    standing: 'fixed to the wall',
    front: { kind: 'door', hinge: 'pair', style: 'framed', border: '60 mm', grip: 'knob', behind: { kind: 'shelves', count: 2 } },
  }),
  preset('oven', 'Oven', 'a window in its door, a rack on slides, dials, burners', 'range stove cooker hob', 'kitchen', {
    width: '762 mm',
    height: '915 mm',
    depth: '650 mm',
    corner: 'sides',
    base: 'toe-kick',
    plinth: '80 mm',
    setback: '50 mm',
    standing: 'fixed to the wall',
    worktop: { front: '0 mm', burners: 4, burner: '190 mm' },
    holes: [{ panel: 'back', what: 'lamp', across: '380 mm', up: '450 mm', diameter: '5 mm' }],
    front: {
      kind: 'rows',
      slots: [
        { size: { clear: '130 mm' }, cell: { kind: 'drawers', count: 1, fit: 'inset', gap: '1 mm' } },
        {
          cell: {
            kind: 'door',
            hinge: 'bottom',
            fit: 'inset',
            gap: '1.2 mm',
            style: 'glazed',
            border: '80 mm',
            grip: 'bar',
            behind: { kind: 'slides', at: ['80 mm', '200 mm'], carries: 'rack', count: 6 },
          },
        },
        { size: { clear: '90 mm' }, cell: { kind: 'plate', fit: 'inset', discs: 5, disc: '50 mm', layers: 2 } },
      ],
    },
  }),
  preset('fridge', 'Fridge-freezer', 'inner walls, glass shelves, bins in the door', 'refrigerator icebox cooler', 'kitchen', {
    width: '700 mm',
    height: '1700 mm',
    depth: '700 mm',
    base: 'feet',
    plinth: '30 mm',
    setback: '20 mm',
    standing: 'fixed to the wall',
    lining: {},
    front: {
      kind: 'rows',
      slots: [
        {
          size: { share: 2 },
          cell: { kind: 'door', hinge: 'right', fit: 'overlay', grip: 'bar', behind: { kind: 'shelves', count: 1, back: '30 mm' } },
        },
        {
          size: { share: 3 },
          cell: {
            kind: 'door',
            hinge: 'right',
            fit: 'overlay',
            grip: 'bar',
            bins: 3,
            behind: { kind: 'shelves', count: 3, made: 'clear', back: '10 mm' },
          },
        },
      ],
    },
  }),
  preset('dishwasher', 'Dishwasher', 'racks of bent wire that slide out', 'dishes washing tines', 'kitchen', {
    width: '600 mm',
    height: '860 mm',
    depth: '600 mm',
    base: 'toe-kick',
    plinth: '90 mm',
    setback: '50 mm',
    standing: 'fixed to the wall',
    front: {
      kind: 'rows',
      slots: [
        {
          cell: {
            kind: 'door',
            hinge: 'bottom',
            fit: 'inset',
            gap: '1 mm',
            grip: 'bar',
            behind: {
              kind: 'slides',
              at: ['60 mm', '280 mm'],
              carries: 'tines',
              between: '6 mm',
              tineUp: '90 mm',
              tineAcross: '75 mm',
              count: 7,
            },
          },
        },
        { size: { clear: '70 mm' }, cell: { kind: 'plate', fit: 'inset', discs: 2, disc: '30 mm' } },
      ],
    },
  }),
  preset('microwave', 'Microwave', 'its door turns on pins, a turntable inside', 'oven small', 'kitchen', {
    width: '500 mm',
    height: '300 mm',
    depth: '380 mm',
    corner: 'top',
    base: 'feet',
    plinth: '15 mm',
    setback: '20 mm',
    front: {
      kind: 'columns',
      slots: [
        {
          cell: {
            kind: 'door',
            hinge: 'left',
            fit: 'inset',
            gap: '0.8 mm',
            hang: 'pins',
            pin: '5 mm',
            style: 'slab',
            grip: 'bar',
            behind: { kind: 'open', turntable: '200 mm' },
          },
        },
        { size: { clear: '80 mm' }, cell: { kind: 'plate', fit: 'inset', discs: 2, disc: '45 mm' } },
      ],
    },
  }),
  preset('washing-machine', 'Washing machine', 'a round window in its front, a dial', 'laundry washer dryer porthole', 'kitchen', {
    width: '600 mm',
    height: '850 mm',
    depth: '600 mm',
    base: 'feet',
    plinth: '20 mm',
    setback: '20 mm',
    front: {
      kind: 'rows',
      slots: [
        {
          cell: {
            kind: 'door',
            hinge: 'left',
            fit: 'inset',
            gap: '1.2 mm',
            style: 'glazed',
            window: 'round',
            border: '110 mm',
            grip: 'knob',
          },
        },
        { size: { clear: '110 mm' }, cell: { kind: 'plate', fit: 'inset', discs: 2, disc: '70 mm', layers: 2 } },
      ],
    },
  }),
];

export const CASEWORK_PRESETS: readonly Preset[] = [...STORING, ...KITCHEN];
