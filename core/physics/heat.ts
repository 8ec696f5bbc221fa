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

/** Bodies and links as arrays, for whoever takes very many steps: changed in place. */
export interface HeatNet {
  /** °C of each body. */
  tempC: number[];
  /** J/K of each body. */
  jPerK: number[];
  /** Of each link the two bodies that it joins, by their places, and W/K. */
  from: number[];
  to: number[];
  wPerK: number[];
  /** What each body has taken up so far, J. */
  takenJ: number[];
}

/** Lets heat through one link: the two near one another as e to the −t/τ. */
function pass(net: HeatNet, link: number, seconds: number): void {
  const { tempC, jPerK, takenJ } = net;
  const [i, j, g] = [net.from[link] as number, net.to[link] as number, net.wPerK[link] as number];
  const [a, b] = [jPerK[i], jPerK[j]];
  if (a === undefined || b === undefined) throw new RangeError('a link joins a body that is not there');
  if (g <= 0 || a <= 0 || b <= 0) return;
  const apart = (tempC[i] as number) - (tempC[j] as number);
  const together = 1 / (1 / a + 1 / b);
  const joules = Number.isFinite(together)
    ? apart * together * -Math.expm1((-g * seconds) / together)
    : apart * g * seconds;
  if (Number.isFinite(a)) tempC[i] = (tempC[i] as number) - joules / a;
  if (Number.isFinite(b)) tempC[j] = (tempC[j] as number) + joules / b;
  takenJ[i] = (takenJ[i] as number) - joules;
  takenJ[j] = (takenJ[j] as number) + joules;
}

/** A step of a net, in place: once through its links and once back, half the step each. */
export function exchangeIn(net: HeatNet, seconds: number): void {
  const links = net.from.length;
  for (let link = 0; link < links; link++) pass(net, link, seconds / 2);
  for (let link = links - 1; link >= 0; link--) pass(net, link, seconds / 2);
}

/**
 * Bodies a step later.
 * @returns the bodies, and what each has taken up, J: of a body without end, such as the room, that is all that shows of it
 */
export function exchanged(
  bodies: readonly HeatBody[],
  links: readonly HeatLink[],
  seconds: number,
): { bodies: HeatBody[]; takenJ: number[] } {
  const net: HeatNet = {
    tempC: bodies.map(({ tempC }) => tempC),
    jPerK: bodies.map(({ jPerK }) => jPerK),
    from: links.map(({ between }) => between[0]),
    to: links.map(({ between }) => between[1]),
    wPerK: links.map(({ wPerK }) => wPerK),
    takenJ: bodies.map(() => 0),
  };
  exchangeIn(net, seconds);
  return { bodies: bodies.map(({ jPerK }, i) => ({ jPerK, tempC: net.tempC[i] as number })), takenJ: net.takenJ };
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
