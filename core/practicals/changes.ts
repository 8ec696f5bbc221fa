/** What changed from one view to the next: for answers that carry no more than that. */

export interface Changes {
  /** The parts that are another now; of those that only grew, what came to them. */
  parts: Readonly<Record<string, unknown>>;
  /** Lists that only grew, with how long they were before. */
  grown?: Readonly<Record<string, number>>;
}

const alike = (a: unknown, b: unknown): boolean =>
  a === b || (typeof a === 'object' && typeof b === 'object' && JSON.stringify(a) === JSON.stringify(b));

const partsOf = (whole: object) => whole as Readonly<Record<string, unknown>>;

/** Whether the second list is the first with more behind it. */
const isGrown = (before: unknown, now: unknown): before is readonly unknown[] =>
  Array.isArray(before) &&
  Array.isArray(now) &&
  before.length > 0 &&
  now.length > before.length &&
  before.every((item, i) => alike(item, now[i]));

/** Of all that something tells, what differs from what was told before. */
export function partsThatDiffer(before: object, now: object): Record<string, unknown> {
  const then = partsOf(before);
  return Object.fromEntries(Object.entries(now).filter(([key, part]) => !alike(then[key], part)));
}

/** @returns undefined when a part is gone, which changes cannot tell */
export function changesFrom(before: object, now: object): Changes | undefined {
  const [then, parts] = [partsOf(before), partsOf(now)];
  if (Object.keys(then).some((key) => then[key] !== undefined && parts[key] === undefined)) return undefined;
  const changed: Record<string, unknown> = {};
  const grown: Record<string, number> = {};
  for (const [key, part] of Object.entries(parts)) {
    const was = then[key];
    if (alike(was, part)) continue;
    if (isGrown(was, part)) {
      grown[key] = was.length;
      changed[key] = (part as unknown[]).slice(was.length);
    } else changed[key] = part;
  }
  return Object.keys(grown).length > 0 ? { parts: changed, grown } : { parts: changed };
}

/** The view after its changes; what did not change stays the same object. */
export function changed<View extends object>(before: View, { parts, grown = {} }: Changes): View {
  const then = partsOf(before);
  const whole: Record<string, unknown> = { ...then, ...parts };
  for (const [key, length] of Object.entries(grown))
    whole[key] = [...(then[key] as unknown[]).slice(0, length), ...(parts[key] as unknown[])];
  return whole as View;
}
