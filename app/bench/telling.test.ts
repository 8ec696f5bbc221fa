import { describe, expect, it } from 'vitest';
import { PRACTICALS, type AnyLabels, type AnyView } from '@core/practicals/registry';
import { heard as heardMeasuring, told as toldMeasuring } from './measuring/tell';
import { heard as heardTitration, told as toldTitration } from './titration/tell';
import { heard as heardParticles, told as toldParticles, type Thing as ParticleThing } from './particles/things';
import { heard as heardHeat, told as toldHeat } from './heat/tell';
import type { Thing as HeatThing } from './heat/things';
import { heard as heardHydrates, told as toldHydrates } from './hydrates/tell';
import type { Thing as HydrateThing } from './hydrates/things';
import { heard as heardSpheres, told as toldSpheres, type Thing as SphereThing } from './spheres/things';
import { heard as heardCylinder, told as toldCylinder, type Thing as CylinderThing } from './cylinder/things';
import { heard as heardGases, told as toldGases } from './gases/tell';
import type { Thing as GasThing } from './gases/things';
import { askedOf, heard as heardSolutions, told as toldSolutions } from './solutions/tell';
import type { Thing as SolutionThing } from './solutions/things';
import type { Thing as MeasuringThing } from './measuring/things';
import type { Thing as TitrationThing } from './titration/things';

/** What a bench tells in words: whatever a student does there is heard, and no more than an eye sees. */

function bench(id: keyof typeof PRACTICALS, setup: object = {}, seed = 'ear') {
  const practical = PRACTICALS[id];
  const chosen = practical.setup.parse(setup);
  let now = practical.open(chosen, practical.sample(chosen, seed, 0), seed).advance(0);
  const labels: AnyLabels = practical.labels(chosen);
  const told = (before: AnyView, after: AnyView): string[] => {
    if (before.family === 'measuring' && after.family === 'measuring' && labels.family === 'measuring')
      return toldMeasuring(before, after, labels);
    if (before.family === 'titration' && after.family === 'titration' && labels.family === 'titration')
      return toldTitration(before, after, labels);
    if (before.family === 'particles' && after.family === 'particles') return toldParticles(before, after);
    if (before.family === 'heat' && after.family === 'heat' && labels.family === 'heat')
      return toldHeat(before, after, labels);
    if (before.family === 'hydrates' && after.family === 'hydrates' && labels.family === 'hydrates')
      return toldHydrates(before, after, labels);
    if (before.family === 'solutions' && after.family === 'solutions' && labels.family === 'solutions')
      return toldSolutions(before, after, labels);
    if (before.family === 'gases' && after.family === 'gases' && labels.family === 'gases')
      return toldGases(before, after, labels);
    if (before.family === 'cylinder' && after.family === 'cylinder' && labels.family === 'cylinder')
      return toldCylinder(before, after, labels);
    if (before.family === 'spheres' && after.family === 'spheres') return toldSpheres(before, after);
    throw new Error('another family');
  };
  const act = (...acts: object[]): string => {
    const before = now.view();
    for (const one of acts) {
      const outcome = now.perform(practical.readAct(one));
      if ('refusal' in outcome) throw new Error(outcome.refusal);
      now = outcome.bench.advance(4);
    }
    return told(before, now.view()).join(' ');
  };
  const hear = (thing: string): string => {
    const view = now.view();
    if (view.family === 'measuring') return heardMeasuring(thing as MeasuringThing, view);
    if (view.family === 'particles') return heardParticles(thing as ParticleThing, view);
    if (view.family === 'heat' && labels.family === 'heat') return heardHeat(thing as HeatThing, view, labels);
    if (view.family === 'hydrates' && labels.family === 'hydrates')
      return heardHydrates(thing as HydrateThing, view, labels);
    if (view.family === 'cylinder' && labels.family === 'cylinder')
      return heardCylinder(thing as CylinderThing, view, labels);
    if (view.family === 'spheres') return heardSpheres(thing as SphereThing, view);
    if (view.family === 'gases' && labels.family === 'gases') return heardGases(thing as GasThing, view, labels);
    if (view.family === 'solutions') return heardSolutions(thing as SolutionThing, view);
    if (labels.family !== 'titration' || view.family !== 'titration') throw new Error('another family');
    return heardTitration(thing as TitrationThing, view, labels);
  };
  /** What a vessel of the bench of solutions says on asking. */
  const ask = (thing: SolutionThing): string => {
    const view = now.view();
    return view.family === 'solutions' ? askedOf(thing, view) : '';
  };
  return { act, hear, ask, secrets: () => now.secrets() };
}

describe('a bench of measuring, heard', () => {
  it('tells what was poured, weighed, looked at and recorded', () => {
    const { act, hear } = bench('liquid-density', { liquids: ['water'], drawn: false });
    expect(hear('vessel:4')).toBe('50 mL cylinder 4, empty');
    expect(act({ kind: 'pour', from: 1, to: 4, ml: 30 })).toMatch(/50 mL cylinder 4: liquid near (29|30|31) mL\./);
    expect(act({ kind: 'weigh', vessel: 4 })).toMatch(
      /50 mL cylinder 4: liquid near \d+ mL, on the balance\. The balance shows \d+\.\d\d g\./,
    );
    expect(hear('balance')).toMatch(/^balance, shows \d+\.\d\d g$/);
    expect(act({ kind: 'recordMass', trial: 1, which: 'm2' })).toMatch(
      /^Recorded: mass with the liquid, trial 1, \d+\.\d\d g\.$/,
    );
    expect(act({ kind: 'look', at: 'vessel', n: 4 })).toBe('The eye is 30 millimetres above the surface.');
    act({ kind: 'look', at: 'vessel', n: 5 });
    // Both within one breath.
    expect(act({ kind: 'look', at: 'vessel', n: 4 }, { kind: 'eye', mm: 0 })).toBe(
      'The eye is level with the surface.',
    );
    act({ kind: 'eye', mm: 7 });
    expect(act({ kind: 'eye', mm: 0 })).toBe('The eye is level with the surface.');
    expect(act({ kind: 'eye', mm: -12 })).toBe('The eye is 12 millimetres below the surface.');
    expect(act({ kind: 'record', trial: 1, which: 'V', text: '30.2' })).toBe('Recorded: volume, trial 1, 30.2 mL.');
    expect(act({ kind: 'strike', trial: 1, which: 'V', reason: 'misread' })).toBe('Struck out: volume, trial 1.');
    expect(act({ kind: 'count', trial: 1, counts: false, reason: 'spilt' })).toBe('Trial 1 is left out.');
    expect(act({ kind: 'offPan' })).toMatch(/The balance shows (minus )?0\.\d\d g\./);
    expect(act({ kind: 'pour', from: 1, to: 6, ml: 26 }, { kind: 'stopper', vessel: 6, on: true })).toMatch(
      /density bottle 6: holds liquid, stoppered/,
    );
  });

  it('tells of pieces, the sinker, bubbles and tools', () => {
    const { act, hear } = bench('displacement', { solids: ['lead'], drawn: false });
    expect(hear('lot:1')).toMatch(/^A: small pieces, grey metal, 30 of 30 on the dish$/);
    expect(act({ kind: 'squirt', into: 2, ml: 20 }, { kind: 'put', lot: 1, count: 4, into: 2, how: 'drop' })).toMatch(
      /50 mL cylinder 2: liquid near \d+ mL, 4 pieces of A in it.*A: 26 of 30 on the dish/,
    );
    expect(act({ kind: 'sinker', vessel: 2, on: true })).toMatch(/The sinker is in vessel 2/);
    expect(act({ kind: 'fish', vessel: 2 })).toMatch(/A: 30 of 30 on the dish, wet/);
    const solid = bench('regular-solids', { shapes: ['block'], solids: ['brass'] });
    expect(solid.act({ kind: 'measure', lot: 1, tool: 'calliper', along: 'width' })).toBe(
      'The calliper holds the width of A.',
    );
    expect(solid.act({ kind: 'closeJaws' })).toBe('The jaws of the calliper are closed on nothing.');
    expect(solid.hear('calliper')).toBe('vernier calliper, its jaws closed');
  });

  it('says no more than an eye sees from there: no level finer than a division', () => {
    const { act, hear } = bench('reading-a-scale');
    act({ kind: 'pour', from: 1, to: 5, ml: 11.37 });
    expect(hear('vessel:5')).toMatch(/liquid near \d+ mL$/);
  });
});

describe('a bench of titration, heard', () => {
  it('tells what the burette, the flask and the pipette come to', () => {
    const { act, hear } = bench('acid-concentration', { acids: ['hydrochloric-acid'] });
    expect(hear('burette')).toBe('burette, empty');
    expect(act({ kind: 'fill', toMl: 1 })).toMatch(/Burette: level near 1 mL/);
    expect(act({ kind: 'drawSample' })).toContain('The pipette is filled to its mark, 25 mL.');
    expect(act({ kind: 'drainPipette' })).toMatch(/The pipette has run out\. Flask: about 25 mL, colourless\./);
    expect(act({ kind: 'indicator', id: 'phenolphthalein', drops: 3 })).toContain('3 drops of phenolphthalein');
    expect(act({ kind: 'keepSwirling', on: true })).toContain('swirled');
    expect(act({ kind: 'letIn', ml: 40 })).toMatch(
      /Burette: level near 41 mL.*Flask: about 65 mL, (deep |faint )?pink/,
    );
    expect(hear('flask')).toMatch(
      /^conical flask, about 65 mL, (deep |faint )?pink, 3 drops of phenolphthalein, swirled$/,
    );
    expect(act({ kind: 'record', trial: 1, which: 'last', text: '41.02' })).toBe(
      'Recorded: last reading, trial 1, 41.02 mL.',
    );
    expect(act({ kind: 'emptyFlask' })).toMatch(/Trial 2 begins\. .*Flask: empty/);
  });
});

describe('a bench of particles, heard', () => {
  it('tells what the gauges show, what was recorded, and how often it hit', () => {
    const { act, hear } = bench('one-particle', { gases: ['neon'] });
    expect(hear('vessel')).toBe('vessel, empty');
    expect(hear('v')).toBe('speed gauge, shows nothing');
    expect(act({ kind: 'putIn', kelvin: 300 })).toMatch(
      /^A particle is in the vessel\. The gauges show temperature 300\.0 K, energy 6\.213 zJ, speed 608\.\d m\/s\.$/,
    );
    expect(act({ kind: 'record', trial: 1, which: 'v' })).toMatch(/^Recorded: speed, trial 1, 608\.\d m\/s\.$/);
    expect(act({ kind: 'wait' })).toBe('');
    expect(hear('vessel')).toMatch(/^vessel, with a particle that has hit its walls \d+ times$/);
  });
});

describe('a bench of heat, heard', () => {
  it('tells what is in the cup, where the metal and the thermometers are, and what was recorded', () => {
    const { act, hear } = bench('metal-by-heat', { metals: ['copper'] });
    expect(hear('cup')).toBe('foam cup, empty');
    expect(hear('piece:2')).toBe('piece 2 of the metal, red metal, on its dish');
    expect(act({ kind: 'pour', bottle: 1, to: 'cup', ml: 80 })).toBe('Foam cup: about 80 mL in it.');
    expect(act({ kind: 'weigh', what: 'cup', piece: 1 })).toMatch(
      /^Foam cup: about 80 mL in it, on the balance\. The balance: shows 8\d\.\d\d g\.$/,
    );
    expect(act({ kind: 'warm', what: 'bath', tempC: 100 })).toMatch(
      /^Hot bath: set to 100(\.\d)? °C, warming up\.$|set to 9\d/,
    );
    expect(act({ kind: 'put', piece: 2, to: 'bath' })).toContain('Piece 2 of the metal: in the hot bath.');
    expect(act({ kind: 'stir', vessel: 'cup', how: 'motor' }, { kind: 'lid', vessel: 'cup', on: true })).toMatch(
      /Foam cup: about 80 mL in it, its lid on, stirred by motor, on the balance\./,
    );
    expect(act({ kind: 'thermometer', n: 1, at: 'cup' })).toMatch(/Thermometer 1: in the cup, near \d\d °C\./);
    expect(act({ kind: 'recordTemp', trial: 1, which: 'T1' })).toMatch(
      /^Recorded: temperature of the liquid before, trial 1, \d\d\.\d °C\./,
    );
    expect(act({ kind: 'log', everyS: 5 })).toContain('Logger: a line every 5 s.');
    expect(act({ kind: 'fresh', type: 'glass-beaker' })).toMatch(
      /^A fresh glass beaker stands there\. Glass beaker: empty\./,
    );
  });

  it('tells of salt on its way, and no finer than a degree what wavers', () => {
    const { act, hear } = bench('salt-by-heat', { salts: ['ammonium-nitrate', 'potassium-chloride'] });
    expect(act({ kind: 'scoop', g: 8 })).toMatch(/^Weighing boat: about \d g in it\.$/);
    act({ kind: 'pour', bottle: 1, to: 'cup', ml: 70 }, { kind: 'thermometer', n: 1, at: 'cup' });
    expect(act({ kind: 'tip' })).toMatch(
      /Foam cup: about 70 mL in it, salt lies in it\..*Weighing boat: some of it clings there\./,
    );
    expect(hear('thermo:1')).toMatch(/^thermometer, in the cup, shows \d\d\.\d °C$/);
  });

  it('tells of a pellet, its wire and its vessel as far as one sees them', () => {
    const { act, hear } = bench('pellet-in-oxygen');
    expect(hear('sealed')).toBe('sealed vessel, on its stand, open, no wire in it');
    expect(hear('pellet')).toBe('dish for a pellet, empty');
    expect(act({ kind: 'press', of: 'standard', g: 0.7 })).toBe('Pellet of the standard: on its dish.');
    expect(act({ kind: 'place', to: 'vessel' }, { kind: 'wire', cm: 10 }, { kind: 'bend' })).toMatch(
      /^Sealed vessel: on its stand, open, its wire touching the pellet, (9\.9|10\.[01]) cm by the rule, a pellet of the standard in it\. Pellet of the standard: in the vessel\./,
    );
    expect(act({ kind: 'seal', closed: true })).toContain('Sealed vessel: on its stand, closed, no pressure in it.');
    expect(act({ kind: 'fill', bar: 28 })).toBe('Sealed vessel: on its stand, closed, 28 bar on its gauge.');
    act({ kind: 'pour', bottle: 1, to: 'cup', ml: 700 });
    expect(act({ kind: 'sink', to: 'pail' })).toContain('Sealed vessel: in the pail, closed, 28 bar on its gauge.');
    // From outside nobody hears whether the wire has burnt, or the pellet.
    expect(act({ kind: 'fire' })).not.toMatch(/wire|pellet/i);
    expect(hear('sealed')).not.toMatch(/wire|pellet|soot/);
    act({ kind: 'sink', to: 'stand' }, { kind: 'vent' });
    expect(act({ kind: 'seal', closed: false })).toMatch(/open, ends of a wire that burnt, \d\.\d cm by the rule\./);
  });

  it('tells of a flame by its colour, of a lamp by where it stands, and of the can over it', () => {
    const { act, hear } = bench('lamp-fuels', { fuels: ['hexane', 'methanol'] });
    expect(hear('hanger')).toBe('stand of the metal can, 45 mm over the wick');
    expect(hear('lamp:2')).toMatch(/^lamp with the unknown, on its mat, its cap on, about \d+ mL of fuel$/);
    expect(act({ kind: 'stand', n: 1, at: 'can' })).toContain('Lamp with ethanol: under the can, its cap on');
    expect(act({ kind: 'flame', n: 1, to: 'lit' })).toContain('burning with a blue flame');
    expect(act({ kind: 'gap', mm: 60 }, { kind: 'screen', on: true })).toContain(
      'Stand of the metal can: 60 mm over the wick, a screen around the flame.',
    );
    expect(act({ kind: 'flame', n: 1, to: 'open' })).toContain('its cap off');
    expect(hear('mat')).toBe('mat of the lamps');
  });

  it('tells of a tube by where it is, and of what is in it by how much is frozen', () => {
    const { act, hear } = bench('molar-mass-by-freezing');
    expect(hear('tube')).toBe('test tube, on its stand, empty');
    expect(hear('substance')).toBe('jar of the solvent');
    expect(act({ kind: 'charge', g: 15 })).toBe('Test tube: on its stand, all of it frozen.');
    expect(act({ kind: 'warm', what: 'cold', tempC: -5 })).toBe('Cold bath: set to -5 °C.');
    expect(act({ kind: 'jacket', on: true }, { kind: 'tubeTo', at: 'cold' })).toContain(
      'Test tube: in the cold bath, all of it frozen, its air jacket on.',
    );
    expect(act({ kind: 'tubeTo', at: 'stand' }, { kind: 'scoop', g: 0.3 }, { kind: 'tip' })).toContain(
      'something lies undissolved',
    );
  });

  it('tells of two samples by what their jars say, and of a mixture by what of it is frozen', () => {
    const { act, hear } = bench('mixture-melting');
    expect([hear('substance'), hear('second')]).toEqual(['jar of sample A', 'jar of sample B']);
    expect(act({ kind: 'charge', g: 8, of: 2 })).toBe('Test tube: on its stand, all of it frozen.');
    expect(act({ kind: 'charge', g: 8 })).toMatch(/^(Test tube: on its stand, about \d tenths frozen|$)/);
  });
});

describe('a bench of hydrates, heard', () => {
  it('tells of the crucible by where it is, its lid and its colours, and of the burner by its flame', () => {
    const { act, hear } = bench('which-hydrate', { hydrates: ['copper-sulfate-5', 'barium-chloride-2'] }, 'ear 3');
    expect(hear('crucible')).toBe('crucible, on the mat, its lid on');
    expect(hear('jar')).toBe('jar of the unknown');
    expect(hear('burner')).toBe('burner, no flame, gas 0.0, air 0.0, under the tripod');
    expect(act({ kind: 'fill', g: 2 })).toContain('Crucible: on the mat, its lid on, its lid hides what is in it.');
    expect(act({ kind: 'lid', to: 'off' })).toMatch(/^Crucible: on the mat, its lid off, (blue|white) throughout, (a thin layer|a third full)\./);
    expect(act({ kind: 'gas', to: 4 })).toContain('Burner: no flame, gas 4.0, air 0.0, gas flows without a flame, under the tripod.'); // prettier-ignore
    expect(act({ kind: 'light' })).toContain('a yellow flame');
    expect(act({ kind: 'air', to: 3 })).toContain('a blue flame');
    expect(act({ kind: 'put', at: 'gauze', by: 'tongs' })).toContain('Crucible: on the gauze');
    expect(act({ kind: 'slide', under: false })).toContain('aside');
    expect(act({ kind: 'put', at: 'pan', by: 'tongs' })).toMatch(/The balance: shows \d+\.\d{3} g\./);
    expect(act({ kind: 'recordMass', trial: 1, which: 'm1' })).toMatch(/^Recorded: mass of the crucible with the salt, trial 1/);
    expect(hear('lid')).toBe('lid of the crucible, off');
  }); // prettier-ignore
});

describe('a bench of solutions, heard', () => {
  const TUBE = 18;
  const setup = {
    reactions: ['lead-iodide'],
    tools: ['slip', 'thermometer', 'colorimeter', 'probe', 'cell', 'paper', 'plate'],
  };

  it('tells what came, fell, warmed and was handed over, and on asking what was put in', () => {
    const { act, hear, ask } = bench('which-react', setup, 'ear 5');
    expect(hear('vessel:1')).toMatch(/^bottle A, 0\.\d+ mol\/L, 150 mL, colourless liquid$/);
    expect(hear('vessel:5')).toBe('water, 500 mL, colourless liquid');
    expect(hear('thermometer')).toBe('precision thermometer, in no vessel');
    expect(act({ kind: 'take', type: 'tube' })).toBe('Tube 1 stands there, clean.');
    const put = (from: number) => act({ kind: 'measure', from, to: TUBE, ml: 4, by: 'pipette' });
    const said = [1, 2, 3, 4].map(put);
    expect(said.join(' ')).toMatch(/Tube 1: 4 mL, colourless liquid\./);
    expect(said.at(-1)).toMatch(/^Tube 1: 16 mL, .*liquid, (some|much) solid, golden yellow, in crystals\.$/);
    expect(ask(`vessel:${TUBE}`)).toMatch(/Put in: 4\.00 mL of bottle A, then 4\.00 mL of bottle B, then/);
    expect(act({ kind: 'name', vessel: TUBE, text: 'all four' })).toBe('Tube 1 “all four” has its label.');
    expect(act({ kind: 'dip', tool: 'thermometer', into: TUBE })).toMatch(/^Precision thermometer, in tube 1 “all four”, shows \d+\.\d\d °C\.$/);
    expect(act({ kind: 'dip', tool: 'probe', into: 1 })).toMatch(/^pH meter, in bottle A, shows \d+\.\d\d\.$/);
    expect(act({ kind: 'dip', tool: 'cell', into: 1 })).toMatch(/^Conductivity cell, in bottle A, shows \d+\.\d{2,3} mS\/cm\.$/);
    expect(act({ kind: 'wavelength', nm: 450 })).toMatch(/^Colorimeter, 450 nm, its cuvette empty, shows 0\.\d{3}\.$/);
    expect(act({ kind: 'fillCuvette', vessel: 5 })).toMatch(/^Colorimeter, 450 nm, its cuvette from water, shows/);
    expect(act({ kind: 'paper', vessel: TUBE })).toMatch(/its paper is \w+/);
    expect(act({ kind: 'slip', vessel: TUBE, ml: 2 })).toContain('Tube 1 “all four”: 14 mL');
    expect(hear('analysis')).toBe('analysis, 1 portion under way');
    expect(Array.from({ length: 50 }, () => act({ kind: 'wait' })).join(' ')).toContain('The slip of tube 1 “all four” is there.');
    expect(hear(`vessel:${TUBE}`)).toContain('it has come to lie on the ground');
    expect(act({ kind: 'recordSlip', trial: 1, slip: 1, which: 'p' })).toBe('Recorded: portion that was analysed, trial 1, 2.00 mL.');
    expect(act({ kind: 'away', vessel: TUBE })).toContain('Tube 1 is back on the tray.');
  }); // prettier-ignore

  it('tells of papers by where they are, how wet and how brown, and of what stands around them', () => {
    const { act, hear } = bench('solid-yield', { solids: ['barium-chromate'] }, 'ear 6');
    expect(act({ kind: 'takePaper', of: 'cellulose' })).toBe('Filter paper 1: on the mat, bare.');
    expect(hear('sheet:1')).toBe('filter paper 1, on the mat, bare');
    expect(hear('oven')).toMatch(/^drying oven, at \d\d °C, set to \d\d °C, empty$/);
    expect(act({ kind: 'setOven', tempC: 230 })).toBe('The oven is set to 230 °C.');
    expect(hear('hotPlate')).toBe('hot plate, 85 °C, 0 beakers on it');
    expect([hear('desiccator'), hear('funnel')]).toEqual([
      'desiccator, empty',
      'funnel and wash bottle, no paper in it, nothing under it',
    ]);
    for (const act_ of [
      { kind: 'take', type: 'beaker' },
      { kind: 'take', type: 'beaker' },
    ])
      act(act_);
    for (const from of [1, 2]) act({ kind: 'measure', from, to: 4, ml: 10, by: 'pipette' });
    expect(act({ kind: 'placeVessel', vessel: 4, at: 'plate' })).toMatch(
      /^Beaker 1: on the hot plate, 20 mL, .* solid, yellow/,
    );
    for (let i = 0; i < 40; i++) act({ kind: 'wait' });
    expect(hear('vessel:4')).toMatch(/on the hot plate, (warm|hot), /);
    expect(act({ kind: 'placeVessel', vessel: 5, at: 'funnel' })).toBe('Beaker 2: empty, under the funnel.');
    expect(act({ kind: 'placePaper', paper: 1, at: 'funnel' })).toBe('Filter paper 1: in the funnel, bare.');
    expect(act({ kind: 'filter', from: 4 })).toMatch(
      /Filter paper 1: in the funnel, (some|much|very much) solid, yellow, like dust\./,
    );
    expect(hear('sheet:1')).toMatch(/in the funnel, wet, /);
    expect(hear('funnel')).toBe('funnel and wash bottle, a paper in it, a beaker under it');
    expect(act({ kind: 'placePaper', paper: 1, at: 'oven' })).toMatch(/^Filter paper 1: in the oven, /);
    for (let i = 0; i < 300; i++) act({ kind: 'wait' });
    expect(hear('sheet:1')).toMatch(/in the oven, looks dry, warm, (brown|charred), .* solid, yellow/);
    act({ kind: 'placePaper', paper: 1, at: 'pan' });
    expect(hear('balance')).toMatch(/^balance, filter paper 1 on it, shows \d\.\d{3} g$/);
    expect(act({ kind: 'throwPaper', paper: 1 })).toBe('Filter paper 1: thrown away.');
  });

  it('tells of the boat by what an eye sees in it, and of gas that comes', () => {
    const { act, hear } = bench(
      'runs-out',
      { carbonates: ['sodium-carbonate'], acids: ['hydrochloric-acid'] },
      'ear 7',
    );
    expect([hear('boat'), hear('jar')]).toEqual(['weighing boat, empty', 'jar']);
    expect(act({ kind: 'scoop', g: 1 })).toMatch(/^Weighing boat, about [01]\.\d g\.$/);
    expect(act({ kind: 'placeBoat', at: 'pan' })).toMatch(/^Weighing boat, on the balance, about/);
    expect(hear('balance')).toMatch(/the boat on it, shows \d\.\d{3} g$/);
    act({ kind: 'take', type: 'beaker' });
    act({ kind: 'measure', from: 1, to: 3, ml: 10, by: 'pipette' });
    expect(act({ kind: 'tip', to: 3 })).toMatch(
      /Beaker 1: 10 mL, colourless liquid, gas comes off it\..*Weighing boat, on the balance, empty\./,
    );
  });
});

describe('a bench of gases, heard', () => {
  it('tells where a plunger stands, how the tube sits and what the gauge shows', () => {
    const { act, hear } = bench('pressure-volume');
    expect(hear('plunger')).toBe('syringe, plunger near 50 mL');
    expect(hear('tube')).toBe('tube of the coil, pushed on lightly');
    expect(act({ kind: 'joint', to: 'off' })).toMatch(/^Tube of the coil: off, open to the room\./);
    expect(act({ kind: 'plunger', ml: 70 })).toMatch(/^Syringe: plunger near (69|70|71) mL\./);
    expect(act({ kind: 'joint', to: 'home' })).toMatch(/pushed home/);
    expect(act({ kind: 'plunger', ml: 40 })).toMatch(/Gauge: shows 1\d\d\.\d kPa\./);
    expect(act({ kind: 'record', trial: 1, which: 'vol', text: '40.2' })).toMatch(
      /^Recorded: volume in the syringe, trial 1, 40\.2 mL\./,
    );
    expect(hear('barometer')).toMatch(/^barometer, shows \d+\.\d kPa$/);
    expect(hear('room')).toMatch(/^thermometer of the room, shows \d\d\.\d °C$/);
  });

  it('tells of bath, plate and bulb, and of each of four syringes', () => {
    const bulb = bench('pressure-temperature', { unit: 'mmHg', gauge: 'over' });
    expect(bulb.act({ kind: 'put', at: 'bath' })).toMatch(/^Glass bulb: in the bath\./);
    expect(bulb.act({ kind: 'ice', g: 300 })).toMatch(/Water bath: much ice in it\..*Thermometer in the bath: shows/);
    expect(bulb.act({ kind: 'heat', to: 4 })).toMatch(/^Hot plate: set to 4\.0 of 10\./);
    expect(bulb.hear('gauge')).toMatch(/^gauge, shows (minus )?\d+ mmHg$/);
    expect(bulb.hear('jar')).toBe('cold jar');
    const needle = bench('vapour-molar-mass');
    expect(needle.hear('injector')).toBe('injector, empty, its needle stoppered, on the mat');
    expect(needle.act({ kind: 'draw', ml: 0.3 })).toMatch(
      /^Injector: holds near 0\.3 mL, its needle open, on the mat\./,
    );
    expect(needle.act({ kind: 'weigh', on: true })).toMatch(/on the balance\. Balance: shows [4-6]\.\d{3} g\./);
    expect(needle.hear('syringe:1')).toMatch(/^syringe in the bath, plunger near \d mL$/);
    const water = bench('gas-over-water');
    expect(water.hear('gastube')).toMatch(/^gas tube, gas near [01] mL, the water stands near \d+ mm higher inside$/);
    expect(water.act({ kind: 'cut', mg: 20 })).toMatch(/^Strip of metal: on the mat\./);
    expect(water.act({ kind: 'weigh', on: true })).toMatch(/on the balance\. Balance: shows 0\.0[12]\d\d g\./);
    expect(water.act({ kind: 'weigh', on: false }, { kind: 'hang' })).toMatch(
      /Gas tube: .*it fizzes\. Strip of metal: in the tube\./,
    );
    expect(water.hear('ruler')).toMatch(/^ruler, the water stands near \d+ mm (higher|lower) inside$/);
    expect(water.hear('thermometer')).toMatch(/^thermometer in the water, shows \d\d\.\d °C$/);
    const four = bench('volume-temperature', { named: true, gases: ['helium', 'argon', 'nitrogen'] });
    expect(four.hear('syringe:1')).toMatch(/^syringe helium, plunger near \d\d mL$/);
    expect(four.hear('syringe:4')).toMatch(/^syringe X, plunger near \d+ mL$/);
    expect(four.act({ kind: 'record', trial: 1, which: 'vd', text: '9' })).toMatch(
      /^Recorded: volume of X, trial 1, 9 mL\./,
    );
    expect(four.hear('plate')).toBe('hot plate, off');
    expect(four.hear('bath')).toBe('water bath, water');
  });
});

describe('a bench of two gases, heard', () => {
  it('tells of jacket, hole and filling, and what the counters show when they stand', () => {
    const { act, hear } = bench('light-and-heavy', { count: 30 });
    expect(hear('counters')).toBe('counters, show nothing');
    expect(act({ kind: 'jacket', kelvin: 400 })).toBe('A jacket of 400 K is around the vessel.');
    expect(hear('jacket')).toBe('jacket, of 400 K');
    act({ kind: 'run', ps: 10 });
    expect(hear('vessel')).toBe('vessel, they stand still');
    expect(hear('counters')).toMatch(/^counters, temperature \d+\.\d K, energy, helium \d+\.\d+ zJ, .*stretch 10 ps/);
    expect(act({ kind: 'record', trial: 1, which: 'v1' })).toMatch(
      /^Recorded: mean speed, helium, trial 1, \d+\.\d m\/s\.$/,
    );
    expect(act({ kind: 'hole', open: true })).toBe('The hole is open.');
    expect(act({ kind: 'refill' })).toMatch(/^The vessel is filled afresh\. The jacket is off\. The hole is shut\./);
    expect(act({ kind: 'refill', of: 'other' })).toBe('The vessel is filled afresh, with the other gas alone.');
    act({ kind: 'run', ps: 10 });
    expect(hear('counters')).toMatch(/^counters, temperature \d+\.\d K, energy, other \d+\.\d+ zJ, speed, other/);
  });
});

describe('a bench of a gas under a piston, heard', () => {
  it('tells what holds what, what changed since the last trial, and the counters with how sure they are', () => {
    const { act, hear } = bench('one-law');
    expect(hear('counters')).toBe('counters, show nothing');
    expect(hear('piston')).toBe('piston, pinned at 27000 nm³');
    expect(act({ kind: 'jacket', kelvin: 300 })).toBe('A jacket of 300 K is around the cylinder.');
    expect(act({ kind: 'pin', nm3: 20_000 })).toBe('Piston: pinned at 20000 nm³.');
    act({ kind: 'run', ps: 16 });
    expect(hear('cylinder')).toBe('cylinder, they stand still');
    expect(hear('counters')).toMatch(
      /^counters, pressure \d+\.\d\d kPa, volume \d+ nm³, temperature \d+\.\d K, number \d+, stretch 16 ps$/,
    );
    expect(act({ kind: 'record', trial: 1, which: 'P' })).toMatch(/^Recorded: mean pressure, trial 1, \d+\.\d\d kPa\./);
    expect(act({ kind: 'letIn', count: 10 })).toMatch(
      /^There are \d+ of them now\. Since trial 1 you changed the number alone: pressure against number\.$/,
    );
    expect(act({ kind: 'load', kPa: 80 })).toMatch(/a load of 80 kPa presses on it, the pin is out/);
    expect(hear('valve')).toMatch(/^valve, shut, \d+ in the cylinder$/);
    expect(act({ kind: 'bare' })).toContain('The jacket is off.');
    expect(act({ kind: 'refill' })).toMatch(/^The cylinder is filled afresh\./);
  });
});
