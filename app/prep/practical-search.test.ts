import { describe, expect, it } from 'vitest';
import { PRACTICAL_IDS } from '@core/practicals/registry';
import { offered } from '@core/practicals/offered';
import { DRAWN } from './emblem';
import { foundPracticals } from './practical-search';

const all = offered();
const ids = (text: string) => foundPracticals(all, text).flatMap(({ entries }) => entries.map(({ id }) => id));

describe('the list of practicals', () => {
  it('has each of them once, under a subject, with a drawing', () => {
    expect([...ids('')].sort()).toEqual([...PRACTICAL_IDS].sort());
    expect([...DRAWN].sort()).toEqual([...PRACTICAL_IDS].sort());
    expect(foundPracticals(all, '').map(({ subject }) => subject)).toEqual([
      'Measuring and density',
      'Acids and bases',
      'Amounts of substance',
      'Heat',
      'Gases and particles',
    ]);
  });

  it.each([
    ['density liquid', ['liquid-density']],
    ['PARTICLE', ['one-particle', 'light-and-heavy', 'one-law', 'one-to-many']],
    ['molar mass', ['unknown-acid', 'one-particle']],
    ['specific heat', ['metal-by-heat']],
    ['dissolves', ['salt-by-heat']],
    ['back titrat', ['back-titration']],
    ['oxygen', ['pellet-in-oxygen']],
    ['fuel', ['lamp-fuels']],
    ['hydrate', ['which-hydrate', 'part-of-hydrate']],
    ['freez', ['freezing-point', 'molar-mass-by-freezing']],
    ['mixture', ['mixture-melting', 'which-react']],
    ['bottle', ['which-bottle']],
    ['pressure', ['pressure-volume', 'pressure-temperature', 'where-pressure-comes-from']],
    ['piston', ['one-law', 'where-pressure-comes-from']],
    ['water bath', ['volume-temperature']],
    ['sodium', ['acid-concentration', 'unknown-in-burette']],
    ['melting', ['mixture-melting', 'freezing-point']],
    ['Boyle', ['pressure-volume', 'one-law']],
    ['calorimetry', ['metal-by-heat', 'lamp-fuels']],
    ['stoichiometry', ['solid-yield', 'which-react']],
    ['precipitation', ['which-bottle', 'solid-found']],
    ['Avogadro', ['one-law']],
    ['gravimetric', ['solid-found']],
    ['hydrate', ['water-in-hydrate']],
    ['Gay-Lussac', ['pressure-temperature']],
    ['tin', ['regular-solids']],
    ['spectroscopy', []],
  ])('finds by %s', (text, expected) => {
    expect(ids(text)).toEqual(expect.arrayContaining(expected));
    if (expected.length === 0) expect(ids(text)).toEqual([]);
    else expect(ids(text).length).toBeLessThan(all.length / 2);
  });
});
