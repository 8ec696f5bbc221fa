import { describe, expect, it } from 'vitest';
import { INDICATORS } from '../databook/indicators';
import { colourName, fromLinear, hueOf, liquidColour, toLinear } from './colour';

const flask = (id: string, pH: number) => liquidColour({ [id]: 3 / 75 }, pH, 55);

describe('indicators', () => {
  it.each(INDICATORS.map((entry) => [entry.name, entry] as const))(
    '%s shows its end colours outside its ranges and changes inside',
    (_, indicator) => {
      for (const [step, range] of indicator.ranges.entries()) {
        const [below, above] = [flask(indicator.id, range.from - 1.2), flask(indicator.id, range.to + 1)];
        const middle = flask(indicator.id, indicator.pKas[step] as number);
        expect(middle).not.toEqual(below);
        expect(middle).not.toEqual(above);
        // Before the range the colour stands still: a pH unit lower changes it hardly.
        const lower = flask(indicator.id, range.from - 2.2);
        const moved = Math.max(...below.map((channel, i) => Math.abs(channel - (lower[i] as number))));
        expect(moved).toBeLessThan(16);
      }
    },
  );

  it('fades phenolphthalein again in very strong base', () => {
    const chroma = (pH: number) => hueOf(flask('phenolphthalein', pH)).chroma;
    expect(chroma(11)).toBeGreaterThan(100);
    expect(chroma(14)).toBeLessThan(30);
  });

  it('deepens with drops and with depth as Beer and Lambert say', () => {
    const one = liquidColour({ 'methyl-orange': 0.02 }, 2, 50);
    const twice = liquidColour({ 'methyl-orange': 0.04 }, 2, 50);
    const deep = liquidColour({ 'methyl-orange': 0.02 }, 2, 100);
    expect(twice).toEqual(deep);
    expect(toLinear(twice[1])).toBeCloseTo(toLinear(one[1]) ** 2, 2);
  });
});

describe('colour', () => {
  it('comes back from linear light as it went in', () => {
    for (let channel = 0; channel <= 255; channel++) expect(fromLinear(toLinear(channel))).toBe(channel);
  });

  it.each([
    [[255, 255, 255], 'colourless'],
    [[255, 240, 248], 'very faint pink'],
    [[255, 190, 225], 'faint pink'],
    [[220, 60, 150], 'deep pink'],
    [[250, 220, 90], 'deep yellow'],
    [[60, 100, 190], 'blue'],
  ] as const)('names %o “%s”', (colour, name) => {
    expect(colourName(colour)).toBe(name);
  });
});
