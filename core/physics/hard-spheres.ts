import { xoroshiro128plus, xoroshiro128plusFromState } from 'pure-rand/generator/xoroshiro128plus';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import type { RandomGenerator } from 'pure-rand/types/RandomGenerator';
import { CellLists } from './cell-lists';
import { EventHeap } from './event-heap';
import { directed, placed, placedFree, speedAt } from './filling';
import { DrivenWall } from './driven-wall';
import { BOLTZMANN_ZJ_PER_K, massZJ } from './kinetic';
import { exchange, meeting } from './pair';
import { Piston, type MovingWall, type PistonSet } from './piston';
import { ofGas, outOfWall } from './thermal';

/**
 * Hard spheres that fly straight in a box and come off one another and off its walls: from event to event, exact between impacts, with lists of
 * cells so that each looks for partners near by alone. Lengths in nm, times in ps, energies in zJ, masses so that ½ m v² is one.
 *
 * Only + − × ÷ and √ are used, and a logarithm made of them, so that every machine finds the same. Nothing is allocated while time passes.
 * Method: B. J. Alder, T. E. Wainwright, J. Chem. Phys. 31 (1959) 459; one next event for each body: B. D. Lubachevsky, J. Comput. Phys. 94 (1991) 255.
 */

interface Kind {
  gPerMol: number;
  radiusNm: number;
  count: number;
}

/** A hole in the middle of a wall: what comes to the wall with its middle within it leaves. */
interface Hole {
  wall: number;
  radiusNm: number;
}

export interface Filled {
  /** Inner edges of the box, nm. */
  box: readonly [number, number, number];
  kinds: readonly Kind[];
  /** What they begin with: each its share of 3/2 kT, in any direction. */
  kelvin: number;
  seed: number;
}

/** Walls: the near and the far one of each axis. */
export const WALLS = 6;

/** What the next event of a body is: a wall, the edge of its cell, or (nothing of both) its partner. */
const FIRST_WALL = -7;
const FIRST_EDGE = -13;
const NOTHING = -1;
/** What it has of each body, of each wall and in all, by name: what a copy takes over. */
const OF_BODIES = [
  ...(['at', 'velocity', 'since', 'event', 'partner', 'pairAt', 'partnerTurns', 'turns', 'pistonTurnsOf'] as const),
  'isGone',
] as const;
const OF_WALLS = ['wallKelvin', 'wallImpacts', 'wallPush', 'left'] as const;
const SUMS = ['timePs', 'pairImpacts', 'heatZJ', 'leftZJ', 'broughtZJ', 'workBeforeZJ'] as const;

type Arrays = (typeof OF_BODIES)[number] | (typeof OF_WALLS)[number];

/** A gas as it is kept: all that it is, as plain values. */
interface KeptSpheres
  extends
    Record<Exclude<Arrays, 'event' | 'partner' | 'partnerTurns' | 'turns' | 'pistonTurnsOf' | 'isGone'>, Float64Array>,
    Record<'event' | 'partner', Int32Array>,
    Record<'partnerTurns' | 'turns' | 'pistonTurnsOf', Uint32Array>,
    Record<'isGone', Uint8Array>,
    Record<(typeof SUMS)[number], number> {
  filled: Filled;
  events: ReturnType<EventHeap['kept']>;
  cells: ReturnType<CellLists['kept']>;
  hole: Hole | null;
  lastImpact: { ps: number; body: number; speed: number; push: number };
  random: readonly number[];
  piston: { isDriven: boolean; numbers: object } | null;
}

/** The wall that a piston is in the place of. */
export const PISTON = 5;

export class HardSpheres {
  readonly count: number;
  readonly box: readonly [number, number, number];
  /** Positions as they were at each body's own moment, and velocities; three numbers for each. */
  private readonly at: Float64Array;
  readonly velocity: Float64Array;
  private readonly since: Float64Array;
  readonly radius: Float64Array;
  readonly mass: Float64Array;
  /** Which of the kinds each is. */
  readonly kind: Uint8Array;
  private readonly events: EventHeap;
  /** What the next event of each is: a wall, an edge, or its partner. */
  private readonly event: Int32Array;
  /** The soonest partner of each, when they meet, and how often it had been turned when that was found. */
  private readonly partner: Int32Array;
  private readonly pairAt: Float64Array;
  private readonly partnerTurns: Uint32Array;
  private readonly turns: Uint32Array;
  private readonly cells: CellLists;
  private random: RandomGenerator;
  /** Temperatures of walls that give and take heat, K; 0 of those that do not. */
  private readonly wallKelvin = new Float64Array(WALLS);
  timePs = 0;
  /** Impacts so far: of pairs, and on each wall, with the push that each took, zJ ps/nm. */
  pairImpacts = 0;
  readonly wallImpacts = new Float64Array(WALLS);
  readonly wallPush = new Float64Array(WALLS);
  /** Heat that came in through walls, zJ. */
  heatZJ = 0;
  private hole: Hole | null = null;
  /** Which have left through it; how many of each kind, and what they took along, zJ. */
  readonly isGone: Uint8Array;
  readonly left: Float64Array;
  leftZJ = 0;
  /** In place of the far wall of the last axis; null where that stands still. */
  private piston: MovingWall | null = null;
  /** What came in with what was let in and given, less what was let out, zJ; and by hands at what is in the place of a wall before this one. */
  broughtZJ = 0;
  private workBeforeZJ = 0;
  /** The last impact on what is in the place of the far wall of the last axis: when, which body, how fast it came, nm/ps, and the push, zJ ps/nm. */
  readonly lastImpact = { ps: 0, body: NOTHING, speed: 0, push: 0 };
  /** How often the piston had been turned when the next event of each was found. */
  private readonly pistonTurnsOf: Uint32Array;
  /** No nearer to the other wall than this a piston comes, nm. */
  private readonly leastNm: number;

  /** @param begin how it comes to stand; on a lattice if nothing is said @throws RangeError where they have no room, or there are none */
  constructor(
    private readonly filled: Filled,
    begin: (gas: HardSpheres) => void = (gas) => gas.fill(),
  ) {
    const { box, kinds, seed } = filled;
    const count = kinds.reduce((sum, one) => sum + one.count, 0);
    if (!(count >= 1)) throw new RangeError('there are no particles');
    const widest = Math.max(...kinds.map(({ radiusNm }) => radiusNm));
    if (!box.every((edge) => edge > 2 * widest)) throw new RangeError('the box is too small for one of them');
    this.count = count;
    this.box = box;
    this.at = new Float64Array(3 * count);
    this.velocity = new Float64Array(3 * count);
    this.since = new Float64Array(count);
    this.radius = new Float64Array(count);
    this.mass = new Float64Array(count);
    this.kind = new Uint8Array(count);
    this.events = new EventHeap(count);
    this.event = new Int32Array(count).fill(NOTHING);
    this.partner = new Int32Array(count).fill(NOTHING);
    this.pairAt = new Float64Array(count).fill(Infinity);
    this.partnerTurns = new Uint32Array(count);
    this.turns = new Uint32Array(count);
    this.pistonTurnsOf = new Uint32Array(count);
    this.isGone = new Uint8Array(count);
    this.left = new Float64Array(kinds.length);
    this.leastNm = 2.001 * widest;
    this.random = xoroshiro128plus(seed);
    let body = 0;
    kinds.forEach((one, kind) => {
      for (let i = 0; i < one.count; i++, body++) {
        this.radius[body] = one.radiusNm;
        this.mass[body] = massZJ(one.gPerMol);
        this.kind[body] = kind;
      }
    });
    // A cell holds about one of them, and is wider than any: what touches is in it or beside it.
    const wanted = Math.max(2.001 * widest, Math.cbrt((box[0] * box[1] * box[2]) / count));
    this.cells = new CellLists(box, count, wanted);
    begin(this);
  }

  /** On a lattice, with an even share of energy each. */
  private fill(): void {
    const { count, box, filled, uniform } = this;
    placed(this.at, count, box, this.leastNm / 2.001, uniform);
    for (let i = 0; i < count; i++)
      directed(this.velocity, 3 * i, speedAt(filled.kelvin, this.mass[i] as number), uniform);
    for (let i = 0; i < count; i++) this.cells.put(i, this.at);
    for (let i = 0; i < count; i++) this.predict(i);
  }

  /** A gas that has flown for so long off the lattice that it was put on; its time and its counts begin then. */
  static scattered(filled: Filled, ps: number): HardSpheres {
    const gas = new HardSpheres(filled);
    gas.advance(ps);
    for (let i = 0; i < gas.count; i++) {
      gas.bring(i, ps);
      gas.since[i] = 0;
    }
    gas.timePs = 0;
    gas.pairImpacts = 0;
    gas.wallImpacts.fill(0);
    gas.wallPush.fill(0);
    gas.lookAnew(0);
    return gas;
  }

  /** The same gas, which goes on by itself from where this one is: to the last bit as this one would. */
  copy(): HardSpheres {
    return HardSpheres.from(this.kept());
  }

  private takeOver(from: KeptSpheres): void {
    for (const name of OF_BODIES) this[name].set(from[name]);
    this.events.copyFrom(from.events);
    this.cells.copyFrom(from.cells);
    this.takeSums(from);
  }

  /** What it has of another beside its bodies. */
  private takeSums(from: KeptSpheres): void {
    for (const name of OF_WALLS) this[name].set(from[name]);
    for (const name of SUMS) this[name] = from[name];
    const { hole, lastImpact, random, piston } = from;
    this.hole = hole;
    Object.assign(this.lastImpact, lastImpact);
    this.random = xoroshiro128plusFromState(random);
    this.piston = piston && (piston.isDriven ? DrivenWall : Piston).from(piston.numbers);
  }

  /** All that it is, so that it can be kept and goes on from there to the last bit: see {@link HardSpheres.from}. */
  kept(): KeptSpheres {
    const { filled, at, velocity, since, event, partner, pairAt, partnerTurns, turns, pistonTurnsOf, isGone } = this;
    const { wallKelvin, wallImpacts, wallPush, left, timePs, pairImpacts, heatZJ, leftZJ, broughtZJ } = this;
    const { workBeforeZJ, hole, piston } = this;
    return {
      ...{ filled, at, velocity, since, event, partner, pairAt, partnerTurns, turns, pistonTurnsOf, isGone },
      ...{ wallKelvin, wallImpacts, wallPush, left, timePs, pairImpacts, heatZJ, leftZJ, broughtZJ },
      ...{ workBeforeZJ, hole },
      lastImpact: { ...this.lastImpact },
      events: this.events.kept(),
      cells: this.cells.kept(),
      random: this.random.getState(),
      piston: piston && { isDriven: piston instanceof DrivenWall, numbers: { ...piston } },
    };
  }

  /** A gas as it was kept. */
  static from(kept: KeptSpheres): HardSpheres {
    return new HardSpheres(kept.filled, (gas) => gas.takeOver(kept));
  }

  /**
   * The same gas with another number of them: those that are let out are chosen by chance, those that are let in come to places of chance, with
   * the speeds of a temperature, K. Of one kind alone.
   * @throws RangeError where there is no room, or there are several kinds
   */
  withCount(count: number, kelvin: number): HardSpheres {
    const [kind, other] = this.filled.kinds;
    if (!kind || other) throw new RangeError('their number is changed of one kind alone');
    return new HardSpheres({ ...this.filled, kinds: [{ ...kind, count }] }, (gas) => gas.takeSome(this, kelvin));
  }

  private takeSome(from: HardSpheres, kelvin: number): void {
    this.takeSums(from.kept());
    this.lastImpact.body = NOTHING;
    const { uniform } = this;
    const there = Array.from({ length: from.count }, (_, i) => i).filter((i) => !from.isGone[i]);
    while (there.length > this.count) {
      const [out] = there.splice(Math.floor(uniform() * there.length), 1);
      this.broughtZJ -= from.energyOf(out as number);
    }
    there.forEach((old, i) => {
      from.placeOf(old, this.at, 3 * i);
      this.velocity.set(from.velocity.subarray(3 * old, 3 * old + 3), 3 * i);
    });
    const top = this.heightNm();
    for (let i = there.length; i < this.count; i++) {
      placedFree(this.at, i, this.radius, [this.box[0], this.box[1], top], uniform);
      ofGas(this.velocity, 3 * i, Math.sqrt((BOLTZMANN_ZJ_PER_K * kelvin) / (this.mass[i] as number)), uniform);
      this.broughtZJ += this.energyOf(i);
    }
    this.since.fill(this.timePs);
    for (let i = 0; i < this.count; i++) this.cells.put(i, this.at);
    for (let i = 0; i < this.count; i++) this.predict(i);
  }

  /** Even between 0 and 1; made once, so that nothing is allocated for each. */
  private readonly uniform = (): number => uniformFloat64(this.random);

  /** Brings a body to where it is now. */
  private bring(i: number, timePs: number): void {
    const ps = timePs - (this.since[i] as number);
    if (ps === 0) return;
    const k = 3 * i;
    this.at[k] = (this.at[k] as number) + (this.velocity[k] as number) * ps;
    this.at[k + 1] = (this.at[k + 1] as number) + (this.velocity[k + 1] as number) * ps;
    this.at[k + 2] = (this.at[k + 2] as number) + (this.velocity[k + 2] as number) * ps;
    this.since[i] = timePs;
  }

  /** Looks for the soonest partner of a body among those in a layer of cells, or in all around its own. @param edge which side is new; −1 for all */
  private look(i: number, edge: number): void {
    const { along, of: cell, next, first } = this.cells;
    const { at, velocity, radius } = this;
    const [since, own] = [this.since[i] as number, radius[i] as number];
    const k = 3 * i;
    const [nx, ny, nz] = [along[0] as number, along[1] as number, along[2] as number];
    const [cx, cy, cz] = [cell[k] as number, cell[k + 1] as number, cell[k + 2] as number];
    let [x0, x1, y0, y1, z0, z1] = [cx - 1, cx + 1, cy - 1, cy + 1, cz - 1, cz + 1];
    if (edge === 0) x1 = x0;
    if (edge === 1) x0 = x1;
    if (edge === 2) y1 = y0;
    if (edge === 3) y0 = y1;
    if (edge === 4) z1 = z0;
    if (edge === 5) z0 = z1;
    let soonest = edge < 0 ? Infinity : (this.pairAt[i] as number) - (this.since[i] as number);
    let nearest = edge < 0 ? NOTHING : (this.partner[i] as number);
    for (let z = Math.max(z0, 0); z <= z1 && z < nz; z++)
      for (let y = Math.max(y0, 0); y <= y1 && y < ny; y++)
        for (let x = Math.max(x0, 0); x <= x1 && x < nx; x++)
          for (let j = first[x + nx * (y + ny * z)] as number; j >= 0; j = next[j] as number) {
            if (j === i) continue;
            const ago = since - (this.since[j] as number);
            const ps = meeting(at, velocity, k, 3 * j, ago, own + (radius[j] as number));
            if (ps < soonest) {
              soonest = ps;
              nearest = j;
            }
          }
    this.partner[i] = nearest;
    if (nearest >= 0) this.partnerTurns[i] = this.turns[nearest] as number;
    this.pairAt[i] = (this.since[i] as number) + soonest;
  }

  /** The next event of a body: its soonest partner, a wall, or the edge of its cell. */
  private choose(i: number): void {
    const k = 3 * i;
    const radius = this.radius[i] as number;
    const since = this.since[i] as number;
    let soonest = (this.pairAt[i] as number) - since;
    let what = NOTHING;
    for (let axis = 0; axis < 3; axis++) {
      const v = this.velocity[k + axis] as number;
      if (v === 0) continue;
      const x = this.at[k + axis] as number;
      const far = v > 0 ? 1 : 0;
      const n = this.cells.of[k + axis] as number;
      const isPiston = this.piston !== null && axis === 2 && far === 1;
      const wall = isPiston ? Infinity : ((far ? (this.box[axis] as number) - radius : radius) - x) / v;
      if (wall < soonest) {
        soonest = wall > 0 ? wall : 0;
        what = FIRST_WALL + 2 * axis + far;
      }
      if (far ? n === (this.cells.along[axis] as number) - 1 : n === 0) continue;
      const edge = ((n + far) * (this.cells.cellNm[axis] as number) - x) / v;
      if (edge < soonest) {
        soonest = edge > 0 ? edge : 0;
        what = FIRST_EDGE + 2 * axis + far;
      }
    }
    if (this.piston) {
      const piston = this.piston.meets(since, this.at[k + 2] as number, this.velocity[k + 2] as number, radius);
      if (piston < soonest) {
        soonest = piston;
        what = FIRST_WALL + PISTON;
        this.pistonTurnsOf[i] = this.piston.turns;
      }
    }
    this.event[i] = what;
    this.events.set(i, since + soonest);
  }

  /** Where the piston alone was turned: whom each meets stands. */
  private chooseAnew(timePs: number): void {
    for (let i = 0; i < this.count; i++) {
      if (this.isGone[i]) continue;
      this.bring(i, timePs);
      this.choose(i);
    }
  }

  private lookAnew(timePs: number): void {
    for (let i = 0; i < this.count; i++) {
      if (this.isGone[i]) continue;
      this.bring(i, timePs);
      this.predict(i);
    }
  }

  /**
   * Puts a piston in the place of the far wall of the last axis, as fast and at where that is, or changes what pushes it.
   * @throws RangeError for a mass or a pressure that is none
   */
  setPiston(set: PistonSet): void {
    const [x, y, z] = this.box;
    const [nm, speed] = [this.heightNm(), this.piston?.speedAt(this.timePs) ?? 0];
    this.replace(new Piston(set, x * y, this.leastNm, z, nm, speed, this.timePs));
  }

  /** Drives the far wall of the last axis to a height, nm, at a speed, nm/ps; it stands there then. @throws RangeError where it cannot be */
  driveTo(nm: number, speed: number): void {
    if (!(nm >= this.leastNm && nm <= this.box[2])) throw new RangeError(`no place of a wall: ${nm}`);
    this.replace(new DrivenWall(this.heightNm(), nm, speed, this.timePs));
  }

  private replace(next: MovingWall): void {
    const { piston, timePs } = this;
    this.workBeforeZJ += next.energyAt(timePs) - (piston ? piston.energyAt(timePs) - piston.workZJ : 0);
    this.piston = next;
    this.chooseAnew(timePs);
  }

  /** What hands at the piston gave, zJ: by driving it, by loading it, by stopping it. */
  workZJ(): number {
    return this.workBeforeZJ + (this.piston?.workZJ ?? 0);
  }

  /** Gives all of them together an energy, zJ, or takes it: each is as many times faster. @throws RangeError where they have not so much */
  give(zJ: number): void {
    const before = this.energyZJ();
    const square = before > 0 ? (before + zJ) / before : -1;
    if (!(square > 0)) throw new RangeError(`they have not so much energy: ${zJ}`);
    const times = Math.sqrt(square);
    for (let i = 0; i < this.count; i++) {
      this.bring(i, this.timePs);
      for (let k = 3 * i; k < 3 * i + 3; k++) this.velocity[k] = (this.velocity[k] as number) * times;
      this.turns[i] = (this.turns[i] as number) + 1;
    }
    this.broughtZJ += this.energyZJ() - before;
    this.lookAnew(this.timePs);
  }

  /** How high the piston stands now, nm: the far wall of the last axis where there is none. */
  heightNm(): number {
    return this.piston?.nmAt(this.timePs) ?? this.box[2];
  }

  /** When what drives it has come to where it stops, ps; never where nothing is on its way there. */
  get drivenUntilPs(): number {
    return this.piston instanceof DrivenWall ? this.piston.stopAt : Infinity;
  }

  /** What the piston holds: of its moving, and of the height to which it is lifted, zJ. */
  pistonZJ(): number {
    return this.piston?.energyAt(this.timePs) ?? 0;
  }

  private hitPiston(piston: MovingWall, i: number, timePs: number): void {
    const k = 3 * i + 2;
    const speed = this.velocity[k] as number;
    this.velocity[k] = piston.hit(timePs, this.mass[i] as number, speed);
    this.turns[i] = (this.turns[i] as number) + 1;
    this.wallImpacts[PISTON] = (this.wallImpacts[PISTON] as number) + 1;
    this.wallPush[PISTON] = (this.wallPush[PISTON] as number) + piston.push;
    const { lastImpact } = this;
    lastImpact.ps = timePs;
    lastImpact.body = i;
    lastImpact.speed = speed;
    lastImpact.push = piston.push;
  }

  private predict(i: number): void {
    this.look(i, -1);
    this.choose(i);
  }

  /** Over the edge of its cell into the one beside it. */
  private cross(i: number, edge: number): void {
    this.cells.cross(i, edge);
    const known = this.partner[i] as number;
    // The partner that was found stands, unless it has been turned since: then all around is looked at anew.
    this.look(i, known >= 0 && this.turns[known] !== this.partnerTurns[i] ? -1 : edge);
    this.choose(i);
  }

  /** Two that touch. */
  private collide(i: number, j: number): void {
    exchange(this.at, this.velocity, 3 * i, 3 * j, this.mass[i] as number, this.mass[j] as number);
    this.turns[i] = (this.turns[i] as number) + 1;
    this.turns[j] = (this.turns[j] as number) + 1;
    this.pairImpacts++;
  }

  /** Comes off a wall: as fast as it came, or with speeds of the wall's own temperature, as those that come out of a gas of it have. */
  private bounce(i: number, wall: number): void {
    const axis = wall >> 1;
    const k = 3 * i;
    const mass = this.mass[i] as number;
    const before = this.velocity[k + axis] as number;
    const kelvin = this.wallKelvin[wall] as number;
    const inwards = wall % 2 === 0 ? 1 : -1;
    if (kelvin === 0) this.velocity[k + axis] = -before;
    else {
      const energy = this.energyOf(i);
      const spread = Math.sqrt((BOLTZMANN_ZJ_PER_K * kelvin) / mass);
      outOfWall(this.velocity, k, axis, inwards, spread, this.uniform);
      this.heatZJ += this.energyOf(i) - energy;
    }
    this.turns[i] = (this.turns[i] as number) + 1;
    this.wallImpacts[wall] = (this.wallImpacts[wall] as number) + 1;
    const push = mass * ((this.velocity[k + axis] as number) - before);
    this.wallPush[wall] = (this.wallPush[wall] as number) + push * inwards;
  }

  /** Opens a hole in a wall, in place of any other; none by null. @throws RangeError for one that does not fit its wall, or lies in a piston */
  setHole(hole: Hole | null): void {
    if (hole) {
      const { wall, radiusNm } = hole;
      if (!(Number.isInteger(wall) && wall >= 0 && wall < WALLS)) throw new RangeError(`no wall ${wall}`);
      const across = [0, 1, 2].filter((axis) => axis !== wall >> 1).map((axis) => this.box[axis] as number);
      if (!(radiusNm > 0 && 2 * radiusNm < Math.min(...across))) throw new RangeError(`no hole: ${radiusNm}`);
      if (this.piston && wall === PISTON) throw new RangeError('a piston has no hole');
    }
    this.hole = hole;
  }

  /** Whether what has come to a wall comes to it within the hole. */
  private isAtHole(i: number, wall: number): boolean {
    const { hole } = this;
    if (hole === null || wall !== hole.wall) return false;
    const [u, v] = [((wall >> 1) + 1) % 3, ((wall >> 1) + 2) % 3];
    const x = (this.at[3 * i + u] as number) - (this.box[u] as number) / 2;
    const y = (this.at[3 * i + v] as number) - (this.box[v] as number) / 2;
    return x * x + y * y < hole.radiusNm * hole.radiusNm;
  }

  private leave(i: number): void {
    const kind = this.kind[i] as number;
    this.isGone[i] = 1;
    this.left[kind] = (this.left[kind] as number) + 1;
    this.leftZJ += this.energyOf(i);
    // Whoever was to meet it finds that it has been turned, and looks anew.
    this.turns[i] = (this.turns[i] as number) + 1;
    this.cells.remove(i);
    this.event[i] = NOTHING;
    this.events.set(i, Infinity);
  }

  /** Lets so much time pass. @returns how many impacts there were, of pairs and on walls */
  advance(ps: number): number {
    return this.advanceTo(this.timePs + ps);
  }

  /** Lets time pass to a moment, or, where that is asked for, to when something hits the piston, if that is sooner. @returns how many impacts there were */
  advanceTo(until: number, isToPiston = false): number {
    const { events, event, piston } = this;
    let impacts = 0;
    for (;;) {
      const i = events.top();
      const timePs = events.at[i] as number;
      if (piston && piston.stopAt <= Math.min(timePs, until)) {
        const stopAt = piston.stopAt;
        if (piston.stop()) this.chooseAnew(stopAt);
        continue;
      }
      if (timePs > until) break;
      const what = event[i] as number;
      this.bring(i, timePs);
      if (what !== NOTHING && what < FIRST_WALL) {
        this.cross(i, what - FIRST_EDGE);
        continue;
      }
      if (piston && what === FIRST_WALL + PISTON) {
        // Where it has been turned since, it is farther off than was found.
        if (this.pistonTurnsOf[i] === piston.turns) {
          this.hitPiston(piston, i, timePs);
          impacts++;
          this.predict(i);
          if (isToPiston) {
            this.timePs = timePs;
            return impacts;
          }
        } else this.choose(i);
        continue;
      }
      if (what !== NOTHING) {
        if (this.isAtHole(i, what - FIRST_WALL)) {
          this.leave(i);
          continue;
        }
        this.bounce(i, what - FIRST_WALL);
        impacts++;
        this.predict(i);
        continue;
      }
      const j = this.partner[i] as number;
      // Where the other one has been turned since this was found, all is looked at anew.
      if (this.turns[j] === this.partnerTurns[i]) {
        this.bring(j, timePs);
        this.collide(i, j);
        impacts++;
        this.predict(j);
      }
      this.predict(i);
    }
    this.timePs = until;
    return impacts;
  }

  /** A wall that gives and takes heat at a temperature, K; one that does neither by 0. @throws RangeError for a wall or a temperature that is none */
  setWall(wall: number, kelvin: number): void {
    if (!(Number.isInteger(wall) && wall >= 0 && wall < WALLS)) throw new RangeError(`no wall ${wall}`);
    if (!(kelvin >= 0 && kelvin < 1e5)) throw new RangeError(`no temperature: ${kelvin}`);
    this.wallKelvin[wall] = kelvin;
  }

  /** Energy of flight of one, zJ. */
  energyOf(i: number): number {
    const [x, y, z] = [
      this.velocity[3 * i] as number,
      this.velocity[3 * i + 1] as number,
      this.velocity[3 * i + 2] as number,
    ];
    return 0.5 * (this.mass[i] as number) * (x * x + y * y + z * z);
  }

  /** Energy of all that are there, zJ. */
  energyZJ(): number {
    let sum = 0;
    for (let i = 0; i < this.count; i++) if (!this.isGone[i]) sum += this.energyOf(i);
    return sum;
  }

  /** Where all of them are now, nm, three numbers for each; of one that has left, where it left. @param into as long as three times their count */
  positions(into: Float64Array): void {
    for (let i = 0; i < this.count; i++) this.placeOf(i, into, 3 * i);
  }

  private placeOf(i: number, into: Float64Array, place: number): void {
    const ps = this.isGone[i] ? 0 : this.timePs - (this.since[i] as number);
    for (let axis = 0; axis < 3; axis++)
      into[place + axis] = (this.at[3 * i + axis] as number) + (this.velocity[3 * i + axis] as number) * ps;
  }
}
