import { parseTyped } from '../analysis/quantity';
import type { Column } from './document';
import { CannotCompute, inUnit, lastOf, quantityIn, written, type Quantity } from './quantity-value';
import { unitOf, usualUnit } from './units';

/** What a cell shows and what it is worth. */
export interface Cell {
  text: string;
  quantity?: Quantity;
  /** Why a computed cell has no value, or why a typed one is not a number. */
  problem?: string;
}

const SPACE = '\u202f';

/** A cell as typed, in its column's unit unless another stands behind the number. */
export function typedCell(text: string, column: Column, shownText = text): Cell {
  if (text.trim() === '') return { text: '' };
  const number = parseTyped(text);
  if (!number) return { text: shownText, problem: `“${text.slice(0, 40)}” is not a number.` };
  const own = unitOf(column.unit);
  if (!own) return { text: shownText, problem: `“${column.unit}” is not a unit that Fen knows.` };
  const unit = number.unit === '' ? column.unit : number.unit;
  const quantity = quantityIn(number.value, unit, 10 ** -number.decimals);
  if (!quantity) return { text: shownText, problem: `“${number.unit}” is not a unit that Fen knows.` };
  if (quantity.dimensions.some((power, i) => power !== own.dimensions[i])) {
    return {
      text: shownText,
      problem: `This column is in ${column.unit || 'bare numbers'}, not ${number.unit}.`,
    };
  }
  const error = parseTyped(column.uncertainty);
  return {
    text: shownText,
    quantity: error && error.value > 0 ? { ...quantity, error: error.value * own.factor } : quantity,
  };
}

/** A computed value as its column shows it. @throws CannotCompute when it does not fit the column's unit */
export function shownIn(quantity: Quantity, column: Column): string {
  if (column.unit === '' && usualUnit(quantity.dimensions) !== '')
    throw new CannotCompute(`The result has a unit: give the column one, such as ${usualUnit(quantity.dimensions)}.`);
  const { value, last, error } = inUnit(quantity, column.unit);
  if (column.digits !== null) return written(value, lastOf(value, column.digits));
  return withError(value, last, error);
}

/** A value with its uncertainty to two digits, and itself to the same place; or to its own last digit. */
export function withError(value: number, last: number, error: number | undefined): string {
  if (error === undefined || error === 0) return written(value, last);
  const place = lastOf(error, 2);
  return `${written(value, place)}${SPACE}±${SPACE}${written(error, place)}`;
}
