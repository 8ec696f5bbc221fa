import { short } from '../../analysis/quantity';
import type { Bench, Fitted } from './bench';
import { LAW_PARTS, STATE_NAMES, STATES, volumeOf, type Law, type Plan, type State } from './plan';
import type { Row } from './rows';

/** Which law readings are of: that follows from what is fitted. */

/** What something is held at; null where nothing holds it. */
export function heldAt({ jacketK, pinNm, loadKPa, count }: Fitted, state: State): number | null {
  return { P: loadKPa, V: pinNm, T: jacketK, N: count }[state];
}

/** Whether a row can be a point of a law: what has to be held is, what is watched is free. */
function isOf(law: Law, { readings, fitted, isDisturbed }: Row): boolean {
  const { watched, held } = LAW_PARTS[law];
  if (isDisturbed || STATES.some((state) => !readings[state])) return false;
  const isFree = watched === 'P' ? fitted.pinNm !== null : fitted.pinNm === null;
  return held.every((state) => heldAt(fitted, state) !== null) && (isFree || law === 'pressure-volume');
}

/** Values of what is set that are closer than this part of themselves are one. */
const SAME = 0.03;

/** How many values there are that differ. */
export function distinct(values: readonly number[]): number {
  let [count, last] = [0, -Infinity];
  for (const value of [...values].sort((a, b) => a - b))
    if (value > last * (1 + SAME) || count === 0) {
      count++;
      last = value;
    }
  return count;
}

/**
 * Of what was read at the same things held at the same, the one group that has most values of what is set; the later one of two that have as many.
 * @param fittedOf what was fitted when it was read @param setOf the value of what is set
 */
export function hangsTogether<One>(
  all: readonly One[],
  held: readonly State[],
  fittedOf: (one: One) => Fitted,
  setOf: (one: One) => number,
): One[] {
  const groups = new Map<string, One[]>();
  for (const one of all) {
    const key = held.map((state) => heldAt(fittedOf(one), state)).join(' ');
    groups.set(key, [...(groups.get(key) ?? []), one]);
  }
  const valuesIn = (group: readonly One[]) => distinct(group.map(setOf));
  return [...groups.values()].reduce<One[]>((best, group) => (valuesIn(group) >= valuesIn(best) ? group : best), []);
}

/** The points of a law. */
export function pointsOf(law: Law, rows: readonly Row[]): Row[] {
  const { set, held } = LAW_PARTS[law];
  const those = rows.filter((row) => isOf(law, row));
  return hangsTogether(
    those,
    held,
    ({ fitted }) => fitted,
    ({ readings }) => readings[set] ?? 0,
  );
}

const listed = (names: readonly string[]): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;

const HOLDERS: Record<State, (fitted: Fitted, plan: Pick<Plan, 'edgeNm'>) => string> = {
  P: ({ loadKPa }) => `the pressure (load of ${short(loadKPa ?? 0)} kPa)`,
  V: ({ pinNm }, plan) => `the volume (pin at ${short(volumeOf(plan, pinNm ?? 0))} nm³)`,
  T: ({ jacketK }) => `the temperature (jacket of ${short(jacketK ?? 0)} K)`,
  N: ({ count }) => `the number (valve shut, ${count} in it)`,
};

/** What of two fittings is not the same; where no jacket holds the temperature, heat changes it. */
const changedBetween = (before: Fitted, now: Fitted, of: readonly State[] = STATES): State[] =>
  of.filter(
    (state) =>
      heldAt(before, state) !== heldAt(now, state) ||
      (state === 'T' && now.jacketK === null && before.givenZJ !== now.givenZJ),
  );

/** What was changed since a trial, and which law that belongs to. */
function changeWords(trial: number, before: Fitted, now: Fitted): string {
  const isFree = now.pinNm === null;
  const isSwitched = (before.pinNm === null) !== isFree;
  const changes = changedBetween(before, now, isSwitched ? ['T', 'N'] : STATES);
  const names = listed(changes.map((state) => STATE_NAMES[state]));
  const [one, other] = changes;
  if (isSwitched) {
    const holder = isFree
      ? 'the load holds the piston in place of the pin'
      : 'the pin holds the piston in place of the load';
    return `Since trial ${trial} ${holder}${one === undefined ? '' : `, and you changed the ${names}`}.`;
  }
  if (one === undefined) return `Nothing else is fitted than in trial ${trial}.`;
  if (other !== undefined)
    return `Since trial ${trial} you changed the ${names}: no law of one thing alone can be seen from that.`;
  return `Since trial ${trial} you changed the ${names} alone: ${STATE_NAMES[isFree ? 'V' : 'P']} against ${names}.`;
}

/** What is held by what, what is watched, and which law the change since the last trial belongs to: in words. */
export function lawLines({ plan, fitted, readings }: Bench): { held: string; since: string } {
  const isFree = fitted.pinNm === null;
  const held = STATES.filter((state) => heldAt(fitted, state) !== null);
  const watched: State = isFree ? 'V' : 'P';
  const follows = fitted.jacketK === null ? ' Nothing holds the temperature: it follows what is done.' : '';
  const heldWords = `Held: ${listed(held.map((state) => HOLDERS[state](fitted, plan)))}. The ${STATE_NAMES[watched]} is free.${follows}`;
  const last = readings.findLast((r) => r.struck === null);
  return { held: heldWords, since: last ? changeWords(last.trial, last.fitted, fitted) : '' };
}
