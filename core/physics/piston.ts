import { massZJ } from './kinetic';

/** What stands in the place of a wall and moves along its axis. Lengths in nm, times in ps, energies in zJ. */
export interface MovingWall {
  /** How often it was turned: what was found before that is to be looked for anew. */
  readonly turns: number;
  /** The push that it took last, zJ ps/nm. */
  readonly push: number;
  /** When it comes to where it stops. */
  readonly stopAt: number;
  /** What whoever drives it gave to the bodies that hit it, zJ. */
  readonly workZJ: number;
  /** The same one, which goes on by itself. */
  copy(): MovingWall;
  nmAt(timePs: number): number;
  speedAt(timePs: number): number;
  /** What it holds itself: of its moving, and of the height to which it is lifted. */
  energyAt(timePs: number): number;
  /** When a body meets it, counted from the body's own moment; never where it does not. */
  meets(sincePs: number, at: number, speed: number, radius: number): number;
  /** A body hits it: the push that it took is in `push`. @returns the speed that the body has then */
  hit(timePs: number, mass: number, speed: number): number;
  /** Has come to where it stops. @returns whether all have to be looked at anew, for they meet it sooner than was found */
  stop(): boolean;
}

/** How heavy a piston is, g/mol of as many as one, and what pushes it in from outside, kPa. */
export interface PistonSet {
  gPerMol: number;
  pressureKPa: number;
}

/** 1 zJ in a nm³, kPa. */
const KPA = 1000;

/** How far something comes in a time from a speed, with an even slowing. */
const after = (speed: number, slowing: number, ps: number): number => (speed - 0.5 * slowing * ps) * ps;

/**
 * A piston that moves along one axis between two stops: pushed in by an even force, outwards by what hits it, so that between hits it is a thing
 * thrown up. Lengths in nm, times in ps, energies in zJ. Only + − × ÷ and √ are used.
 */
export class Piston implements MovingWall {
  private readonly mass: number;
  /** Inwards, zJ/nm, and what it takes off its speed in each ps. */
  private readonly force: number;
  private readonly slowing: number;
  turns = 0;
  push = 0;
  /** When it comes to one of its stops. */
  stopAt = Infinity;
  readonly workZJ = 0;

  /** @throws RangeError for a mass or a pressure that is none */
  constructor(
    { gPerMol, pressureKPa }: PistonSet,
    areaNm2: number,
    private readonly leastNm: number,
    private readonly mostNm: number,
    private nm: number,
    private speed: number,
    private since: number,
  ) {
    if (!(gPerMol > 0 && gPerMol < 1e9)) throw new RangeError(`no mass of a piston: ${gPerMol}`);
    if (!(pressureKPa > 0 && pressureKPa < 1e9)) throw new RangeError(`no pressure: ${pressureKPa}`);
    this.mass = massZJ(gPerMol);
    this.force = (pressureKPa / KPA) * areaNm2;
    this.slowing = this.force / this.mass;
    this.turned();
  }

  copy(): Piston {
    return Piston.from(this);
  }

  /** A piston of these numbers: another's, or as they were kept. */
  static from(numbers: object): Piston {
    return Object.assign(Object.create(Piston.prototype) as Piston, numbers);
  }

  nmAt(timePs: number): number {
    return this.nm + after(this.speed, this.slowing, timePs - this.since);
  }

  speedAt(timePs: number): number {
    return this.speed - this.slowing * (timePs - this.since);
  }

  energyAt(timePs: number): number {
    const speed = this.speedAt(timePs);
    return 0.5 * this.mass * speed * speed + this.force * this.nmAt(timePs);
  }

  /** It comes evenly faster inwards, so that a body always meets it. */
  meets(sincePs: number, at: number, speed: number, radius: number): number {
    const gap = this.nmAt(sincePs) - radius - at;
    const closing = speed - this.speedAt(sincePs);
    if (gap <= 0) return closing >= 0 ? 0 : (-2 * closing) / this.slowing;
    // The root that lies ahead, written so that nothing is lost.
    const root = Math.sqrt(closing * closing + 2 * this.slowing * gap);
    return closing >= 0 ? (2 * gap) / (closing + root) : (root - closing) / this.slowing;
  }

  hit(timePs: number, mass: number, speed: number): number {
    this.bring(timePs);
    this.push = (2 * mass * this.mass * (speed - this.speed)) / (mass + this.mass);
    this.speed += this.push / this.mass;
    // Turned outwards, it meets nothing sooner than was found.
    this.turned();
    return speed - this.push / mass;
  }

  /** Comes off its stop as fast as it came: turned inwards, it meets all sooner than was found. */
  stop(): boolean {
    this.bring(this.stopAt);
    const isTop = this.speed > 0;
    this.speed = -this.speed;
    this.nm = isTop ? this.mostNm : this.leastNm;
    this.turned();
    return isTop;
  }

  private bring(timePs: number): void {
    const speed = this.speedAt(timePs);
    this.nm = this.nmAt(timePs);
    this.speed = speed;
    this.since = timePs;
  }

  private turned(): void {
    this.turns++;
    const { speed, slowing } = this;
    const [down, up] = [Math.max(this.nm - this.leastNm, 0), Math.max(this.mostNm - this.nm, 0)];
    const ground = (speed + Math.sqrt(speed * speed + 2 * slowing * down)) / slowing;
    const inside = speed * speed - 2 * slowing * up;
    const top = speed > 0 && inside >= 0 ? (2 * up) / (speed + Math.sqrt(inside)) : Infinity;
    this.stopAt = this.since + Math.min(ground, top);
  }
}
