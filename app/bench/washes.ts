import type { Look } from '@core/databook/materials';
import type { Appearance } from '@core/practicals/measuring/plan';

/** Flat washes for solids, by what they look like. */
export const SOLID_WASH: Record<Look, string> = {
  'grey metal': '#a9b3b2',
  'red metal': '#c07a5a',
  'yellow metal': '#cdb25c',
  clear: 'rgb(31 111 134 / 0.14)',
  white: '#efece1',
  dark: '#5b6163',
  wood: '#c8a67a',
};

export const LIQUID_WASH: Record<Appearance, string> = {
  clear: 'rgb(31 111 134 / 0.16)',
  coloured: 'rgb(138 63 115 / 0.42)',
  opaque: '#e6dfcb',
};
