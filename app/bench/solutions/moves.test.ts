import { describe, expect, it } from 'vitest';
import { begun } from '@core/practicals/solutions/testing';
import type { Act } from '@core/practicals/solutions/acts';
import { enterMove, giveMove, putMove, recordTool } from './moves';
import { slipActs, volumeActs } from './record-acts';
import { instruments, onTray, sourcesOf, thingName, thingsOf } from './things';

/** What carrying one thing to another and pressing Enter mean at the bench of solutions, and what one press records. */

const ALL = ['slip', 'thermometer', 'colorimeter', 'probe', 'paper', 'plate'];
/** The first tube: after four bottles, water and twelve wells. */
const TUBE = 18;
const atWork = () => {
  const run = begun('which-react', { setup: { tools: ALL }, seed: 'moves' });
  run.does({ kind: 'take', type: 'tube' }, { kind: 'take', type: 'beaker' });
  return run;
};
const put = (from: number, ml: number): Act => ({ kind: 'measure', from, to: TUBE, ml, by: 'pipette' });

describe('carried', () => {
  it('a bottle to a vessel is poured, to a well dropped, to a tool looked into', () => {
    const view = atWork().view();
    const to = (thing: Parameters<typeof putMove>[0], other: Parameters<typeof putMove>[1]) =>
      putMove(thing, other, view, true);
    expect(to('vessel:1', `vessel:${TUBE}`)).toEqual({ amount: 'ml', from: 1, to: TUBE });
    expect(to('vessel:1', 'vessel:6')).toEqual({ amount: 'drops', from: 1, to: 6 });
    expect(giveMove(view, 1, TUBE, false)).toEqual({ amount: 'drops', from: 1, to: TUBE });
    expect(to('paper', 'vessel:2')).toEqual({ kind: 'paper', vessel: 2 });
    expect(to('thermometer', 'vessel:2')).toEqual({ kind: 'dip', tool: 'thermometer', into: 2 });
    expect(to('vessel:2', 'probe')).toEqual({ kind: 'dip', tool: 'probe', into: 2 });
    expect(to('colorimeter', 'vessel:2')).toEqual({ kind: 'fillCuvette', vessel: 2 });
    expect(to(`vessel:${TUBE}`, 'colorimeter')).toEqual({ kind: 'fillCuvette', vessel: TUBE });
    expect(to(`vessel:${TUBE}`, 'analysis')).toEqual({ amount: 'portion', from: TUBE, to: TUBE });
    expect(to(`vessel:${TUBE}`, 'tube')).toEqual({ kind: 'away', vessel: TUBE });
    // What has nothing to do with each other: a well goes back nowhere, and two tools do nothing.
    expect(to('vessel:6', 'tube')).toBeNull();
    expect(to('vessel:1', 'tube')).toBeNull();
    expect(to('probe', 'thermometer')).toBeNull();
  });
});

describe('Enter', () => {
  it('does with each thing what is done with it most, and nothing with what is only looked at', () => {
    const run = atWork();
    const press = (thing: Parameters<typeof enterMove>[0]) =>
      enterMove(thing, run.view(), { from: 2, way: 'pipette' }, true);
    expect(press(`vessel:${TUBE}`)).toEqual({ amount: 'ml', from: 2, to: TUBE });
    expect(press('vessel:6')).toEqual({ amount: 'drops', from: 2, to: 6 });
    expect(press('vessel:1')).toBeNull();
    expect(press('tube')).toEqual({ kind: 'take', type: 'tube' });
    expect(press('plate')).toEqual({ kind: 'rinsePlate' });
    expect(press('colorimeter')).toEqual({ kind: 'recordAbsorbance', trial: 1 });
    expect(press('thermometer')).toBeNull();
    run.does({ kind: 'dip', tool: 'thermometer', into: 1 });
    expect(press('thermometer')).toEqual({ kind: 'recordTool', trial: 1, which: 'T0' });
  });
});

describe('one press', () => {
  it('records the volumes of what was poured, and of a slip what the mixture was made of, each into its own trial', () => {
    const run = atWork();
    expect(volumeActs(run.view(), TUBE)).toEqual([]);
    run.does(put(1, 3), put(3, 5), put(5, 2), { kind: 'slip', vessel: TUBE, ml: 2 });
    const volumes = volumeActs(run.view(), TUBE);
    expect(volumes).toEqual([
      { kind: 'recordVolume', trial: 1, vessel: TUBE, which: 'vA' },
      { kind: 'recordVolume', trial: 1, vessel: TUBE, which: 'vC' },
    ]);
    expect(slipActs(run.view(), 0)).toEqual([]);
    run.wait(200);
    // Emptied and filled with other things meanwhile: the slip is still of what it was.
    run.does({ kind: 'empty', vessel: TUBE }, put(2, 4));
    const slip = slipActs(run.view(), 0);
    expect(slip.map((act) => ('which' in act ? act.which : ''))).toEqual(['p', 'nA', 'nC']);
    for (const act of slip) run.does(act);
    expect(run.view().readings.every(({ trial }) => trial === 1)).toBe(true);
    run.does({ kind: 'dip', tool: 'thermometer', into: TUBE });
    expect(recordTool('thermometer', run.view())).toEqual({ kind: 'recordTool', trial: 2, which: 'T' });
  });
});

describe('things', () => {
  it('are all reached by arrows, each once and by a name of its own', () => {
    const run = atWork();
    const things = thingsOf(run.view(), run.plan);
    expect(new Set(things).size).toBe(things.length);
    expect(new Set(things.map((thing) => thingName(thing, run.view()))).size).toBe(things.length);
    expect(things).toEqual(expect.arrayContaining([...instruments(run.plan), ...onTray(run.plan)]));
    expect(sourcesOf(run.view())).toEqual([1, 2, 3, 4, 5]);
    run.does({ kind: 'away', vessel: TUBE });
    expect(thingsOf(run.view(), run.plan)).not.toContain(`vessel:${TUBE}`);
  });
});
