import { HardSpheres, PISTON, WALLS, type Filled } from '../../physics/hard-spheres';
import { BOLTZMANN_ZJ_PER_K, energyAt, kelvinOf } from '../../physics/kinetic';
import { LOOK_PS, PIN_NM_PER_PS, PISTON_G_PER_MOL, RUN_PS } from './plan';

/** A gas under a piston: what the server's bench and the browser's worker let fly alike. Nothing here but filling and changes decides what happens. */

/** What is done to it, at a time of its flight. */
export type Change =
  | { atPs: number; jacketK: number | null }
  /** A pin that takes the piston to a height, nm, and holds it there. */
  | { atPs: number; pinNm: number }
  /** The pin is out: a load presses with so much. */
  | { atPs: number; loadKPa: number }
  /** Let in or out through the valve until there are so many; what comes in has this temperature, K. */
  | { atPs: number; count: number; kelvin: number }
  | { atPs: number; heatZJ: number }
  /** A stretch that they are let fly from here; one that ends with an impact on the piston tells of that alone. */
  | { atPs: number; runPs: number; toImpact: boolean };

/** What is seen at a look: pressure on all walls, kPa, volume, nm³, mean energy, zJ, mean speed, m/s, the part of them above
 * twice the mean energy, and the area of the walls, nm². */
const SEEN = ['P', 'V', 'E', 'v', 'f', 'A'] as const;
export type Seen = Readonly<Record<(typeof SEEN)[number], number>>;
const WIDTH = SEEN.length;
const MOST_LOOKS = Math.ceil(RUN_PS.most / LOOK_PS) + 1;
/** Speeds are counted in parts so wide, of √(kT/m), energies of kT; so many of each, the last with all beyond. */
export const BIN = { speed: 0.15, energy: 0.25 } as const;
export const BINS = 30;

/** An impact on the piston: which one of them hit it, how fast it came, m/s, and the push, yN·s. */
interface Impact {
  body: number;
  speed: number;
  push: number;
}

/** So many impacts on the piston are kept one by one. */
const MOST_HEARD = 400;
/** So long they have flown when they are first seen, ps. */
const SCATTER_PS = 60;

const count = (into: Uint32Array, at: number): void => {
  const bin = Math.min(Math.floor(at), BINS - 1);
  into[bin] = (into[bin] as number) + 1;
};

/** What is kept of it beside the gas. */
interface Own {
  beganPs: number;
  /** So many looks, six numbers each. */
  seen: Float64Array;
  speeds: Uint32Array;
  energies: Uint32Array;
  againstK: number;
  jacketK: number | null;
  pushBefore: number;
  heightBefore: number;
  impactsBefore: number;
  wasDriven: boolean;
  isFree: boolean;
  isToImpact: boolean;
  heard: readonly { ps: number; push: number }[] | null;
  pistonPushBefore: number;
  impacts: number;
  impactPush: number;
}

export class Flying {
  #gas: HardSpheres;
  /** Since when the counters count, and what was seen since: so many looks, six numbers each. */
  #beganPs = 0;
  #looks = 0;
  readonly #seen = new Float64Array(WIDTH * MOST_LOOKS);
  readonly #speeds = new Uint32Array(BINS);
  readonly #energies = new Uint32Array(BINS);
  /** The temperature that energies and speeds are held against, K: the jacket's, or their own when counting began. */
  #againstK = 0;
  #jacketK: number | null = null;
  /** Pushes on all walls and the height when the look began; impacts on the piston when counting began. */
  #pushBefore = 0;
  #heightBefore = 0;
  #impactsBefore = 0;
  #wasDriven = false;
  #isFree = false;
  #isToImpact = false;
  #heard: { ps: number; push: number }[] | null = null;
  #pistonPushBefore = 0;
  /** Impacts on the piston and their pushes, from when counting began to the last look. */
  #impacts = 0;
  #impactPush = 0;

  private constructor(
    gas: HardSpheres,
    private readonly filled: Filled,
  ) {
    this.#gas = gas;
  }

  /** A fresh filling, with the piston pinned at the top. */
  static filled(filled: Filled): Flying {
    const flying = new Flying(HardSpheres.scattered(filled, SCATTER_PS), filled);
    flying.#gas.driveTo(filled.box[2], PIN_NM_PER_PS);
    flying.#begin();
    return flying;
  }

  copy(): Flying {
    return new Flying(this.#gas.copy(), this.filled).#takeOver(this.#own());
  }

  /** What it is beside the gas; what is heard is no part of it when it is kept. */
  #own(): Own {
    return {
      beganPs: this.#beganPs,
      seen: this.#seen.slice(0, WIDTH * this.#looks),
      speeds: this.#speeds,
      energies: this.#energies,
      againstK: this.#againstK,
      jacketK: this.#jacketK,
      pushBefore: this.#pushBefore,
      heightBefore: this.#heightBefore,
      impactsBefore: this.#impactsBefore,
      wasDriven: this.#wasDriven,
      isFree: this.#isFree,
      isToImpact: this.#isToImpact,
      heard: this.#heard,
      pistonPushBefore: this.#pistonPushBefore,
      impacts: this.#impacts,
      impactPush: this.#impactPush,
    };
  }

  #takeOver(own: Own): this {
    this.#beganPs = own.beganPs;
    this.#looks = own.seen.length / WIDTH;
    this.#seen.set(own.seen);
    this.#speeds.set(own.speeds);
    this.#energies.set(own.energies);
    this.#againstK = own.againstK;
    this.#jacketK = own.jacketK;
    this.#pushBefore = own.pushBefore;
    this.#heightBefore = own.heightBefore;
    this.#impactsBefore = own.impactsBefore;
    this.#wasDriven = own.wasDriven;
    this.#isFree = own.isFree;
    this.#isToImpact = own.isToImpact;
    this.#heard = own.heard && [...own.heard];
    this.#pistonPushBefore = own.pistonPushBefore;
    this.#impacts = own.impacts;
    this.#impactPush = own.impactPush;
    return this;
  }

  /** As plain values, to be kept: see {@link Flying.from}. */
  kept() {
    return { filled: this.filled, gas: this.#gas.kept(), own: this.#own() };
  }

  static from({ filled, gas, own }: ReturnType<Flying['kept']>): Flying {
    return new Flying(HardSpheres.from(gas), filled).#takeOver(own);
  }

  get timePs(): number {
    return this.#gas.timePs;
  }
  get count(): number {
    return this.#gas.count;
  }
  get gPerMol(): number {
    return this.filled.kinds[0]?.gPerMol ?? 1;
  }
  get radiusNm(): number {
    return this.filled.kinds[0]?.radiusNm ?? 0;
  }
  /** How high the room of their middles is, nm. */
  get heightNm(): number {
    return this.#gas.heightNm() - 2 * this.radiusNm;
  }
  /** Whether the pin was on its way to another height when counting began. */
  get wasDriven(): boolean {
    return this.#wasDriven;
  }
  /** Whether this stretch ends with an impact on the piston. */
  get isToImpact(): boolean {
    return this.#isToImpact;
  }
  /** Whether the pin is out. */
  get isFree(): boolean {
    return this.#isFree;
  }
  /** The room of their middles with the piston at the top, nm³. */
  get mostNm3(): number {
    return this.#edgeNm() * this.#edgeNm() * (this.filled.box[2] - 2 * this.radiusNm);
  }
  /** The temperature that their energy stands for, K. */
  get kelvin(): number {
    return kelvinOf(this.#gas.energyZJ() / this.#gas.count);
  }
  /** The temperature that energies and speeds are held against, K. */
  get againstK(): number {
    return this.#againstK;
  }

  /** Counters begin anew. */
  #begin(): void {
    const gas = this.#gas;
    this.#beganPs = gas.timePs;
    this.#looks = 0;
    this.#speeds.fill(0);
    this.#energies.fill(0);
    this.#againstK = this.#jacketK ?? this.kelvin;
    this.#pushBefore = this.#push();
    this.#heightBefore = this.heightNm;
    this.#wasDriven = Number.isFinite(gas.drivenUntilPs);
    this.#impactsBefore = gas.wallImpacts[PISTON] ?? 0;
    this.#pistonPushBefore = gas.wallPush[PISTON] ?? 0;
    this.#impacts = 0;
    this.#impactPush = 0;
  }

  /** Does what is done now: the counters begin anew with it. @throws RangeError where it cannot be */
  change(change: Change): void {
    const gas = this.#gas;
    if ('jacketK' in change) {
      this.#jacketK = change.jacketK;
      for (let wall = 0; wall < WALLS; wall++) if (wall !== PISTON) gas.setWall(wall, change.jacketK ?? 0);
    }
    if ('pinNm' in change) {
      gas.driveTo(Math.min(change.pinNm + 2 * this.radiusNm, this.filled.box[2]), PIN_NM_PER_PS);
      this.#isFree = false;
    }
    if ('loadKPa' in change) {
      // What it presses on is the ground of the room of their middles, as for all pressures here.
      const part = this.#edgeNm() / this.filled.box[0];
      gas.setPiston({ gPerMol: PISTON_G_PER_MOL, pressureKPa: change.loadKPa * part * part });
      this.#isFree = true;
    }
    if ('count' in change) this.#gas = gas.withCount(change.count, change.kelvin);
    if ('heatZJ' in change) gas.give(change.heatZJ);
    this.#isToImpact = 'runPs' in change && change.toImpact;
    this.#begin();
  }

  /** Lets them fly to a time, looking at them at whole multiples from when counting began. */
  to(ps: number): void {
    for (let look = this.#looks + 1; look <= MOST_LOOKS && this.#beganPs + look * LOOK_PS <= ps; look++) {
      this.#fly(this.#beganPs + look * LOOK_PS);
      this.#look();
    }
    if (ps > this.#gas.timePs) this.#fly(ps);
  }

  #fly(untilPs: number): void {
    const gas = this.#gas;
    if (!this.#heard) {
      gas.advanceTo(untilPs);
      return;
    }
    while (gas.timePs < untilPs) {
      const before = gas.wallImpacts[PISTON];
      gas.advanceTo(untilPs, true);
      if (gas.wallImpacts[PISTON] === before) continue;
      this.#heard.push({ ps: gas.lastImpact.ps, push: gas.lastImpact.push });
      if (this.#heard.length > MOST_HEARD) this.#heard.shift();
    }
  }

  /** Has impacts on the piston kept one by one from now on. */
  listen(): this {
    this.#heard ??= [];
    return this;
  }
  /** The last impacts on the piston since it was listened for them: when, ps, and their pushes, yN·s. */
  heard(): readonly { ps: number; push: number }[] {
    return this.#heard ?? [];
  }

  /** When the next one hits the piston, ps; no later than this. */
  nextImpactPs(mostPs: number): number {
    const ahead = this.#gas.copy();
    ahead.advanceTo(mostPs, true);
    return ahead.timePs;
  }

  #look(): void {
    const gas = this.#gas;
    const mass = gas.mass[0] as number;
    const kT = BOLTZMANN_ZJ_PER_K * this.#againstK;
    const [perSpeed, perEnergy] = [1 / (BIN.speed * Math.sqrt(kT / mass)), 1 / (BIN.energy * kT)];
    const twice = 2 * energyAt(this.#againstK);
    let [energies, speeds, above] = [0, 0, 0];
    for (let i = 0; i < gas.count; i++) {
      const zJ = gas.energyOf(i);
      const speed = Math.sqrt((2 * zJ) / mass);
      energies += zJ;
      speeds += speed;
      if (zJ > twice) above++;
      count(this.#speeds, speed * perSpeed);
      count(this.#energies, zJ * perEnergy);
    }
    const [a, height, push] = [this.#edgeNm(), this.heightNm, this.#push()];
    const all = gas.count;
    const area = 2 * a * a + 2 * a * (height + this.#heightBefore);
    const pressure = (1000 * (push - this.#pushBefore)) / (LOOK_PS * area);
    this.#pushBefore = push;
    this.#heightBefore = height;
    this.#impacts = (gas.wallImpacts[PISTON] ?? 0) - this.#impactsBefore;
    this.#impactPush = (gas.wallPush[PISTON] ?? 0) - this.#pistonPushBefore;
    this.#seen.set(
      [pressure, a * a * height, energies / all, (1000 * speeds) / all, above / all, area],
      WIDTH * this.#looks,
    );
    this.#looks++;
  }

  /** Edge of the room of their middles, nm. */
  #edgeNm(): number {
    return this.filled.box[0] - 2 * this.radiusNm;
  }

  #push(): number {
    let sum = 0;
    for (let wall = 0; wall < WALLS; wall++) sum += this.#gas.wallPush[wall] ?? 0;
    return sum;
  }

  /** What was seen since counting began, look by look. */
  looks(): Seen[] {
    return Array.from({ length: this.#looks }, (_, look) => {
      const at = (i: number) => this.#seen[WIDTH * look + i] as number;
      return { P: at(0), V: at(1), E: at(2), v: at(3), f: at(4), A: at(5) };
    });
  }
  /** How often each part of the speeds and of the energies was seen. */
  spread(): { speeds: number[]; energies: number[] } {
    return { speeds: [...this.#speeds], energies: [...this.#energies] };
  }
  /** Impacts on the piston from when counting began to the last look, and their pushes together, yN·s; the last one, if there was one since counting began. */
  impacts(): { count: number; push: number; last: Impact | null } {
    const { wallImpacts, lastImpact } = this.#gas;
    const isThere = (wallImpacts[PISTON] ?? 0) > this.#impactsBefore;
    const { body, speed, push } = lastImpact;
    return {
      count: this.#impacts,
      push: this.#impactPush,
      last: isThere ? { body, speed: 1000 * speed, push } : null,
    };
  }

  /** Where they are, nm, three numbers for each. */
  places(into: Float64Array): void {
    this.#gas.positions(into);
  }

  /** What they have, with what lies in the lifted piston, zJ. */
  energyZJ(): number {
    return this.#gas.energyZJ() + this.#gas.pistonZJ();
  }
  /** What came in: through walls, with what was let in, by heat and by hands, zJ. */
  suppliedZJ(): number {
    return this.#gas.heatZJ + this.#gas.broughtZJ + this.#gas.workZJ();
  }
}
