import type { MovingWall } from './piston';

/**
 * A wall that is driven: it goes evenly to a place along one axis and stands there, whatever hits it. Lengths in nm, times in ps, energies in zJ.
 * Only + − × and ÷ are used.
 */
export class DrivenWall implements MovingWall {
  turns = 0;
  push = 0;
  stopAt: number;
  workZJ = 0;

  /** @param speed how fast it goes, nm/ps @throws RangeError for a speed or a place that is none */
  constructor(
    private nm: number,
    private readonly toNm: number,
    speed: number,
    private since: number,
  ) {
    if (!(speed > 0 && speed < 1e3)) throw new RangeError(`no speed of a wall: ${speed}`);
    if (!(toNm > 0 && toNm < 1e6)) throw new RangeError(`no place of a wall: ${toNm}`);
    this.speed = toNm === nm ? 0 : toNm > nm ? speed : -speed;
    this.stopAt = this.speed === 0 ? Infinity : since + (toNm - nm) / this.speed;
  }
  private speed: number;

  copy(): DrivenWall {
    return DrivenWall.from(this);
  }

  /** A wall of these numbers: another's, or as they were kept. */
  static from(numbers: object): DrivenWall {
    return Object.assign(Object.create(DrivenWall.prototype) as DrivenWall, numbers);
  }

  nmAt(timePs: number): number {
    return this.speed === 0 ? this.nm : this.nm + this.speed * (timePs - this.since);
  }

  speedAt(): number {
    return this.speed;
  }

  energyAt(): number {
    return 0;
  }

  meets(sincePs: number, at: number, speed: number, radius: number): number {
    const closing = speed - this.speed;
    if (closing <= 0) return Infinity;
    const gap = this.nmAt(sincePs) - radius - at;
    return gap > 0 ? gap / closing : 0;
  }

  hit(_timePs: number, mass: number, speed: number): number {
    const after = 2 * this.speed - speed;
    this.push = mass * (speed - after);
    this.workZJ += 0.5 * mass * (after * after - speed * speed);
    return after;
  }

  /** Has come to its place. Where it went outwards, bodies meet it sooner than was found. */
  stop(): boolean {
    const wentOut = this.speed > 0;
    this.nm = this.toNm;
    this.since = this.stopAt;
    this.speed = 0;
    this.stopAt = Infinity;
    this.turns++;
    return wentOut;
  }
}
