import { CONSTANTS } from '../constants';
import { columns, type BookTable } from './table';

/** Constants, as the calculator of the notebook knows them. */
export const constantTables = (): BookTable[] => [
  {
    title: 'Constants, as the calculator knows them',
    columns: columns('=Symbol', 'Constant', '=Value', 'Source'),
    rows: CONSTANTS.map(({ symbol, name, value, unit, source }) => [symbol, name, `${value} ${unit}`.trim(), source]),
  },
];
