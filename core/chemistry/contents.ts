import { benchSolutionOf } from '../databook/bench-solutions';
import { IONS_KJ_PER_MOL, SOLIDS_KJ_PER_MOL } from '../databook/ion-heats';
import {
  BOUND,
  COMPONENTS,
  GAS_THAT_LEAVES,
  SOLIDS_THAT_FALL,
  systemOf,
  type ComponentId,
  type Of,
} from '../databook/precipitates';
import { REDOX, takenBy } from '../databook/redox';
import { compositionOf } from './formula';
import { gramsPerMol } from './molar-mass';
import { speciation, type Speciation } from './speciation';

/**
 * What a vessel with solutions in it holds, and what becomes of it: acids and bases, complexes and solids come to equilibrium, electrons pass to
 * completion, carbon dioxide leaves. Constants are those of 25 °C whatever the temperature; volumes add.
 */
export interface Contents {
  volumeMl: number;
  /** mol of each component, whatever it is bound in, dissolved or fallen; of protons what acids brought less what bases took. */
  amounts: Readonly<Partial<Record<ComponentId, number>>>;
}

export const NOTHING: Contents = { volumeMl: 0, amounts: {} };

type Amounts = Contents['amounts'];

/** Of water at the temperature of a room, g/mL and mL/mol. Source: G. S. Kell (`kell`), at 21 °C. */
export const WATER_G_PER_ML = 0.998;
const WATER_ML_PER_MOL = gramsPerMol('H2O') / WATER_G_PER_ML;

const entries = (amounts: Amounts) => Object.entries(amounts) as [ComponentId, number][];

function summed(a: Amounts, b: Amounts, times = 1): Amounts {
  const sum: Partial<Record<ComponentId, number>> = { ...a };
  for (const [id, mol] of entries(b)) sum[id] = (sum[id] ?? 0) + times * mol;
  return sum;
}

/** So many mL of a solution of so many mol/L. */
export const solutionFrom = (id: string, molPerL: number, volumeMl: number): Contents => ({
  volumeMl,
  amounts: Object.fromEntries(
    entries(benchSolutionOf(id).of).map(([one, n]) => [one, (n * molPerL * volumeMl) / 1000]),
  ),
});

/** Put together, before anything has reacted. */
export const together = (a: Contents, b: Contents): Contents => ({
  volumeMl: a.volumeMl + b.volumeMl,
  amounts: summed(a.amounts, b.amounts),
});

export const part = ({ volumeMl, amounts }: Contents, share: number): Contents => ({
  volumeMl: volumeMl * share,
  amounts: Object.fromEntries(entries(amounts).map(([id, mol]) => [id, mol * share])),
});

type Made = ReturnType<typeof systemOf>;
const systems = new Map<string, Made>();
/** The most systems that are kept: one for each set of components that came together. */
const MOST_SYSTEMS = 400;

function systemFor(ids: readonly ComponentId[]): Made {
  const key = ids.join(' ');
  const known = systems.get(key);
  if (known) return known;
  if (systems.size >= MOST_SYSTEMS) systems.clear();
  const made = systemOf(ids);
  systems.set(key, made);
  return made;
}

const ORDER = COMPONENTS.map(({ id }) => id);
/** Less than this of a component is none at all, mol/L: what rounding leaves of one that was used up. */
const NO_MORE = 1e-13;

/** What is in it at equilibrium, as amounts and not as concentrations. */
interface Settled {
  made: Made;
  found: Speciation;
  pH: number;
  litres: number;
  /** mol of each solid that lies there or is afloat, by id. */
  solids: Readonly<Record<string, number>>;
  /** mol of carbon dioxide that is about to leave. */
  gasMol: number;
}

const settledOf = new WeakMap<Contents, Settled>();

/**
 * @throws RangeError when there is no liquid
 */
export function settledIn(contents: Contents): Settled {
  const known = settledOf.get(contents);
  if (known) return known;
  if (!(contents.volumeMl > 0)) throw new RangeError('there is no liquid');
  const litres = contents.volumeMl / 1000;
  const ids = ORDER.filter((id) => Math.abs(contents.amounts[id] ?? 0) > NO_MORE * litres);
  const made = systemFor(ids);
  const found = speciation(
    made.system,
    made.order.map((id) => (contents.amounts[id] ?? 0) / litres),
  );
  const solids = Object.fromEntries(
    made.falling.flatMap(({ id }, k) => ((found.solid[k] ?? 0) > 0 ? [[id, (found.solid[k] as number) * litres]] : [])),
  );
  const gasMol = (found.solid[made.falling.length] ?? 0) * litres;
  const settled: Settled = { made, found, pH: found.pH, litres, solids, gasMol };
  settledOf.set(contents, settled);
  return settled;
}

const SOLID_OF = new Map(SOLIDS_THAT_FALL.map(({ id, of }) => [id, of]));

/** What of the components is in solids, mol. */
export function inSolids(contents: Contents): Amounts {
  const sum: Partial<Record<ComponentId, number>> = {};
  for (const [id, mol] of Object.entries(settledIn(contents).solids))
    for (const [component, n] of entries(SOLID_OF.get(id) ?? {})) sum[component] = (sum[component] ?? 0) + n * mol;
  return sum;
}

/** Parted in two: a part of the liquid with what is dissolved in it, and a part of the solids that are in it. */
export function apart(contents: Contents, liquid: number, solid: number): { taken: Contents; left: Contents } {
  if (contents.volumeMl <= 0) return { taken: part(contents, 0), left: contents };
  const fallen = inSolids(contents);
  const amounts = Object.fromEntries(
    entries(contents.amounts).map(([id, mol]) => {
      const lies = fallen[id] ?? 0;
      return [id, (mol - lies) * liquid + lies * solid];
    }),
  );
  const taken = { volumeMl: contents.volumeMl * liquid, amounts };
  return {
    taken,
    left: { volumeMl: contents.volumeMl - taken.volumeMl, amounts: summed(contents.amounts, amounts, -1) },
  };
}

/** Concentration of a species at equilibrium, mol/L, by its formula; 0 where it cannot be there. */
export function molarOf(contents: Contents, formula: string): number {
  const { made, found } = settledIn(contents);
  return found.molar[made.formulas.indexOf(formula)] ?? 0;
}

const oxygenIn = (formula: string): number => compositionOf(formula).atoms['O'] ?? 0;
const FORMULA_OF = Object.fromEntries(COMPONENTS.map(({ id, formula }) => [id, formula])) as Record<
  ComponentId,
  string
>;

/** Heat of binding, kJ/mol: out of its components and the water that they leave or take. Nothing where it is not known. */
function bindingKJ(formula: string, of: Of, own: number | undefined): number {
  if (own === undefined) return 0;
  const parts = entries(of);
  const waters = parts.reduce((sum, [id, n]) => sum - n * oxygenIn(FORMULA_OF[id]), oxygenIn(formula));
  const before = parts.reduce((sum, [id, n]) => sum + n * (IONS_KJ_PER_MOL[FORMULA_OF[id]] ?? 0), 0);
  return own - before - waters * (IONS_KJ_PER_MOL['H2O'] as number);
}

/** By formula of what is dissolved, and by id of what falls. */
const BOUND_KJ = new Map(BOUND.map(({ formula, of }) => [formula, bindingKJ(formula, of, IONS_KJ_PER_MOL[formula])]));
const FALLEN_KJ = new Map(
  SOLIDS_THAT_FALL.map(({ id, formula, of }) => [id, bindingKJ(formula, of, SOLIDS_KJ_PER_MOL[id])]),
);

/** What binding has come to in it, J: less the more heat was given off. */
function boundJ(contents: Contents): number {
  if (contents.volumeMl <= 0) return 0;
  const { made, found, litres, solids } = settledIn(contents);
  let sum = 0;
  made.bounds.forEach(({ formula }, i) => {
    sum += (BOUND_KJ.get(formula) ?? 0) * (found.molar[made.order.length + i] ?? 0) * litres;
  });
  for (const [id, mol] of Object.entries(solids)) sum += (FALLEN_KJ.get(id) ?? 0) * mol;
  return 1000 * sum;
}

/** Heat of one time through a redox reaction, kJ: what comes out less what goes in, water as the rest. */
function passesKJ(change: Of): number {
  const parts = entries(change);
  const waters = -parts.reduce((sum, [id, n]) => sum + n * oxygenIn(FORMULA_OF[id]), 0);
  return (
    parts.reduce((sum, [id, n]) => sum + n * (IONS_KJ_PER_MOL[FORMULA_OF[id]] ?? 0), 0) +
    waters * (IONS_KJ_PER_MOL['H2O'] as number)
  );
}

interface Reacted {
  contents: Contents;
  /** Heat that came free in it, J; less than nothing where it was taken up. */
  heatJ: number;
  /** mol of carbon dioxide that left. */
  gasMol: number;
  /** mol by which electrons were passed on, by the reaction's id. */
  passed: Readonly<Record<string, number>>;
}

/** Two put together, and what becomes of them when all has come to rest. */
export const mixed = (a: Contents, b: Contents): Reacted => reacted(together(a, b), boundJ(a) + boundJ(b));

/** @param beforeJ what binding had come to in its parts */
function reacted(whole: Contents, beforeJ: number): Reacted {
  if (whole.volumeMl <= 0) return { contents: whole, heatJ: 0, gasMol: 0, passed: {} };
  let now = whole;
  let redoxJ = 0;
  const passed: Record<string, number> = {};
  for (const redox of REDOX) {
    const least = Math.min(...takenBy(redox).map(([id, n]) => (now.amounts[id] ?? 0) / n));
    if (!(least > NO_MORE * now.volumeMl)) continue;
    if (redox.belowPH !== null && settledIn(now).pH > redox.belowPH) continue;
    now = { ...now, amounts: summed(now.amounts, redox.change, least) };
    redoxJ += 1000 * least * passesKJ(redox.change);
    passed[redox.id] = least;
  }
  const { gasMol } = settledIn(now);
  if (gasMol > 0) {
    // The water that is made of its protons stays.
    now = {
      volumeMl: now.volumeMl + gasMol * WATER_ML_PER_MOL,
      amounts: summed(now.amounts, GAS_THAT_LEAVES.of, -gasMol),
    };
    redoxJ += 1000 * gasMol * bindingKJ('CO2', GAS_THAT_LEAVES.of, SOLIDS_KJ_PER_MOL['carbon-dioxide']);
  }
  return { contents: now, heatJ: beforeJ - boundJ(now) - redoxJ, gasMol, passed };
}
