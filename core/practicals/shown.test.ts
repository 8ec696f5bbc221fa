import { describe, expect, it } from 'vitest';
import { PRACTICALS, type AnyPractical } from './registry';
import { asSent, showStep, thinned, toSend } from './shown';

describe('a step that is shown', () => {
  const ids = Object.keys(PRACTICALS);
  const one = (id: string) => (PRACTICALS as unknown as Record<string, AnyPractical>)[id] as AnyPractical;
  it.each(ids.filter((id) => !one(id).worksLong))(
    'of %s is done from what stands before it, with all its acts in words',
    async (id) => {
      const practical = one(id);
      const setup = practical.setup.parse({});
      const run = { setup, sample: practical.sample(setup, 'shown', 0), seed: 'shown' };
      const method = practical.method(setup);
      const last = method.at(-1)?.key ?? '';
      const shown = await showStep(practical, run, last);
      if (!shown) throw new Error('not shown');
      const [before, ...done] = shown.scenes;
      expect(before).toMatchObject({ did: null, waitedS: 0 });
      expect(done.length).toBeGreaterThan(0);
      expect(shown.scenes.length).toBeLessThanOrEqual(48);
      // Each scene is later than the last, and what was done is said.
      const times = shown.scenes.map(({ view }) => view.timeS);
      expect(times).toEqual([...times].sort((a, b) => a - b));
      for (const { did, waitedS } of done) expect(did !== null || waitedS > 0).toBe(true);
      // What is sent is small, and the same when it is read.
      const sent = JSON.stringify(toSend(shown));
      expect(asSent(JSON.parse(sent) as ReturnType<typeof toSend>)).toEqual(JSON.parse(JSON.stringify(shown)));
      expect(sent.length).toBeLessThan(120_000);
      // It is done afterwards, and was not before.
      const isDone = (scene: (typeof shown.scenes)[number] | undefined) =>
        scene?.view.steps.find(({ key }) => key === last)?.done;
      expect([isDone(before), isDone(done.at(-1))]).toEqual([false, true]);
      expect(await showStep(practical, run, 'no such step')).toBeUndefined();
    },
  );

  it('is the same each time', async () => {
    const practical = one('acid-concentration');
    const setup = practical.setup.parse({});
    const run = { setup, sample: practical.sample(setup, 'shown', 0), seed: 'shown' };
    const key = practical.method(setup)[1]?.key ?? '';
    expect(await showStep(practical, run, key)).toEqual(await showStep(practical, run, key));
  });
});

describe('many acts alike', () => {
  const scenes = (kinds: string) => [...kinds].map((kind, i) => ({ kind, view: i, did: `${kind}${i}`, waitedS: 0 }));
  const told = (kinds: string) => thinned(scenes(kinds)).map(({ did, more }) => (more ? `${did}+${more}` : did));
  it('are told by the first two, the last, and how many there were between', () => {
    expect(told('abbbc')).toEqual(['a0', 'b1', 'b2', 'b3', 'c4']);
    expect(told('abbbbbbc')).toEqual(['a0', 'b1', 'b2', 'b6+3', 'c7']);
  });
  it('and a long step by its beginning and end', () => {
    const long = told('abcd'.repeat(20));
    expect(long).toHaveLength(48);
    expect(long[36]).toMatch(/\+32$/);
    expect(long.at(-1)).toBe('d79');
  });
});
