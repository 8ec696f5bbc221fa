import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { placesAsText, placesBetween, placesIn, PICTURES_PER_S, type Film, type Picture } from './film';
import { PRACTICALS } from './registry';

/** What flies and is shown as pictures: that they are those of the bench, in order, and tell nothing that is asked for. */

type Shown = Picture & { counters: unknown };

const SET = {
  'light-and-heavy': { setup: { count: 30 }, psPerS: 4, acts: [{ kind: 'hole', open: true }] },
  'where-pressure-comes-from': { setup: {}, psPerS: 4, acts: [{ kind: 'pin', nm3: 15_000 }] },
} as const;
const IDS = Object.keys(SET) as (keyof typeof SET)[];

/** A bench of one of them, after something was done to it, and let fly. */
function flying(id: keyof typeof SET, seed: string, ps: number, pace = 1) {
  const practical = PRACTICALS[id];
  const setup = practical.setup.parse(SET[id].setup);
  let bench = practical.open(setup, practical.sample(setup, seed, 2), seed);
  for (const act of [...SET[id].acts, { kind: 'pace', times: pace }, { kind: 'run', ps }]) {
    const outcome = bench.perform(practical.readAct(act));
    if ('refusal' in outcome) throw new Error(outcome.refusal);
    bench = outcome.bench;
  }
  return bench;
}
type Bench = ReturnType<typeof flying>;
const filmOf = (bench: Bench, fromS: number) => {
  const filmed = bench.film(fromS);
  if (!filmed) throw new Error('no film');
  return { bench: filmed.bench, film: filmed.film as Film<Shown> };
};
const stillOf = (bench: Bench) => (bench.view() as unknown as { still: Film<Shown> }).still;

describe.each(IDS)('the pictures of %s', (id) => {
  it('are what the bench shows then, one after another, whatever was asked for before', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 20 }).map(String),
        fc.constantFrom(1, 10),
        fc.integer({ min: 0, max: 64 * 12 }).map((ticks) => ticks / 64),
        (seed, pace, fromS) => {
          const bench = flying(id, seed, 60, pace);
          const { film, bench: reached } = filmOf(bench, fromS);
          const times = film.pictures.map(({ ps }) => ps);
          expect(times).toEqual(times.map((_, i) => Math.min(60, 4 * (fromS + (i * pace) / PICTURES_PER_S))));
          expect(times.length).toBe(Math.min(30, Math.ceil(((15 - fromS) * PICTURES_PER_S) / pace + 1e-9) + 1));
          const there = bench.advance(fromS);
          expect(stillOf(there).pictures).toEqual([film.pictures[0]]);
          const last = (times.at(-1) ?? 0) / 4;
          expect(stillOf(bench.advance(last)).pictures[0]).toEqual(film.pictures.at(-1));
          // From where one ends, the next goes on as one from the beginning would.
          expect(filmOf(reached, last).film).toEqual(filmOf(bench, last).film);
          // Nobody's watching changes the bench.
          expect(bench.view()).toEqual(flying(id, seed, 60, pace).view());
        },
      ),
      { numRuns: 8 },
    );
  });

  it('tell neither mass nor size: no number of either is in them, and all keep as far from walls as they are drawn', () => {
    const nearest: number[] = [];
    for (let seed = 0; seed < 12; seed++) {
      const bench = flying(id, String(seed), 60, 10);
      const { film } = filmOf(bench, 0);
      const told = JSON.stringify([film, bench.view()]);
      const { words, numbers } = bench.secrets();
      expect(words).toContain('gPerMol');
      expect(words.filter((word) => word.length > 3 && told.includes(word))).toEqual([]);
      expect(numbers.length).toBeGreaterThan(0);
      for (const [number] of told.matchAll(/[\d.]+/g)) expect(numbers).not.toContain(Number(number));
      const places = film.pictures.map(({ places }) => placesIn(places));
      // Of the other gas, or of the only one: the second half of them.
      nearest.push(Math.min(...places.flatMap((all) => [...all.slice(all.length / 2)].filter((nm) => !isNaN(nm)))));
    }
    for (const nm of nearest) expect(nm).toBeGreaterThanOrEqual(0.2 - 0.011);
    for (const nm of nearest) expect(nm).toBeLessThan(0.45);
  });
});

describe('a bench of a gas that is not asked for', () => {
  it('is let fly by browsers, and has no film', () => {
    const practical = PRACTICALS['one-law'];
    const setup = practical.setup.parse({});
    const bench = practical.open(setup, practical.sample(setup, '1', 1), '1');
    expect(bench.film(0)).toBeUndefined();
    expect(bench.view()).toMatchObject({ still: null, filling: { kinds: [{}] } });
  });
});

describe('places as text', () => {
  it('come back within half a step, those that have left as NaN', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 100, noNaN: true }), { minLength: 3, maxLength: 60 }), (some) => {
        const all = some.slice(0, some.length - (some.length % 3));
        const isGone = Uint8Array.from({ length: all.length / 3 }, (_, i) => (i % 4 === 1 ? 1 : 0));
        const back = placesIn(placesAsText(Float64Array.from(all), (nm) => nm, isGone));
        expect(back).toHaveLength(all.length);
        all.forEach((nm, i) => {
          if (isGone[Math.floor(i / 3)]) expect(back[i]).toBeNaN();
          else expect(Math.abs((back[i] as number) - nm)).toBeLessThanOrEqual(0.0101);
        });
      }),
    );
    expect([...placesBetween(Float64Array.of(1, 4), Float64Array.of(3, 4), 0.25)]).toEqual([1.5, 4]);
  });
});
