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

/** Where a makeup is not nothing, and how much of it: most things are made of two or three. */
interface Sparse {
  at: number[];
  of: number[];
}
const sparse = (makeup: Makeup): Sparse => {
  const at = makeup.flatMap((n, j) => (n === 0 ? [] : [j]));
  return { at, of: at.map((j) => makeup[j] as number) };
};

class Tableau {
  /** log₁₀ of the activities of the components, and the solids that lie there with their amounts. */
  readonly x: number[];
  readonly molar: number[];
  private present: number[] = [];
  private amounts: number[] = [];
  private logGammas: number[];
  private readonly made: Sparse[];
  private readonly fallen: Sparse[];
  private readonly scale: number;

  constructor(
    private readonly system: System,
    private readonly totals: readonly number[],
  ) {
    this.x = totals.map((total) => Math.log10(Math.max(Math.abs(total), 1e-9)) - 1);
    this.molar = system.species.map(() => 0);
    this.logGammas = system.species.map(() => 0);
    this.made = system.species.map(({ makeup }) => sparse(makeup));
    this.fallen = system.solids.map(({ makeup }) => sparse(makeup));
    this.scale = Math.max(...totals.map(Math.abs), 1e-12);
  }

  private product({ at, of }: Sparse): number {
    let sum = 0;
    for (let p = 0; p < at.length; p++) sum += (of[p] as number) * (this.x[at[p] as number] as number);
    return sum;
  }

  private concentrations(): void {
    const { species } = this.system;
    for (let i = 0; i < species.length; i++) {
      const log = (species[i] as Species).logK + this.product(this.made[i] as Sparse) - (this.logGammas[i] as number);
      this.molar[i] = Math.exp(Math.LN10 * Math.min(log, 12));
    }
  }

  get strength(): number {
    return this.system.species.reduce((sum, { charge }, i) => sum + (charge ** 2 * (this.molar[i] as number)) / 2, 0);
  }

  /** What is missing of each component, and how large the parts of its sum are, mol/L. */
  private balance(): { lacks: number[]; sizes: number[] } {
    const lacks = this.totals.map((total) => -total);
    const sizes = this.totals.map((total) => Math.abs(total) + RAREST);
    for (let i = 0; i < this.made.length; i++) {
      const { at, of } = this.made[i] as Sparse;
      for (let p = 0; p < at.length; p++) {
        const j = at[p] as number;
        const part = (of[p] as number) * (this.molar[i] as number);
        lacks[j] = (lacks[j] as number) + part;
        sizes[j] = (sizes[j] as number) + Math.abs(part);
      }
    }
    this.present.forEach((k, p) => {
      const { at, of } = this.fallen[k] as Sparse;
      at.forEach((j, q) => (lacks[j] = (lacks[j] as number) + (of[q] as number) * (this.amounts[p] as number)));
    });
    return { lacks, sizes };
  }

  /** Newton's method on the logarithms of the activities and on the amounts of the solids that lie there. */
  private newton(): void {
    const { components, solids } = this.system;
    const n = components + this.present.length;
    for (let step = 0; step < MOST_STEPS; step++) {
      this.concentrations();
      const { lacks, sizes } = this.balance();
      const over = this.present.map((k) => this.product(this.fallen[k] as Sparse) - (solids[k] as Solid).logKsp);
      // Each mass is met as closely as the largest part of it can be told.
      const isMet = lacks.every((lack, j) => Math.abs(lack) <= CLOSE * (sizes[j] as number));
      if (isMet && over.every((one) => Math.abs(one) <= CLOSE)) return;
      // A component that is nowhere hangs on nothing: it stays where it is.
      const rows = Array.from({ length: n }, (_, j) => {
        const row = new Array<number>(n).fill(0);
        row[j] = 1e-14;
        return row;
      });
      for (let i = 0; i < this.made.length; i++) {
        const { at, of } = this.made[i] as Sparse;
        const slope = Math.LN10 * (this.molar[i] as number);
        for (let p = 0; p < at.length; p++) {
          const j = at[p] as number;
          const row = rows[j] as number[];
          const per = (slope * (of[p] as number)) / (sizes[j] as number);
          for (let q = 0; q < at.length; q++)
            row[at[q] as number] = (row[at[q] as number] as number) + per * (of[q] as number);
        }
      }
      this.present.forEach((k, p) => {
        const { at, of } = this.fallen[k] as Sparse;
        at.forEach((j, q) => {
          (rows[j] as number[])[components + p] = ((of[q] as number) * this.scale) / (sizes[j] as number);
          (rows[components + p] as number[])[j] = of[q] as number;
        });
      });
      const right = [...lacks.map((lack, j) => -lack / (sizes[j] as number)), ...over.map((one) => -one)];
      if (!solveLinear(rows, right)) return;
      let longest = 0;
      for (let j = 0; j < components; j++) longest = Math.max(longest, Math.abs(right[j] as number));
      // As near as numbers tell.
      if (longest < 1e-13 && step > 2) return;
      const part = longest > MOST_DECADES ? MOST_DECADES / longest : 1;
      for (let j = 0; j < components; j++)
        this.x[j] = Math.max((this.x[j] as number) + part * (right[j] as number), Math.log10(RAREST) - 10);
      this.present.forEach((_, p) => {
        this.amounts[p] = (this.amounts[p] as number) + part * (right[components + p] as number) * this.scale;
      });
    }
  }

  private saturations(): number[] {
    return this.system.solids.map(({ logKsp }, k) => this.product(this.fallen[k] as Sparse) - logKsp);
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
