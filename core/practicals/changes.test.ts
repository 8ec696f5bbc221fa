import fc from 'fast-check';
import { expect, it } from 'vitest';
import { changed, changesFrom } from './changes';

const line = fc.record({ t: fc.nat(99).map(String), pH: fc.nat(14).map(String) });
const lines = fc.array(line, { maxLength: 30 });
const part = fc.oneof(fc.nat(), fc.string(), fc.constant(null), lines, fc.record({ place: fc.string() }));
const keys = ['a', 'b', 'c'] as const;
const view = fc.record(
  Object.fromEntries(keys.map((key) => [key, part])) as Record<(typeof keys)[number], typeof part>,
);

it('changes laid over what they are of give what they lead to, through JSON', () => {
  fc.assert(
    fc.property(view, view, lines, (before, other, more) => {
      const log = Array.isArray(before.a) ? before.a : [];
      for (const now of [other, { ...before, a: [...log, ...more] }, { ...other, b: before.b }]) {
        const sent = JSON.parse(JSON.stringify(changesFrom(before, now))) as NonNullable<
          ReturnType<typeof changesFrom>
        >;
        expect(changed<object>(before, sent)).toEqual(now);
      }
    }),
  );
});

it('a log that grew costs its new lines, what is the same costs nothing, and a part that is gone cannot be told', () => {
  const logged = Array.from({ length: 2000 }, (_, i) => ({ t: String(i), pH: '7.00' }));
  const before = { timeS: 1, logged, readings: [{ text: '1.00' }] };
  const after = { timeS: 2, logged: [...logged, { t: '2000', pH: '7.01' }], readings: [{ text: '1.00' }] };
  expect(changesFrom(before, after)).toEqual({
    parts: { timeS: 2, logged: [{ t: '2000', pH: '7.01' }] },
    grown: { logged: 2000 },
  });
  const next = changed(before, changesFrom(before, after) as NonNullable<ReturnType<typeof changesFrom>>);
  expect(next.readings).toBe(before.readings);
  expect(changesFrom({ a: 1, b: 2 }, { a: 1 })).toBeUndefined();
  // A log that was begun anew is sent whole.
  expect(changesFrom({ logged }, { logged: [{ t: '0', pH: '6.00' }] })).toEqual({
    parts: { logged: [{ t: '0', pH: '6.00' }] },
  });
});
