import { describe, expect, it } from 'vitest';
import { amountOf } from './typed-amount';

describe('an amount that is typed', () => {
  it.each([
    ['12.5', 'mL', 12.5],
    ['12,5 ml', 'mL', 12.5],
    ['12.5 cm³', 'mL', 12.5],
    ['7', 'of 10', 7],
  ])('%s in %s is %d', (text, unit, value) => expect(amountOf(text, unit)).toEqual({ value }));

  it.each([
    ['', 'mL', 'Type an amount in mL first.'],
    ['', 'of 10', 'Type a number up to 10 first.'],
    ['rubbish', 'g', '“rubbish” is not an amount.'],
    ['12 L', 'mL', 'This amount is in mL, not “L”.'],
    ['7 mL', 'of 10', 'This amount is a number without a unit, not “mL”.'],
  ])('“%s” where it is %s gets a sentence', (text, unit, sentence) =>
    expect(amountOf(text, unit)).toEqual({ sentence }),
  );
});
