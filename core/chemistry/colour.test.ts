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

describe('for who sees red and green alike', () => {
  // Machado, Oliveira and Fernandes (2009), severity 1: linear RGB as a protanope and a deuteranope see it.
  const SIGHTS = {
    protanope: [[0.152286, 1.052583, -0.204868], [0.114503, 0.786281, 0.099216], [-0.003882, -0.048116, 1.051998]],
    deuteranope: [[0.367322, 0.860646, -0.227968], [0.280085, 0.672501, 0.047413], [-0.01182, 0.04294, 0.968881]],
  } as const; // prettier-ignore

  /** CIE L*a*b* (D65) of linear RGB. */
  function lab([r = 0, g = 0, b = 0]: readonly number[]): number[] {
    const x = (0.4124 * r + 0.3576 * g + 0.1805 * b) / 0.9505;
    const y = 0.2126 * r + 0.7152 * g + 0.0722 * b;
    const z = (0.0193 * r + 0.1192 * g + 0.9505 * b) / 1.089;
    const [fx = 0, fy = 0, fz = 0] = [x, y, z].map((t) => (t > 0.008856 ? Math.cbrt(t) : 7.787 * t + 16 / 116));
    return [116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz)];
  }
  const seenBy = (sight: keyof typeof SIGHTS, colour: readonly number[]) => {
    const light = colour.map(toLinear);
    return lab(
      SIGHTS[sight].map((row) =>
        Math.max(
          0,
          row.reduce((sum, part, i) => sum + part * (light[i] ?? 0), 0),
        ),
      ),
    );
  };

  it.each(Object.keys(SIGHTS) as (keyof typeof SIGHTS)[])(
    'a %s tells the colours of every indicator apart at the ends of its ranges',
    (sight) => {
      for (const indicator of INDICATORS)
        for (const { from, to } of indicator.ranges) {
          const [a, b] = [flask(indicator.id, from - 0.5), flask(indicator.id, to + 0.5)].map((c) => seenBy(sight, c));
          const apart = Math.hypot(...(a ?? []).map((value, i) => value - (b?.[i] ?? 0)));
          // Five units are told apart side by side by anybody; these are seen one after the other.
          expect(apart, indicator.name).toBeGreaterThan(15);
        }
    },
  );
});
