// Presets of kitchens: units and appliances.
import type { Preset } from '../family/preset.ts';
import { preset } from './preset.ts';

export const KITCHEN: readonly Preset[] = [
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
            behind: { kind: 'slides', at: ['80 mm', '220 mm'], carries: 'rack', count: 6 },
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
            behind: { kind: 'shelves', count: 3, made: 'clear', sheet: '2 mm', back: '10 mm' },
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
