import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cleanText, jsonDepth, readJson } from './json';

/** Depth of a value that is there, counted by hand. */
const depthOf = (value: unknown): number =>
  typeof value === 'object' && value !== null
    ? 1 + Object.values(value).reduce<number>((most, inner) => Math.max(most, depthOf(inner)), 0)
    : 0;

/** Whether a string can be stored as UTF-8 and in PostgreSQL: whole code points, none of them NUL. */
const isKeepable = (text: string) => !text.includes('\0') && !/[\uD800-\uDFFF]/u.test(text);

const stringsIn = (value: unknown): string[] => {
  if (typeof value === 'string') return [value];
  if (typeof value !== 'object' || value === null) return [];
  return [...Object.keys(value), ...Object.values(value).flatMap(stringsIn)];
};

describe('JSON from outside', () => {
  it('is as deep as what it says, brackets in strings and behind backslashes left aside', () => {
    fc.assert(fc.property(fc.json({ maxDepth: 8 }), (text) => jsonDepth(text) === depthOf(JSON.parse(text))));
    expect(jsonDepth('{"a":"[[[[\\"[["}')).toBe(1);
    expect(jsonDepth('[{"a":[1]}]')).toBe(3);
  });

  it('is looked at no further than it has to be', () => {
    expect(jsonDepth('['.repeat(1_000_000), 10)).toBe(11);
  });

  it.each([
    ['what is none', 'rubbish'],
    ['nothing', ''],
    ['a thousand brackets', `${'['.repeat(1000)}${']'.repeat(1000)}`],
    ['objects in objects', `${'{"a":'.repeat(30)}1${'}'.repeat(30)}`],
    ['brackets that do not close', '[[[['],
  ])('%s is not read', (_what, text) => {
    expect(readJson(text)).toBeUndefined();
  });

  it('comes in as it is, but for what no store can keep, in texts and in names', () => {
    fc.assert(
      fc.property(fc.json({ maxDepth: 5, stringUnit: 'binary' }), (text) => {
        const read: unknown = readJson(text);
        for (const kept of stringsIn(read)) expect(isKeepable(kept)).toBe(true);
        if (isKeepable(text) && !/\\u(?:0000|[dD][89a-fA-F])/.test(text)) expect(read).toEqual(JSON.parse(text));
      }),
    );
    expect(readJson('{"a\\u0000b":"c\\ud83dd","e":["\\u0000","😀"]}')).toEqual({ ab: 'cd', e: ['', '😀'] });
  });

  it('cleans any text so that it can be kept, and leaves what can be kept alone', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), fc.nat(40), (text, cut) => {
        // A cut at a length limit can leave half of a sign at either end.
        const clean = cleanText(text.slice(0, cut));
        expect(isKeepable(clean)).toBe(true);
        expect(cleanText(clean)).toBe(clean);
      }),
    );
    fc.assert(fc.property(fc.string({ unit: 'grapheme' }), (text) => isKeepable(text) === (cleanText(text) === text)));
  });
});
