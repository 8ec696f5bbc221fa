import { expect, it } from 'vitest';
import { movedSchema } from '@core/report/moved';
import { sentenceOn } from './moved';

const moved = (more: object) =>
  movedSchema.parse({
    ...{ key: 'k', label: 'L', unit: 'g/mol', value: 130, trueValue: 128, fromReadings: 130, rest: 0 },
    shares: [{ key: 'wet', label: 'Water on it', share: 2 }],
    ...more,
  });

it('names what moved a number most, and by how much of it', () => {
  expect(sentenceOn(moved({}))).toBe(
    '130.0 g/mol lies 1.56 % above the true value. What moved it most: water on it, +1.56 %.',
  );
  expect(sentenceOn(moved({ value: 126, shares: [{ key: 'wet', label: 'Water on it', share: -2 }] }))).toBe(
    '126.0 g/mol lies 1.56 % below the true value. What moved it most: water on it, −1.56 %.',
  );
});

it('says so where most of it comes from no cause that is known', () => {
  expect(sentenceOn(moved({ value: 143, rest: 13, together: [] }))).toBe(
    '143.0 g/mol lies 11.72 % above the true value. Most of that, +10.16 %, comes from no cause that Fen knows.',
  );
});

it('tells a temperature in degrees, above or below, whatever its sign', () => {
  const cold = { unit: '°C', trueValue: -273.1, fromReadings: -270, inUnit: true };
  const shares = [{ key: 'neck', label: 'The neck', share: 3.1 }];
  expect(sentenceOn(moved({ ...cold, value: -270, shares }))).toBe(
    '−270.0 °C lies 3.1 °C above the true value. What moved it most: the neck, +3.1 °C.',
  );
  expect(sentenceOn(moved({ ...cold, value: -276, shares: [] }))).toBe('−276.0 °C lies 2.9 °C below the true value.');
});

it('tells a negative value by the same signs as a positive one', () => {
  const shares = [{ key: 'sign', label: 'The room', share: 3 }];
  expect(sentenceOn(moved({ unit: 'kJ/mol', trueValue: -30, value: -27, fromReadings: -27, shares }))).toBe(
    '−27.00 kJ/mol lies 10.00 % above the true value. What moved it most: the room, +10.00 %.',
  );
});

it('needs nothing of what was kept before these were told', () => {
  const { together, inUnit } = moved({});
  expect([together, inUnit]).toEqual([null, false]);
  // What was left over then was not asked for what made it.
  expect(sentenceOn(moved({ value: 143, rest: 13 }))).toContain('What moved it most: water on it');
});
