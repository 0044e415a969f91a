import type { z } from 'zod';
import { type Preset, presetsOf } from '../family/preset.ts';
import type { tableSchema } from './table.ts';

const preset = presetsOf<z.input<typeof tableSchema>>('table', 'tables');

/** Heights of tables and desks from interior-design handbooks (Panero & Zelnik; Neufert), recalled from memory; the rest is common practice
 *  without source. */
export const TABLE_PRESETS: readonly Preset[] = [
  preset('dining-table', 'Dining table', 'square legs, aprons between them', 'kitchen four legs', {
    width: '1600 mm',
    depth: '850 mm',
    height: '740 mm',
    thick: { top: '30 mm' },
  }),
  preset('round-table', 'Round table', 'round legs inside its frame', 'cafe bistro dining', {
    width: '1100 mm',
    depth: '1100 mm',
    height: '740 mm',
    shape: 'round',
    stick: 'round dowel, 8 mm',
    inset: '0 mm',
  }),
  preset('coffee-table', 'Coffee table', 'low, L-shaped legs of board', 'living room sofa low', {
    width: '1100 mm',
    depth: '600 mm',
    height: '430 mm',
    stands: 'L',
    legWidth: '90 mm',
    inset: '0 mm',
    apron: '70 mm',
  }),
  preset('desk', 'Desk with drawers', 'drawers that run under its top', 'writing office school bureau', {
    width: '1300 mm',
    depth: '650 mm',
    height: '740 mm',
    drawers: 2,
    apron: '140 mm',
    inset: '20 mm',
  }),
  preset('panel-desk', 'Desk on end panels', 'whole boards at both ends, to slide under something', 'writing office computer', {
    width: '1200 mm',
    depth: '600 mm',
    height: '720 mm',
    stands: 'panels',
    apron: '200 mm',
    inset: '10 mm',
    under: '760 mm',
  }),
  preset('trestle-table', 'Trestle table', 'two trestles and a stretcher', 'work bench craft market potting', {
    width: '1700 mm',
    depth: '750 mm',
    height: '760 mm',
    stands: 'trestles',
    legWidth: '90 mm',
    inset: '150 mm',
    stretchers: 'H',
    stretcherUp: '250 mm',
  }),
  preset('side-table', 'Side table', 'small, stretchers all round', 'lamp hall plant stand', {
    width: '450 mm',
    depth: '450 mm',
    height: '600 mm',
    stick: 'square dowel, 8 mm',
    inset: '10 mm',
    apron: '80 mm',
    stretchers: 'all round',
    stretcherUp: '120 mm',
  }),
  preset('wall-table', 'Wall table', 'a top on triangular brackets', 'shelf bracket counter hanging', {
    width: '1000 mm',
    depth: '450 mm',
    height: '740 mm',
    stands: 'wall',
    brackets: 3,
    bracketHeight: '300 mm',
    inset: '60 mm',
  }),
  preset('folding-table', 'Folding wall table', 'brackets turn aside, the top folds down', 'drop leaf murphy camper', {
    width: '1000 mm',
    depth: '420 mm',
    height: '740 mm',
    stands: 'wall',
    brackets: 2,
    bracketHeight: '350 mm',
    inset: '40 mm',
    folds: true,
  }),
];
