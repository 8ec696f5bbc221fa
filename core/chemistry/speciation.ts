import { logGamma } from './equilibrium';
import { solveLinear } from './linear';

/**
 * What is in a mixture of salts in water when all has come to rest: ions, complexes, acids and bases, and the solids that fall. The tableau
 * method: every species is made of components, its amount follows from their activities, and a solid is there when its product is reached.
 * Source: F. M. M. Morel, J. G. Hering, Principles and Applications of Aquatic Chemistry, Wiley 1993, chapter 1.
 */

/** Of what a thing is made: numbers of components, by their places. */
type Makeup = readonly number[];

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
  /** −log₁₀ of the activity of the first component: of protons, which come first. */
  pH: number;
  /** log₁₀ of the activity product of each solid over its solubility product: 0 where it lies there, below where it would dissolve. */
  saturation: number[];
}

/** No component is rarer than this: what is not there at all has an activity all the same, mol/L. */
const RAREST = 1e-30;
/** How closely masses and products are met: a part of the total, and log₁₀; activity coefficients, log₁₀. */
const CLOSE = 1e-11;
const CLOSE_GAMMA = 1e-10;
const MOST_STEPS = 300;
const MOST_ROUNDS = 80;
/** The largest step of a logarithm in one go; from how small a step on activity coefficients follow. */
const MOST_DECADES = 2;
const NEAR_DECADES = 0.5;

/** A system laid out for numbers: of each thing the places of its components and how many of each, end to end. */
interface LaidOut {
  from: Int32Array;
  at: Int32Array;
  of: Float64Array;
}

function laidOut(things: readonly { makeup: Makeup }[]): LaidOut {
  const from = new Int32Array(things.length + 1);
  const at: number[] = [];
  const of: number[] = [];
  things.forEach(({ makeup }, i) => {
    makeup.forEach((n, j) => {
      if (n === 0) return;
      at.push(j);
      of.push(n);
    });
    from[i + 1] = at.length;
  });
  return { from, at: Int32Array.from(at), of: Float64Array.from(of) };
}

interface Compiled {
  species: LaidOut;
  solids: LaidOut;
  /** Components that take part in anything; the others stay by themselves, and need no equation. */
  active: Int32Array;
}

const compiledOf = new WeakMap<System, Compiled>();

function compile(system: System): Compiled {
  const known = compiledOf.get(system);
  if (known) return known;
  const takesPart = (j: number) =>
    j === 0 || [...system.species.slice(system.components), ...system.solids].some(({ makeup }) => makeup[j] !== 0);
  const active = Array.from({ length: system.components }, (_, j) => j).filter(takesPart);
  const made = { species: laidOut(system.species), solids: laidOut(system.solids), active: Int32Array.from(active) };
  compiledOf.set(system, made);
  return made;
}

/** Where the search could not end: a programmer's error, or constants that contradict one another. */
export class NoEquilibrium extends Error {}

class Tableau {
  /** log₁₀ of the activities of the components, and the solids that lie there with their amounts. */
  private readonly x: Float64Array;
  private readonly molar: Float64Array;
  private readonly logGammas: Float64Array;
  private present: number[] = [];
  private amounts: number[] = [];
  private readonly laid: Compiled;
  private readonly scale: number;
  private readonly lacks: Float64Array;
  private readonly sizes: Float64Array;
  /** Place of each component among the equations; −1 of one that has none. */
  private readonly row: Int32Array;
  private readonly rows: Float64Array;
  private readonly right: Float64Array;

  constructor(
    private readonly system: System,
    private readonly totals: readonly number[],
    private readonly hasActivities: boolean,
  ) {
    this.laid = compile(system);
    this.x = Float64Array.from(totals, (total) => Math.log10(Math.max(Math.abs(total), 1e-9)) - 1);
    this.molar = new Float64Array(system.species.length);
    this.logGammas = new Float64Array(system.species.length);
    this.lacks = new Float64Array(system.components);
    this.sizes = new Float64Array(system.components);
    this.row = new Int32Array(system.components).fill(-1);
    this.laid.active.forEach((j, r) => (this.row[j] = r));
    const most = this.laid.active.length + system.solids.length;
    this.rows = new Float64Array(most * most);
    this.right = new Float64Array(most);
    this.scale = Math.max(...totals.map(Math.abs), 1e-12);
    // What takes no part is there as it was put in, whatever else is.
    totals.forEach((total, j) => {
      if ((this.row[j] as number) < 0) this.molar[j] = Math.max(total, RAREST);
    });
  }

  private product({ from, at, of }: LaidOut, i: number): number {
    let sum = 0;
    for (let p = from[i] as number; p < (from[i + 1] as number); p++)
      sum += (of[p] as number) * (this.x[at[p] as number] as number);
    return sum;
  }

  private concentrations(): void {
    const { species } = this.system;
    for (let i = 0; i < species.length; i++) {
      if (i < this.system.components && (this.row[i] as number) < 0) continue;
      const log = (species[i] as Species).logK + this.product(this.laid.species, i) - (this.logGammas[i] as number);
      this.molar[i] = Math.exp(Math.LN10 * Math.min(log, 12));
    }
  }

  get strength(): number {
    const { species } = this.system;
    let twice = 0;
    for (let i = 0; i < species.length; i++) twice += (species[i] as Species).charge ** 2 * (this.molar[i] as number);
    return twice / 2;
  }

  /** Activity coefficients at the ionic strength that there is now. @returns how far the farthest moved, log₁₀ */
  private follow(): number {
    if (!this.hasActivities) return 0;
    const { species, tempC } = this.system;
    // Of what charge z it is z² times that of one charge.
    const one = logGamma(1, this.strength, tempC);
    let moved = 0;
    for (let i = 0; i < species.length; i++) {
      const next = one * (species[i] as Species).charge ** 2;
      moved = Math.max(moved, Math.abs(next - (this.logGammas[i] as number)));
      this.logGammas[i] = next;
    }
    return moved;
  }

  /** What is missing of each component, and how large the parts of its sum are, mol/L. */
  private balance(): void {
    const { species, solids } = this.laid;
    for (let j = 0; j < this.totals.length; j++) {
      this.lacks[j] = -(this.totals[j] as number);
      this.sizes[j] = Math.abs(this.totals[j] as number) + RAREST;
    }
    for (let i = 0; i < this.system.species.length; i++) {
      for (let p = species.from[i] as number; p < (species.from[i + 1] as number); p++) {
        const j = species.at[p] as number;
        const part = (species.of[p] as number) * (this.molar[i] as number);
        this.lacks[j] = (this.lacks[j] as number) + part;
        this.sizes[j] = (this.sizes[j] as number) + Math.abs(part);
      }
    }
    this.present.forEach((k, s) => {
      for (let p = solids.from[k] as number; p < (solids.from[k + 1] as number); p++) {
        const j = solids.at[p] as number;
        this.lacks[j] = (this.lacks[j] as number) + (solids.of[p] as number) * (this.amounts[s] as number);
      }
    });
  }

  /** The equations of one step, and what they come to: logarithms of activities first, then solids in parts of the scale. */
  private step(): boolean {
    const { species, solids, active } = this.laid;
    const n = active.length + this.present.length;
    const { rows, right, row, sizes } = this;
    rows.fill(0, 0, n * n);
    // A component that is nowhere hangs on nothing: it stays where it is.
    for (let r = 0; r < active.length; r++) {
      const j = active[r] as number;
      rows[r * n + r] = 1e-14;
      right[r] = -(this.lacks[j] as number) / (sizes[j] as number);
    }
    for (let i = 0; i < this.system.species.length; i++) {
      const slope = Math.LN10 * (this.molar[i] as number);
      const [first, end] = [species.from[i] as number, species.from[i + 1] as number];
      for (let p = first; p < end; p++) {
        const j = species.at[p] as number;
        const r = row[j] as number;
        if (r < 0) continue;
        const per = (slope * (species.of[p] as number)) / (sizes[j] as number);
        for (let q = first; q < end; q++) {
          const place = r * n + (row[species.at[q] as number] as number);
          rows[place] = (rows[place] as number) + per * (species.of[q] as number);
        }
      }
    }
    this.present.forEach((k, s) => {
      const own = active.length + s;
      for (let p = solids.from[k] as number; p < (solids.from[k + 1] as number); p++) {
        const j = solids.at[p] as number;
        const r = row[j] as number;
        rows[r * n + own] = ((solids.of[p] as number) * this.scale) / (sizes[j] as number);
        rows[own * n + r] = solids.of[p] as number;
      }
      right[own] = -this.over(k);
    });
    return solveLinear(rows, right, n);
  }

  /** How far beyond its product a solid is, log₁₀. */
  private over(k: number): number {
    return this.product(this.laid.solids, k) - (this.system.solids[k] as Solid).logKsp;
  }

  private get isMet(): boolean {
    for (const j of this.laid.active)
      if (Math.abs(this.lacks[j] as number) > CLOSE * (this.sizes[j] as number)) return false;
    return this.present.every((k) => Math.abs(this.over(k)) <= CLOSE);
  }

  /** Newton's method on the logarithms of the activities and on the amounts of the solids that lie there; activity coefficients follow. */
  private newton(): boolean {
    const { active } = this.laid;
    let longest = 0;
    for (let step = 0; step < MOST_STEPS; step++) {
      this.concentrations();
      let moved = 0;
      if (longest < NEAR_DECADES) {
        moved = this.follow();
        this.concentrations();
      }
      this.balance();
      // Each mass is met as closely as the largest part of it can be told.
      if (this.isMet && moved < CLOSE_GAMMA) return true;
      if (!this.step()) return false;
      longest = 0;
      for (let r = 0; r < active.length; r++) longest = Math.max(longest, Math.abs(this.right[r] as number));
      // As near as numbers tell.
      if (longest < 1e-13 && moved < CLOSE_GAMMA && step > 2) return true;
      const part = longest > MOST_DECADES ? MOST_DECADES / longest : 1;
      for (let r = 0; r < active.length; r++) {
        const j = active[r] as number;
        this.x[j] = Math.max((this.x[j] as number) + part * (this.right[r] as number), Math.log10(RAREST) - 10);
      }
      for (let s = 0; s < this.present.length; s++)
        this.amounts[s] = (this.amounts[s] as number) + part * (this.right[active.length + s] as number) * this.scale;
    }
    return false;
  }

  /** Which solids lie there: the one that is most beyond its product falls next, and what would be less than nothing has dissolved. */
  private settles(): void {
    for (let round = 0; round < MOST_ROUNDS; round++) {
      if (!this.newton()) throw new NoEquilibrium('these amounts come to no equilibrium');
      const least = this.amounts.reduce((at, amount, p) => (amount < (this.amounts[at] ?? 0) ? p : at), 0);
      if ((this.amounts[least] ?? 0) < 0) {
        this.present.splice(least, 1);
        this.amounts.splice(least, 1);
        continue;
      }
      let next = -1;
      let most = 1e-9;
      for (let k = 0; k < this.system.solids.length; k++) {
        if (this.present.includes(k)) continue;
        const over = this.over(k);
        if (over > most) [next, most] = [k, over];
      }
      if (next < 0) return;
      this.present.push(next);
      this.amounts.push(0);
    }
    throw new NoEquilibrium('these solids come to no rest');
  }

  solve(): Speciation {
    this.settles();
    const solid = this.system.solids.map((_, k) => this.amounts[this.present.indexOf(k)] ?? 0);
    const saturation = this.system.solids.map((_, k) => this.over(k));
    return { molar: [...this.molar], solid, ionicStrength: this.strength, pH: -(this.x[0] as number), saturation };
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
  return new Tableau(system, totals, activities).solve();
}
