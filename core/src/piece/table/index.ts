import { defineFamily } from '../family/family.ts';
import { buildTable } from './buildTable.ts';
import { TABLE_FIELDS } from './fields.ts';
import { tableOffers, tableSatAt } from './offers.ts';
import { TABLE_PRESETS } from './presets.ts';
import { type Table, tableModel } from './table.ts';

export const TABLE = defineFamily<Table>({
  model: tableModel,
  fields: TABLE_FIELDS,
  presets: TABLE_PRESETS,
  build: buildTable,
  offers: tableOffers,
  satAt: tableSatAt,
  spanRole: ({ role }) => (role === 'top' ? 'top' : undefined),
});
