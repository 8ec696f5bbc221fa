/** A thing of which several stand there, as drawings name it: what it is, and which of them. */
export type OneOf<Kind extends string, Which extends string | number> = `${Kind}:${Which}`;

/** Whether a thing is one of a kind. */
export const isOneOf =
  <Kind extends string>(kind: Kind) =>
  <Thing extends string>(thing: Thing): thing is Extract<Thing, `${Kind}:${string}`> =>
    thing.startsWith(`${kind}:`);

/** Which of its kind it is. */
export const whichOf = (thing: OneOf<string, string | number>): string => thing.slice(thing.indexOf(':') + 1);
