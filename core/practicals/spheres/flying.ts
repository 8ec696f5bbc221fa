import { HardSpheres, WALLS, type Filled } from '../../physics/hard-spheres';
import { HOLE_NM, HOLE_WALL, LOOK_PS, type Slot } from './plan';

/** Two gases on their way: what the server's bench and the browser's worker let fly alike. */

/** What is done to them, at a time of their flight. */
export type Change =
  | { atPs: number; jacketK: number | null }
  | { atPs: number; isOpen: boolean }
  /** A stretch that they are let fly from here. */
  | { atPs: number; runPs: number };

/** What was seen over a stretch. Of each gas: mean energy, zJ, and mean speed, nm/ps, summed over looks; how many left. */
export interface Tally {
  looks: number;
  energy: readonly [number, number];
  speed: readonly [number, number];
  left: readonly [number, number];
  /** How many there were of each when it began. */
  there: readonly [number, number];
}

/** So long they have flown when they are first seen, ps. */
const SCATTER_PS = 60;

export class Flying {
  readonly #gas: HardSpheres;
  /** When the stretch began, and what has been seen of it. */
  #beganPs = 0;
  #tally: Tally;

  private constructor(gas: HardSpheres, beganPs: number, tally: Tally) {
    this.#gas = gas;
    this.#beganPs = beganPs;
    this.#tally = tally;
  }

  static filled(filled: Filled): Flying {
    // Off the lattice that they are put on, before anything counts.
    const gas = HardSpheres.scattered(filled, SCATTER_PS);
    const there = filled.kinds.map(({ count }) => count) as [number, number];
    return new Flying(gas, 0, { looks: 0, energy: [0, 0], speed: [0, 0], left: [0, 0], there });
  }

  copy(): Flying {
    return new Flying(this.#gas.copy(), this.#beganPs, this.#tally);
  }

  /** As plain values, to be kept: see {@link Flying.from}. */
  kept() {
    return { gas: this.#gas.kept(), beganPs: this.#beganPs, tally: this.#tally };
  }

  static from({ gas, beganPs, tally }: ReturnType<Flying['kept']>): Flying {
    return new Flying(HardSpheres.from(gas), beganPs, tally);
  }

  get timePs(): number {
    return this.#gas.timePs;
  }
  get tally(): Tally {
    return this.#tally;
  }
  get count(): number {
    return this.#gas.count;
  }

  /** Does what is done now. */
  change(change: Change): void {
    if ('jacketK' in change) for (let wall = 0; wall < WALLS; wall++) this.#gas.setWall(wall, change.jacketK ?? 0);
    else if ('isOpen' in change) this.#gas.setHole(change.isOpen ? { wall: HOLE_WALL, radiusNm: HOLE_NM } : null);
    else {
      this.#beganPs = this.#gas.timePs;
      const { count, kind, isGone } = this.#gas;
      const there: [number, number] = [0, 0];
      for (let i = 0; i < count; i++) if (!isGone[i]) there[kind[i] as 0 | 1]++;
      this.#tally = { looks: 0, energy: [0, 0], speed: [0, 0], left: [0, 0], there };
    }
  }

  /** Lets them fly to a time, looking at them at whole multiples from the beginning of the stretch. */
  to(ps: number): void {
    for (let look = this.#tally.looks + 1; this.#beganPs + look * LOOK_PS <= ps; look++) {
      this.#gas.advance(this.#beganPs + look * LOOK_PS - this.#gas.timePs);
      this.look();
    }
    if (ps > this.#gas.timePs) this.#gas.advance(ps - this.#gas.timePs);
  }

  private look(): void {
    const gas = this.#gas;
    const [energy, speed, there] = [
      [0, 0],
      [0, 0],
      [0, 0],
    ] as [number[], number[], number[]];
    for (let i = 0; i < gas.count; i++) {
      if (gas.isGone[i]) continue;
      const kind = gas.kind[i] as number;
      const zJ = gas.energyOf(i);
      energy[kind] = (energy[kind] ?? 0) + zJ;
      speed[kind] = (speed[kind] ?? 0) + Math.sqrt((2 * zJ) / (gas.mass[i] as number));
      there[kind] = (there[kind] ?? 0) + 1;
    }
    const { tally } = this;
    const more = (all: readonly [number, number], now: number[]): [number, number] => [
      all[0] + (there[0] ? (now[0] ?? 0) / there[0] : 0),
      all[1] + (there[1] ? (now[1] ?? 0) / there[1] : 0),
    ];
    this.#tally = {
      ...tally,
      looks: tally.looks + 1,
      energy: more(tally.energy, energy),
      speed: more(tally.speed, speed),
      left: [tally.there[0] - (there[0] ?? 0), tally.there[1] - (there[1] ?? 0)],
    };
  }

  /** Where they are, nm, three numbers for each; which gas each is of; which have left. */
  places(into: Float64Array): { kind: Uint8Array; isGone: Uint8Array } {
    this.#gas.positions(into);
    return { kind: this.#gas.kind, isGone: this.#gas.isGone };
  }

  energyZJ(): number {
    return this.#gas.energyZJ();
  }
  /** What came in through walls and left through the hole, zJ. */
  exchangedZJ(): number {
    return this.#gas.heatZJ - this.#gas.leftZJ;
  }
}

/** What counters show of a stretch, nothing of a gas that is not there; null before anything was seen of one. @param d how long it has been, ps */
export function shownOf(
  { looks, energy, speed, left, there }: Tally,
  d: number,
  kPerZJ: number,
): Readonly<Record<Slot, number | null>> | null {
  if (looks === 0) return null;
  const all = there[0] + there[1];
  const of = (i: 0 | 1, value: number) => (there[i] === 0 ? null : value);
  const [E1, E2] = [energy[0] / looks, energy[1] / looks];
  const T = all === 0 ? 0 : ((E1 * there[0] + E2 * there[1]) / all) * kPerZJ;
  return {
    T,
    E1: of(0, E1),
    E2: of(1, E2),
    v1: of(0, (1000 * speed[0]) / looks),
    v2: of(1, (1000 * speed[1]) / looks),
    d,
    g1: of(0, left[0]),
    g2: of(1, left[1]),
  };
}
