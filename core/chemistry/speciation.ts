import { logGamma } from './equilibrium';

/**
 * What is in a mixture of salts in water when all has come to rest: ions, complexes, acids and bases, and the solids that fall. The tableau
 * method: every species is made of components, its amount follows from their activities, and a solid is there when its product is reached.
 * Source: F. M. M. Morel, J. G. Hering, Principles and Applications of Aquatic Chemistry, Wiley 1993, chapter 1.
 */

/** Of what a thing is made: numbers of components, by their places. */
export type Makeup = readonly number[];

export interface Species {
  makeup: Makeup;
  /** log₁₀ of its formation constant out of the components; 0 of a component by itself. */
  logK: number;
  charge: number;
}

export interface Solid {
  makeup: Makeup;
  /** log₁₀ of its solubility product, as the product of the activities of the components it is made of. */
  logKsp: number;
}

export interface System {
  /** Components come first, each by itself. */
  species: readonly Species[];
  solids: readonly Solid[];
  components: number;
  tempC: number;
}

export interface Speciation {
  /** Concentrations of the species, mol/L, and amounts of the solids, mol for a litre. */
  molar: number[];
  solid: number[];
  ionicStrength: number;
  /** log₁₀ of the activity product of each solid over its solubility product: 0 where it lies there, below where it would dissolve. */
  saturation: number[];
}

/** No component is rarer than this: what is not there at all has an activity all the same, mol/L. */
const RAREST = 1e-30;
/** How closely masses and products are met: a part of the total, and log₁₀. */
const CLOSE = 1e-11;
const MOST_STEPS = 400;
const MOST_ROUNDS = 60;
/** The largest step of a logarithm in one go. */
const MOST_DECADES = 2;

/** Solves a set of linear equations in place, the largest pivot first. @returns false where they hang on one another */
function solveLinear(rows: number[][], right: number[]): boolean {
  const n = right.length;
  for (let i = 0; i < n; i++) {
    let pivot = i;
    for (let r = i + 1; r < n; r++) if (Math.abs(rows[r]?.[i] ?? 0) > Math.abs(rows[pivot]?.[i] ?? 0)) pivot = r;
    const row = rows[pivot] as number[];
    if (Math.abs(row[i] ?? 0) < 1e-300) return false;
    [rows[i], rows[pivot]] = [row, rows[i] as number[]];
    [right[i], right[pivot]] = [right[pivot] as number, right[i] as number];
    for (let r = 0; r < n; r++) {
      if (r === i) continue;
      const other = rows[r] as number[];
      const factor = (other[i] ?? 0) / (row[i] as number);
      if (factor === 0) continue;
      for (let c = i; c < n; c++) other[c] = (other[c] as number) - factor * (row[c] as number);
      right[r] = (right[r] as number) - factor * (right[i] as number);
    }
  }
  for (let i = 0; i < n; i++) right[i] = (right[i] as number) / ((rows[i] as number[])[i] as number);
  return true;
}

const dot = (makeup: Makeup, x: readonly number[]): number => {
  let sum = 0;
  for (let j = 0; j < makeup.length; j++) sum += (makeup[j] as number) * (x[j] as number);
  return sum;
};

class Tableau {
  /** log₁₀ of the activities of the components, and the solids that lie there with their amounts. */
  readonly x: number[];
  readonly molar: number[];
  private present: number[] = [];
  private amounts: number[] = [];
  private logGammas: number[];

  constructor(
    private readonly system: System,
    private readonly totals: readonly number[],
  ) {
    this.x = totals.map((total) => Math.log10(Math.max(Math.abs(total), 1e-9)) - 1);
    this.molar = system.species.map(() => 0);
    this.logGammas = system.species.map(() => 0);
  }

  private get scale(): number {
    return Math.max(...this.totals.map(Math.abs), 1e-12);
  }

  private concentrations(): void {
    this.system.species.forEach(({ makeup, logK }, i) => {
      this.molar[i] = 10 ** Math.min(logK + dot(makeup, this.x) - (this.logGammas[i] as number), 12);
    });
  }

  get strength(): number {
    return this.system.species.reduce((sum, { charge }, i) => sum + (charge ** 2 * (this.molar[i] as number)) / 2, 0);
  }

  /** What is missing of each component, mol/L. */
  private lacks(): number[] {
    return this.totals.map((total, j) => {
      let sum = -total;
      this.system.species.forEach(({ makeup }, i) => (sum += (makeup[j] as number) * (this.molar[i] as number)));
      this.present.forEach((k, p) => (sum += (this.system.solids[k]?.makeup[j] ?? 0) * (this.amounts[p] as number)));
      return sum;
    });
  }

  /** Newton's method on the logarithms of the activities and on the amounts of the solids that lie there. */
  private newton(): void {
    const { components, species, solids } = this.system;
    const n = components + this.present.length;
    for (let step = 0; step < MOST_STEPS; step++) {
      this.concentrations();
      const lacks = this.lacks();
      const over = this.present.map((k) => dot(solids[k]?.makeup ?? [], this.x) - (solids[k]?.logKsp ?? 0));
      // Each mass is met as closely as the largest part of it can be told.
      const sizes = lacks.map((_, j) =>
        species.reduce((sum, { makeup }, i) => sum + Math.abs(makeup[j] as number) * (this.molar[i] as number), Math.abs(this.totals[j] as number)),
      );
      if (lacks.every((lack, j) => Math.abs(lack) <= CLOSE * ((sizes[j] as number) + RAREST)) && over.every((one) => Math.abs(one) <= CLOSE)) return;
      const rows: number[][] = [];
      const right: number[] = [];
      for (let j = 0; j < components; j++) {
        const size = (sizes[j] as number) + RAREST;
        const row = Array.from({ length: n }, () => 0);
        species.forEach(({ makeup }, i) => {
          const own = makeup[j] as number;
          if (own === 0) return;
          const per = (Math.LN10 * own * (this.molar[i] as number)) / size;
          for (let m = 0; m < components; m++) row[m] = (row[m] as number) + per * (makeup[m] as number);
        });
        this.present.forEach((k, p) => (row[components + p] = (solids[k]?.makeup[j] ?? 0) * (this.scale / size)));
        rows.push(row);
        right.push(-(lacks[j] as number) / size);
      }
      this.present.forEach((k, p) => {
        const row = Array.from({ length: n }, (_, m) => (m < components ? (solids[k]?.makeup[m] ?? 0) : 0));
        rows.push(row);
        right.push(-(over[p] as number));
      });
      // A component that is nowhere hangs on nothing: it stays where it is.
      for (let j = 0; j < n; j++) (rows[j] as number[])[j] = ((rows[j] as number[])[j] as number) + 1e-14;
      if (!solveLinear(rows, right)) return;
      const longest = Math.max(...right.slice(0, components).map(Math.abs));
      // As near as numbers tell.
      if (longest < 1e-13 && step > 2) return;
      const part = longest > MOST_DECADES ? MOST_DECADES / longest : 1;
      for (let j = 0; j < components; j++)
        this.x[j] = Math.max((this.x[j] as number) + part * (right[j] as number), Math.log10(RAREST) - 10);
      this.present.forEach((_, p) => {
        this.amounts[p] = (this.amounts[p] as number) + part * (right[components + p] as number) * this.scale;
      });
    }
  } // prettier-ignore

  private saturations(): number[] {
    return this.system.solids.map(({ makeup, logKsp }) => dot(makeup, this.x) - logKsp);
  }

  /** Which solids lie there: the one that is most beyond its product falls next, and what would be less than nothing has dissolved. */
  private settles(): void {
    for (let round = 0; round < MOST_ROUNDS; round++) {
      this.newton();
      const least = this.amounts.reduce((at, amount, p) => (amount < (this.amounts[at] ?? 0) ? p : at), 0);
      if ((this.amounts[least] ?? 0) < 0) {
        this.present.splice(least, 1);
        this.amounts.splice(least, 1);
        continue;
      }
      const over = this.saturations();
      const next = over.reduce(
        (at, one, k) => (!this.present.includes(k) && one > (at < 0 ? 1e-9 : (over[at] as number)) ? k : at),
        -1,
      );
      if (next < 0) return;
      this.present.push(next);
      this.amounts.push(0);
    }
  }

  solve(activities: boolean): Speciation {
    this.settles();
    for (let round = 0; activities && round < MOST_ROUNDS; round++) {
      const strength = this.strength;
      const next = this.system.species.map(({ charge }) => logGamma(charge, strength, this.system.tempC));
      const moved = Math.max(...next.map((one, i) => Math.abs(one - (this.logGammas[i] as number))));
      if (moved < 1e-10) break;
      this.logGammas = next;
      this.settles();
    }
    const solid = this.system.solids.map((_, k) => this.amounts[this.present.indexOf(k)] ?? 0);
    return { molar: [...this.molar], solid, ionicStrength: this.strength, saturation: this.saturations() };
  }
}

/**
 * Equilibrium of a mixture in water.
 * @param totals mol of each component in a litre, whatever it is bound in; of protons what acids brought less what bases took
 * @throws RangeError when a total is not a number
 */
export function speciation(system: System, totals: readonly number[], activities = true): Speciation {
  if (totals.length !== system.components || totals.some((total) => !Number.isFinite(total)))
    throw new RangeError('each component needs a total, in mol/L');
  return new Tableau(system, totals).solve(activities);
}
