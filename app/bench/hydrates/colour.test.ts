import { describe, expect, it } from 'vitest';
import { HYDRATE_LOOKS, hydrateOf } from '@core/databook/hydrates';
import { stageG } from '@core/physics/drying';
import { begun } from '@core/practicals/hydrates/testing';
import { ringColour } from './colour';
import { colours } from './tell';

/** What is drawn of a salt that turns, and what is told of it, against the amounts that the model has. */

const rgb = (text: string) => (text.match(/\d+/gu) ?? []).map(Number);
const washOf = (look: keyof typeof HYDRATE_LOOKS) =>
  [1, 3, 5].map((i) => parseInt(HYDRATE_LOOKS[look].slice(i, i + 2), 16));

describe('a salt that turns', () => {
  it('has in each ring the colour that its amounts make, at each moment, and is told by the same', () => {
    const run = begun('water-in-hydrate');
    run.does({ kind: 'fill', g: 2.5 }, { kind: 'lid', to: 'off' }, { kind: 'put', at: 'gauze', by: 'tongs' });
    run.does({ kind: 'gas', to: 4 }, { kind: 'air', to: 2.8 }, { kind: 'light' });
    const salt = hydrateOf('copper-sulfate-5');
    const told = new Set<string>();
    for (let i = 0; i < 60; i++) {
      run.wait(12);
      const { rings } = run.inside().crucible;
      run.view().crucible.rings.forEach((seen, r) => {
        const grams = (rings[r]?.amounts ?? []).map((mol, stage) => stageG(salt, stage, mol));
        const all = grams.reduce((a, b) => a + b, 0);
        const drawn = rgb(ringColour(seen));
        [0, 1, 2].forEach((channel) => {
          const meant = grams.reduce(
            (sum, g, stage) => sum + (g / all) * (washOf(salt.stages[stage]?.look ?? 'white')[channel] ?? 0),
            0,
          );
          // A tenth of a ring is as fine as an eye tells.
          expect(Math.abs((drawn[channel] ?? NaN) - meant)).toBeLessThan(0.11 * 255);
        });
      });
      told.add(colours(run.view().crucible));
    }
    const all = [...told];
    expect(all[0]).toMatch(/^blue/);
    expect(all.some((words) => / at the rim, .*blue in the middle$/.test(words))).toBe(true);
    expect(all.at(-1)).toBe('greyish white throughout');
    run.does({ kind: 'lid', to: 'on' });
    expect(colours(run.view().crucible)).toBe('its lid hides what is in it');
    expect(run.view().crucible.rings).toEqual([]);
  });

  it('shows by other signs that a white one still loses water: it sinks, and vapour is seen', () => {
    const run = begun('water-in-hydrate', { sample: { hydrateId: 'magnesium-sulfate-7' } });
    run.does({ kind: 'fill', g: 5 }, { kind: 'lid', to: 'off' }, { kind: 'put', at: 'gauze', by: 'tongs' });
    const full = run.view().crucible.fill;
    run.does({ kind: 'gas', to: 6 }, { kind: 'air', to: 4.5 }, { kind: 'light' });
    run.wait(240);
    expect(run.view().crucible.steams).toBe(true);
    expect(colours(run.view().crucible)).toBe('white throughout');
    run.wait(3600);
    expect(run.view().crucible.steams).toBe(false);
    expect(run.view().crucible.fill).toBeLessThan(full);
  });
});
