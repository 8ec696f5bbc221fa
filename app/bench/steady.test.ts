import { describe, expect, it } from 'vitest';
import { PRACTICALS } from '@core/practicals/registry';
import { Steady } from './steady';

const answer = <T>(view: T): T => JSON.parse(JSON.stringify(view)) as T;

describe('views as they come from the server', () => {
  const practical = PRACTICALS['acid-concentration'];
  const setup = practical.setup.parse({});
  const bench = practical.open(setup, practical.sample(setup, 'steady', 0), 'steady').advance(1);
  const act = (from: typeof bench, json: object) => {
    const outcome = from.perform(practical.readAct(json));
    if ('refusal' in outcome) throw new Error(outcome.refusal);
    return outcome.bench.advance(5);
  };

  it('keep what says the same, and say all that changed', () => {
    const steady = new Steady<ReturnType<typeof bench.view>>();
    const filled = act(bench, { kind: 'fill', toMl: 1 });
    const recorded = act(filled, { kind: 'record', trial: 1, which: 'first', text: '1.00' });
    const views = [bench, filled, filled, recorded, act(recorded, { kind: 'swirl' })].map((one) => answer(one.view()));
    const held = views.map((view) => steady.of(view));
    held.forEach((view, i) => expect(view).toEqual(views[i]));
    expect(held[1]?.readings).toBe(held[0]?.readings);
    expect(held[2]?.steps).toBe(held[1]?.steps);
    expect(held[3]?.readings).not.toBe(held[2]?.readings);
    expect(held[4]?.readings).toBe(held[3]?.readings);
    // A frame made of a view keeps its parts, and costs no comparing.
    expect(steady.of({ ...(views[4] as (typeof views)[number]), timeS: 99 }).readings).toBe(held[4]?.readings);
  });
});
