/** What a probe or a thermometer senses after some seconds in a liquid: a lag of first order. */
export const sensedAfter = (sensed: number, there: number, seconds: number, responseS: number) =>
  there + (sensed - there) * Math.exp(-seconds / responseS);
