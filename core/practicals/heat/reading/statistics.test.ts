import { describe, it, inject } from 'vitest';
import { LAMP_FUELS, openKJPerG, sealedKJPerG, SOLID_FUELS } from '../../../databook/combustion';
import { METAL_HEATS } from '../../../databook/specific-heats';
import { SALTS, solutionJPerG } from '../../../databook/salts';
import { expectAsSure, expectShare, foundOf, students, type Found } from '../../careful-students';
import { dissolvingOf, freezingOf } from '../../../databook/freezing';
import { freezePure, freezeSamples, freezeSolution } from '../freezing/student';
import type { Hands } from '../practised-student';
import { begun, practicalOf, worked, type HeatId, type Run } from '../testing';

/** What careful students of one class find, three hundred in `npm run test:long`, each with a sample, a room and instruments of their own. */

const STUDENTS = students(300);

/** Which thermometer a student works with: the class uses all. */
const THERMOMETERS = ['digital 0.1', 'digital 0.01', 'glass 0.2'];

interface Named extends Found {
  name: string | number | undefined;
  leftOpen: readonly string[];
}

/** What one student of a class found. */
const foundBy = (quantity: string, run: Run): Named => ({
  ...foundOf(run.bench(), quantity),
  name: run.bench().truths()['name'],
  leftOpen: run.bench().leftOpen()['name'] ?? [],
});

async function classOf(id: HeatId, quantity: string): Promise<Named[]> {
  const found: Named[] = [];
  for (let index = 0; index < STUDENTS; index++) {
    const thermometer = id === 'acid-by-temperature' ? THERMOMETERS[index % 2] : THERMOMETERS[index % 3];
    found.push(foundBy(quantity, await worked(id, { seed: `class ${index % 7}`, index, setup: { thermometer } })));
  }
  return found;
}

/** A class that freezes, with both thermometers that can be logged: each its own, for that is what most hangs on. */
async function frozenClass(
  id: HeatId,
  quantity: string,
  work: (hands: Hands) => Promise<void>,
  students = STUDENTS,
): Promise<Named[]> {
  const found: Named[] = [];
  for (let index = 0; index < students; index++) {
    const run = begun(id, { seed: `class ${index}`, index, setup: { thermometer: THERMOMETERS[index % 2] } });
    await work(run.hands);
    found.push(foundBy(quantity, run));
  }
  return found;
}

/** The name in the pool as it comes whose value lies nearest. */
function nearestOf<F extends { id: string; name: string }>(
  fuels: readonly F[],
  id: HeatId,
  of: (fuel: F) => number,
  value: number,
) {
  const pool = (practicalOf(id).setup.parse({}) as { fuels: string[] }).fuels;
  return fuels
    .filter((fuel) => pool.includes(fuel.id))
    .reduce((a, b) => (Math.abs(of(b) - value) < Math.abs(of(a) - value) ? b : a)).name;
}

describe('careful students', { timeout: 900_000 }, () => {
  it('name their metal, and are as sure of it as they say', async () => {
    const all = await classOf('metal-by-heat', 'specificHeat');
    const pool = practicalOf('metal-by-heat').setup.parse({}) as { metals: string[] };
    const heats = METAL_HEATS.filter(({ id }) => pool.metals.includes(id));
    // The nearest of the pool that looks alike: copper and brass are told from grey ones by their colour.
    const look = (id: string) => (['copper', 'brass'].includes(id) ? id : 'grey');
    const isNamed = ({ value, name }: Named) => {
      const own = heats.find((metal) => metal.name === name);
      const alike = heats.filter(({ id }) => look(id) === look(own?.id ?? ''));
      const nearest = alike.reduce((a, b) => (Math.abs(b.jPerGK - value) < Math.abs(a.jPerGK - value) ? b : a));
      return nearest.name === name;
    };
    expectShare(all, isNamed, 0.95, 'named');
    expectAsSure(all, 'specificHeat');
    // The name is among those that stay open just as often, and they are few.
    expectShare(all, ({ leftOpen, name }) => leftOpen.includes(String(name)), 0.93, 'names');
    expectShare(all, ({ leftOpen }) => leftOpen.length <= 3, 0.9, 'those');
  });

  it('name their salt, and are as sure of it as they say', async () => {
    const all = await classOf('salt-by-heat', 'perGram');
    const pool = practicalOf('salt-by-heat').setup.parse({}) as { salts: string[] };
    const salts = SALTS.filter(({ id }) => pool.salts.includes(id));
    const isNamed = ({ value, name }: Named) => {
      const nearest = salts.reduce((a, b) =>
        Math.abs(solutionJPerG(b) - value) < Math.abs(solutionJPerG(a) - value) ? b : a,
      );
      return nearest.name === name;
    };
    expectShare(all, isNamed, 0.95, 'named');
    expectAsSure(all, 'perGram');
    expectShare(all, ({ leftOpen, name }) => leftOpen.length === 1 && leftOpen[0] === name, 0.93, 'names');
  });

  it('find what the vessel keeps within what they say, and it stands out of it', async () => {
    const all = await classOf('two-portions', 'capacity');
    expectAsSure(all, 'capacity');
    expectShare(all, ({ value, uncertainty }) => value > 5 * uncertainty, 0.95, 'those');
  });

  it('find the heat of their acid with their base within what they say, and tell ammonia from sodium hydroxide by it', async () => {
    const all = await classOf('acid-with-base', 'perMole');
    expectAsSure(all, 'perMole');
    // Some 52 kJ/mol where no water forms, some 56 where it does: nobody’s value lies nearer to the other.
    const side = (kJ: number) => kJ < 54;
    expectShare(all, ({ value, truth }) => side(value) === side(truth), 0.93, 'those');
  });

  it('find the concentration of an acid by where its warming bends', async () => {
    const all = await classOf('acid-by-temperature', 'concentration');
    expectAsSure(all, 'concentration');
    expectShare(all, ({ value, truth }) => Math.abs(value / truth - 1) < 0.02, 0.95, 'those');
  });

  it('name what they burnt in oxygen, and are as sure of it as they say', async () => {
    const all = await classOf('pellet-in-oxygen', 'perGram');
    expectAsSure(all, 'perGram of a pellet');
    expectShare(all, ({ leftOpen, name }) => leftOpen.includes(String(name)), 0.93, 'names');
    expectShare(
      all,
      ({ value, name }) => nearestOf(SOLID_FUELS, 'pellet-in-oxygen', sealedKJPerG, value) === name,
      0.95,
      'names',
    );
  });

  it('name what burnt in their lamp, and are as sure of it as they say', async () => {
    const all = await classOf('lamp-fuels', 'perGram');
    expectAsSure(all, 'perGram');
    expectShare(all, ({ leftOpen, name }) => leftOpen.includes(String(name)), 0.93, 'names');
    expectShare(
      all,
      ({ value, name }) => nearestOf(LAMP_FUELS, 'lamp-fuels', openKJPerG, value) === name,
      0.95,
      'names',
    );
  });

  it('find where a substance freezes, and name it by that', async () => {
    const all = await frozenClass('freezing-point', 'freezes', (hands) => freezePure(hands, 1));
    expectAsSure(all, 'freezes');
    expectShare(all, ({ leftOpen, name }) => leftOpen.length === 1 && leftOpen[0] === name, 0.95, 'names');
  });

  // In every run the contract suite has five students of each: they freeze for seconds.
  it.runIf(inject('isLong'))('find the molar mass of what they dissolved, and name it by that', async () => {
    const { freezesC } = freezingOf('dichlorobenzene');
    const all = await frozenClass('molar-mass-by-freezing', 'molarMass', (hands) => freezeSolution(hands, freezesC));
    expectAsSure(all, 'molarMass');
    expectShare(all, ({ leftOpen, name }) => leftOpen.includes(String(name)), 0.93, 'names');
    const pool = (practicalOf('molar-mass-by-freezing').setup.parse({}) as { solutes: string[] }).solutes.map(
      dissolvingOf,
    );
    const nearest = (value: number) =>
      pool.reduce((a, b) => (Math.abs(b.molarMassGPerMol - value) < Math.abs(a.molarMassGPerMol - value) ? b : a)).name;
    expectShare(all, ({ value, name }) => nearest(value) === name, 0.95, 'names');
  });

  it.runIf(inject('isLong'))(
    'tell two substances from one by their mixture, and are as sure of where it melts as they say',
    async () => {
      // Three tubes each take three times as long: a hundred students.
      const all = await frozenClass('mixture-melting', 'mixture', (hands) => freezeSamples(hands), students(100, 16));
      expectAsSure(all, 'mixture');
      expectShare(all, ({ leftOpen, name }) => leftOpen.length === 1 && leftOpen[0] === name, 0.95, 'names');
    },
  );
});
