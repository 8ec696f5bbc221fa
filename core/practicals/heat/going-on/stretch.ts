import type { Bench } from '../bench';
import { burnsOut, dries, flames, inVessel, warms } from './changes';
import { displayText } from './display';
import { goingOf, groundOf, type Going, type Ground } from './going';
import { Net } from './heat-net';
import { reactingJ } from '../matter';
import { LOG_LINES, PACE, QUIET_AFTER_S, QUIET_STEP_S, STEP_S } from './rates';
import { seriesOf } from '../reading/trials';
import { freezes } from '../freezing/tube';

/** What goes on by itself: by steps at fixed moments, so that it does not matter how time is split. */
export class Stretch {
  private readonly going: Going;
  private readonly ground: Ground;
  private readonly net: Net;
  private steppedS: number;

  constructor(private readonly bench: Bench) {
    this.going = goingOf(bench);
    this.ground = groundOf(bench);
    this.net = new Net(this.ground);
    this.steppedS = bench.steppedS;
  }

  /** Whether the next step is a short one. */
  private get isLively(): boolean {
    const { going, bench, steppedS } = this;
    const isLogging = going.log !== null && bench.logged.length + going.lines.length < LOG_LINES;
    return isLogging || steppedS < bench.actedS + QUIET_AFTER_S || going.lamps.some(({ state }) => state === 'lit');
  }

  /** Up to an end by steps at whole multiples of their length, however often it is stopped on the way. */
  to(endS: number, isShort = false): void {
    for (;;) {
      const stepS = isShort || this.isLively ? STEP_S : QUIET_STEP_S;
      const nextS = (Math.floor(this.steppedS / stepS) + 1) * stepS;
      if (nextS > endS) return;
      this.step(nextS - this.steppedS, nextS);
      this.steppedS = nextS;
      this.logs(nextS);
    }
  }

  private step(stepS: number, timeS: number): void {
    const { ground, going } = this;
    this.net.exchange(going, stepS);
    inVessel(ground, going, 0, stepS);
    inVessel(ground, going, 1, stepS);
    if (going.tube) freezes(this.bench, going.tube, stepS, timeS);
    if (going.sealed) burnsOut(going.sealed, stepS);
    going.pieces.forEach((piece, i) => dries(ground, going, piece, i, stepS));
    going.lamps.forEach((lamp, n) => flames(ground, going, lamp, n, stepS));
    warms(going.bath, ground.bench.sample.boilsC, PACE.bath, stepS);
    warms(going.cold, Infinity, PACE.cold, stepS);
    warms(going.block, Infinity, PACE.block, stepS);
  }

  private logs(timeS: number): void {
    const { log, lines, thermometers } = this.going;
    if (!log || timeS < log.due - 1e-9 || this.bench.logged.length + lines.length >= LOG_LINES) return;
    const text = (n: number) => (thermometers[n] ? displayText(this.bench, thermometers[n], n, timeS) : '');
    lines.push({
      trial: seriesOf(this.bench, this.going.tube?.melts),
      t: String(Math.round(timeS - log.startS)),
      T: text(0),
      U: text(1),
    });
    this.going.log = { ...log, due: log.due + log.everyS };
  }

  end(timeS: number): Bench {
    const { vessels, lines, ...rest } = this.going;
    const { cup, beaker } = this.bench.vessels;
    // What dries grows stronger, and its forms shift by a little: from step to step that adds up to first less last.
    const shiftedJ =
      reactingJ(cup.liquid) - reactingJ(vessels[0].liquid) + reactingJ(beaker.liquid) - reactingJ(vessels[1].liquid);
    return {
      ...this.bench,
      ...rest,
      goneJ: rest.goneJ + shiftedJ,
      steppedS: this.steppedS,
      vessels: { cup: vessels[0], beaker: vessels[1] },
      logged: lines.length > 0 ? [...this.bench.logged, ...lines] : this.bench.logged,
      timeS,
    };
  }
}
