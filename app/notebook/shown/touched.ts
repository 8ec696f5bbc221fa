/** What a hand goes to when an act is shown: what the act names and what it changes, found by comparing two pictures of the bench. */

/** The things of a picture by name, each as it is drawn. */
export type DrawnThings = ReadonlyMap<string, string>;

/** Names that React gives, which differ between two pictures of the same. */
const GIVEN = /_r_[a-z0-9]+_|«r[a-z0-9]+»|:r[a-z0-9]+:/gi;

export function thingsIn(picture: ParentNode): DrawnThings {
  const things = new Map<string, string>();
  for (const element of picture.querySelectorAll('[data-thing]'))
    things.set(element.getAttribute('data-thing') ?? '', element.outerHTML.replace(GIVEN, ''));
  return things;
}

/** Where a sentence speaks of a thing; Infinity where it does not. */
function placeIn(did: string, thing: string): number {
  const words = thing.toLowerCase().match(/[a-z]{3,}/g) ?? [];
  const places = words.map((word) => did.toLowerCase().indexOf(word)).filter((place) => place >= 0);
  return Math.min(...places, Infinity);
}

/** @param did what was done, in words @returns names: those spoken of first, in their order, then what changed */
export function touched(before: DrawnThings, after: DrawnThings, did: string): string[] {
  const all = new Set([...before.keys(), ...after.keys()]);
  const named = (thing: string) => placeIn(did, thing);
  return [...all]
    .filter((thing) => before.get(thing) !== after.get(thing) || named(thing) < Infinity)
    .sort((a, b) => (named(a) === named(b) ? 0 : named(a) - named(b)));
}
