import { dissolvingOf, freezingOf } from '../../../databook/freezing';
import { eutecticOf, particlesMol } from '../../../physics/freezing';
import type { Likeness } from '../../look-alikes';
import { meanOf, valuesOf } from '../reading/rows';
import type { Row } from '../reading/row';
import type { Sample } from '../sample';
import { solventsIn, type Setup } from './molar-mass-setup';

/** How a molar mass follows from a depression, and what pairs and ions make it seem. */

export const SLOTS = ['m1', 'm2', 'm', 'mb', 'T0', 'Tf'] as const;

type Of = Record<(typeof SLOTS)[number], number>;
export type Way = (kf: number, of: Of) => number;
/** M = K_f · m / (ΔT · m_solvent in kg) */
const RIGHT: Way = (kf, { m, mb, m1, m2, T0, Tf }) => (1000 * kf * (m - mb)) / (m2 - m1) / (T0 - Tf);

export const molarOf = (setup: Setup, rows: readonly Row[], way: Way = RIGHT) =>
  meanOf(rows, (row) => {
    const of = valuesOf(row, SLOTS);
    const { kfKKgPerMol } = freezingOf(solventsIn(setup)[(row.jar ?? 1) - 1] ?? setup.solvent);
    return of && of.T0 > of.Tf ? way(kfKKgPerMol, of) : undefined;
  });

/** Particles for each formula unit: in what was weighed for one row, or at about the molality that the card asks for. */
export function particlesPerUnit(setup: Setup, dissolvingId: string, solventId = setup.solvent, row?: Row): number {
  const [solvent, solute] = [freezingOf(solventId), dissolvingOf(dissolvingId)];
  const of = row && valuesOf(row, SLOTS);
  if (of && of.m > of.mb && of.m2 > of.m1) {
    const mol = (of.m - of.mb) / solute.molarMassGPerMol;
    return particlesMol(solute, solvent, mol, of.m2 - of.m1) / mol;
  }
  const wantedK = Math.min(WANTS_K[setup.thermometer][0], mostK(solventId, dissolvingId));
  const mol = (wantedK / solvent.kfKKgPerMol / 1000) * 15;
  return particlesMol(solute, solvent, mol, 15) / mol;
}

/** The rows of the solvent in which the unknown is most nearly whole, of those that were used: there its molar mass is told. */
export function rowsThatTell(setup: Setup, sample: Sample, rows: readonly Row[]): Row[] {
  const far = (jar: number) =>
    Math.abs(Math.log(particlesPerUnit(setup, sample.dissolvingId ?? '', solventsIn(setup)[jar - 1])));
  const used = [...new Set(rows.filter((row) => valuesOf(row, SLOTS)).map(({ jar }) => jar ?? 1))];
  const [best] = used.sort((a, b) => far(a) - far(b));
  return rows.filter(({ jar }) => (jar ?? 1) === best);
}

/** The depression that amounts are chosen for, K: less is nearer to K_f times the molality, and asks for a finer thermometer. */
export const WANTS_K = { 'digital 0.1': [1.9, 2.5], 'digital 0.01': [0.95, 1.3] } as const;

/** The most that it may be depressed, K: well above where solvent and solute freeze together. */
export function mostK(solventId: string, dissolvingId: string): number {
  const solvent = freezingOf(solventId);
  return MOST_OF_EUTECTIC * (solvent.freezesC - eutecticOf(solvent, dissolvingOf(dissolvingId)).tempC);
}
const MOST_OF_EUTECTIC = 0.5;

const KEYS = ['first', 'second'];
const rowsIn = (rows: readonly Row[], i: number) => rows.filter(({ jar }) => (jar ?? 1) === i + 1);

/** The molar mass that it seems to have in each solvent of the tray: of ions, pairs and whole molecules; as it was weighed, where it was. */
export const likeness = (setup: Setup, id: string, rows: readonly Row[] = []): Likeness => ({
  name: dissolvingOf(id).name,
  look: 'white',
  values: Object.fromEntries(
    solventsIn(setup).map((solvent, i) => {
      const perUnit =
        meanOf(rowsIn(rows, i), (row) => particlesPerUnit(setup, id, solvent, row)) ??
        particlesPerUnit(setup, id, solvent);
      return [KEYS[i] ?? solvent, dissolvingOf(id).molarMassGPerMol / perUnit];
    }),
  ),
});
/** What the readings say that it seems to have in each. */
export const seemingIn = (setup: Setup, rows: readonly Row[]): Record<string, number> =>
  Object.fromEntries(
    KEYS.flatMap((key, i) => {
      const value = molarOf(setup, rowsIn(rows, i));
      return value === undefined ? [] : [[key, value]];
    }),
  );
