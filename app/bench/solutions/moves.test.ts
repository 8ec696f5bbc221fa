import { describe, expect, it } from 'vitest';
import { begun } from '@core/practicals/solutions/testing';
import type { Act } from '@core/practicals/solutions/acts';
import { doubtsOf } from './doubts';
import { layoutOf, placeOf, sheetPlace } from './layout';
import { enterMove, giveMove, putMove, recordMass, recordTool, weighMove } from './moves';
import { slipActs, volumeActs } from './record-acts';
import { instruments, onTray, sourcesOf, thingName, thingsOf, type Thing } from './things';

/** What carrying one thing to another and pressing Enter mean at the bench of solutions, and what one press records. */

const ALL = ['slip', 'thermometer', 'colorimeter', 'probe', 'cell', 'paper', 'plate'];
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
    expect(to('cell', `vessel:${TUBE}`)).toEqual({ kind: 'dip', tool: 'cell', into: TUBE });
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

describe('what a solid is weighed with', () => {
  const paper = () => {
    const run = begun('solid-yield', { seed: 'STATIONSEED' });
    run.does(
      { kind: 'takePaper', of: 'cellulose' },
      { kind: 'take', type: 'beaker' },
      { kind: 'take', type: 'beaker' },
    );
    return run;
  };

  it('papers and beakers are carried to where they belong, and poured on a paper in the funnel', () => {
    const run = paper();
    const to = (thing: Thing, other: Thing) => putMove(thing, other, run.view(), true);
    expect(to('sheet:1', 'oven')).toEqual({ kind: 'placePaper', paper: 1, at: 'oven' });
    expect(to('sheet:1', 'desiccator')).toEqual({ kind: 'placePaper', paper: 1, at: 'desiccator' });
    expect(to('sheet:1', 'balance')).toEqual({ kind: 'placePaper', paper: 1, at: 'pan' });
    expect(to('sheet:1', 'funnel')).toEqual({ kind: 'placePaper', paper: 1, at: 'funnel' });
    expect(to('sheet:1', 'cellulose')).toEqual({ kind: 'throwPaper', paper: 1 });
    expect(to('sheet:1', 'hotPlate')).toBeNull();
    expect(to('vessel:4', 'hotPlate')).toEqual({ kind: 'placeVessel', vessel: 4, at: 'plate' });
    expect(to('vessel:4', 'balance')).toEqual({ kind: 'placeVessel', vessel: 4, at: 'pan' });
    expect(to('vessel:4', 'oven')).toBeNull();
    // The first beaker that is carried to the funnel goes under it, the next is poured into it.
    expect(to('vessel:5', 'funnel')).toEqual({ kind: 'placeVessel', vessel: 5, at: 'funnel' });
    run.does({ kind: 'placeVessel', vessel: 5, at: 'funnel' }, { kind: 'placePaper', paper: 1, at: 'funnel' });
    expect(to('vessel:4', 'funnel')).toEqual({ kind: 'filter', from: 4 });
    expect(to('vessel:4', 'sheet:1')).toEqual({ kind: 'filter', from: 4 });
    expect(to('jar', 'funnel')).toBeNull();
  });

  it('Enter takes a paper, sets the oven, washes, weighs and records', () => {
    const run = paper();
    const enter = (thing: Thing) => enterMove(thing, run.view(), { from: 1, way: 'pipette' }, true);
    expect(enter('cellulose')).toEqual({ kind: 'takePaper', of: 'cellulose' });
    expect(enter('oven')).toEqual({ amount: 'oven', from: 0, to: 0 });
    expect(enter('funnel')).toEqual({ amount: 'wash', from: 0, to: 0 });
    expect(enter('balance')).toBeNull();
    expect(weighMove('sheet:1', run.view())).toEqual({ kind: 'placePaper', paper: 1, at: 'pan' });
    run.does({ kind: 'placePaper', paper: 1, at: 'pan' });
    expect(weighMove('sheet:1', run.view())).toEqual({ kind: 'placePaper', paper: 1, at: 'mat' });
    expect(enter('balance')).toEqual({ kind: 'recordMass', trial: 1, which: 'mP' });
    expect(weighMove('funnel', run.view())).toBeNull();
    run.does({ kind: 'placePaper', paper: 1, at: 'mat' }, { kind: 'placeVessel', vessel: 4, at: 'pan' });
    expect(weighMove('vessel:4', run.view())).toEqual({ kind: 'placeVessel', vessel: 4, at: 'bench' });
    // Of a beaker no mass is asked for here.
    expect(recordMass(run.view())).toBeNull();
  });

  it('a jar fills the boat, and the boat is weighed and tipped', () => {
    const run = begun('runs-out', { seed: 'STATIONSEED' });
    const to = (thing: Thing, other: Thing) => putMove(thing, other, run.view(), true);
    expect(to('jar', 'boat')).toEqual({ amount: 'scoop', from: 0, to: 0 });
    expect(to('boat', 'balance')).toEqual({ kind: 'placeBoat', at: 'pan' });
    run.does({ kind: 'take', type: 'beaker' }, { kind: 'scoop', g: 1 }, { kind: 'placeBoat', at: 'pan' });
    expect(to('boat', 'vessel:3')).toEqual({ kind: 'tip', to: 3 });
    expect(recordMass(run.view())).toEqual({ kind: 'recordMass', trial: 1, which: 'mB' });
    expect(weighMove('boat', run.view())).toEqual({ kind: 'placeBoat', at: 'bench' });
    expect(thingsOf(run.view(), run.plan as never)).toEqual(
      expect.arrayContaining(['balance', 'jar', 'boat', 'beaker', 'vessel:1', 'vessel:3']),
    );
  });

  it('is laid out without one thing over another, wherever papers and beakers are', () => {
    const run = paper();
    run.does({ kind: 'takePaper', of: 'cellulose' }, { kind: 'takePaper', of: 'cellulose' });
    run.does({ kind: 'placePaper', paper: 2, at: 'oven' }, { kind: 'placePaper', paper: 3, at: 'oven' });
    run.does({ kind: 'placeVessel', vessel: 4, at: 'plate' }, { kind: 'placeVessel', vessel: 5, at: 'funnel' });
    const at = layoutOf(run.plan as never);
    const places = [
      ...[4, 5].map((number) => placeOf(run.view(), number, at)),
      ...[1, 2, 3].map((number) => sheetPlace(run.view(), number, at)),
    ];
    for (const { x, y } of places) {
      expect(x).toBeGreaterThan(15);
      expect(x).toBeLessThan(at.width - 15);
      expect(y).toBeGreaterThan(0);
      expect(y).toBeLessThan(at.height);
    }
    places.forEach((a, i) =>
      places.slice(i + 1).forEach((b) => expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(12)),
    );
  });
});

describe('what is asked before it is lost', () => {
  it('a mixture of which nothing is recorded, and a solid that is not weighed; nothing of what is', () => {
    const run = begun('solid-yield', { seed: 'doubts', setup: { solids: ['silver-chloride'] } });
    run.does(
      { kind: 'takePaper', of: 'cellulose' },
      { kind: 'take', type: 'beaker' },
      { kind: 'take', type: 'beaker' },
    );
    expect(doubtsOf(run.view(), { kind: 'throwPaper', paper: 1 })).toBeNull();
    for (const from of [1, 2]) run.does({ kind: 'measure', from, to: 4, ml: 10, by: 'pipette' });
    expect(doubtsOf(run.view(), { kind: 'empty', vessel: 4 })?.sentence).toMatch(/Nothing of this mixture is recorded/);
    run.does({ kind: 'recordVolume', trial: 1, vessel: 4, which: 'vA' });
    expect(doubtsOf(run.view(), { kind: 'empty', vessel: 4 })).toBeNull();
    run.does({ kind: 'placePaper', paper: 1, at: 'funnel' }, { kind: 'placeVessel', vessel: 5, at: 'funnel' });
    run.does({ kind: 'filter', from: 4 });
    expect(doubtsOf(run.view(), { kind: 'throwPaper', paper: 1 })?.sentence).toMatch(/has not been weighed yet/);
    run.does({ kind: 'placePaper', paper: 1, at: 'pan' });
    run.wait(4);
    run.does({ kind: 'recordMass', trial: 1, which: 'h1' });
    expect(doubtsOf(run.view(), { kind: 'throwPaper', paper: 1 })).toBeNull();
    expect(doubtsOf(run.view(), { kind: 'stir', vessel: 4 })).toBeNull();
  });
});
