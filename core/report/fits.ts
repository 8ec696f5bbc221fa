import { sameDimensions, unitOf } from '../notebook/units';
import type { Ask, SampleQuantity } from './asks';

/** Whether a question that is held against the sample can be answered rightly at all. */

const missing = (all: readonly string[], given: readonly string[]): string[] => {
  const plain = (text: string) => text.trim().toLowerCase();
  const there = new Set(given.map(plain));
  return all.filter((one) => !there.has(plain(one)));
};

const listed = (names: readonly string[]): string =>
  names.slice(0, 4).join(', ') + (names.length > 4 ? ` and ${names.length - 4} more` : '');

/** What is in the way of a right answer, by the part of the question; nothing where one can be given. */
export function misfit(
  ask: Ask,
  quantities: readonly SampleQuantity[],
): { field: string; sentence: string } | undefined {
  if (!('quantity' in ask) || ask.quantity === null) return undefined;
  const quantity = quantities.find(({ key }) => key === ask.quantity);
  if (!quantity) return { field: 'quantity', sentence: 'The sample has no such quantity. Choose another.' };
  if (quantity.kind !== ask.kind)
    return { field: 'quantity', sentence: `${quantity.label} is not answered so. Ask for it in another way.` };
  if (ask.kind === 'number' && quantity.kind === 'number') {
    const [wanted, known] = [unitOf(ask.unit), unitOf(quantity.unit)];
    if (wanted && known && !sameDimensions(wanted.dimensions, known.dimensions))
      return {
        field: 'unit',
        sentence: `${quantity.label} is in ${quantity.unit || 'bare numbers'}, so nobody can give it in “${ask.unit}”.`,
      };
  }
  if (ask.kind === 'name' && quantity.kind === 'name') {
    const absent = missing(quantity.options, ask.options);
    if (absent.length > 0)
      return { field: 'options', sentence: `A sample can be one that is not offered here: ${listed(absent)}.` };
  }
  if (ask.kind === 'grid' && quantity.kind === 'grid') {
    for (const part of ['rows', 'columns', 'options'] as const) {
      const absent = missing(quantity[part], ask[part]);
      if (absent.length > 0) return { field: part, sentence: `What belongs here is not offered: ${listed(absent)}.` };
    }
  }
  return undefined;
}
