/**
 * Bodies that hold heat, joined by what lets it through. Temperatures in °C, capacities in J/K, conductances in W/K, times in s.
 *
 * Each pair is brought towards one another in closed form, once through the list and once back, so that what one body gives the
 * other has to the last bit, a single pair is exact for any step, and the order of the list shows in third order of the step alone.
 * Source: G. Strang, SIAM J. Numer. Anal. 5 (1968) 506: symmetric splitting.
 */

export interface HeatBody {
  tempC: number;
  /** What it takes to make it one kelvin warmer, J/K; infinite of the room. */
  jPerK: number;
}

/** Lets heat through between two bodies, by their places in the list. */
export interface HeatLink {
  between: readonly [number, number];
  wPerK: number;
}

/** Heat that goes from the first body to the second in a time, J: they near one another as e to the −t/τ. */
function passedJ(a: HeatBody, b: HeatBody, wPerK: number, seconds: number): number {
  if (wPerK <= 0 || a.jPerK <= 0 || b.jPerK <= 0) return 0;
  const together = 1 / (1 / a.jPerK + 1 / b.jPerK);
  return Number.isFinite(together)
    ? (a.tempC - b.tempC) * together * -Math.expm1((-wPerK * seconds) / together)
    : (a.tempC - b.tempC) * wPerK * seconds;
}

const warmedBy = (body: HeatBody, joules: number): HeatBody =>
  body.jPerK > 0 && Number.isFinite(body.jPerK) ? { ...body, tempC: body.tempC + joules / body.jPerK } : body;

/**
 * Bodies a step later.
 * @returns the bodies, and what each has taken up, J: of a body without end, such as the room, that is all that shows of it
 */
export function exchanged(
  bodies: readonly HeatBody[],
  links: readonly HeatLink[],
  seconds: number,
): { bodies: HeatBody[]; takenJ: number[] } {
  const now = [...bodies];
  const takenJ = bodies.map(() => 0);
  const pass = ({ between: [i, j], wPerK }: HeatLink) => {
    const [a, b] = [now[i], now[j]];
    if (!a || !b) throw new RangeError('a link joins a body that is not there');
    const joules = passedJ(a, b, wPerK, seconds / 2);
    now[i] = warmedBy(a, -joules);
    now[j] = warmedBy(b, joules);
    takenJ[i] = (takenJ[i] as number) - joules;
    takenJ[j] = (takenJ[j] as number) + joules;
  };
  for (const link of links) pass(link);
  for (let i = links.length - 1; i >= 0; i--) pass(links[i] as HeatLink);
  return { bodies: now, takenJ };
}

/** The temperature that bodies come to which keep their heat to themselves. */
export function commonTempC(bodies: readonly HeatBody[]): number {
  let [joules, jPerK] = [0, 0];
  for (const body of bodies) {
    joules += body.tempC * body.jPerK;
    jPerK += body.jPerK;
  }
  return joules / jPerK;
}
