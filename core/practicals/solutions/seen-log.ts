import { liquidColourName } from '../../chemistry/colour';
import { liquidRgb } from '../../chemistry/ion-colour';
import type { SeenLine } from '../../notebook/readings';
import { isOwn, nameOf, type Bench, type Vessel } from './bench';
import { fizzes } from './flow';
import { seenSolid } from './look';
import { putIn } from './put-in';
import { solidWords } from './solid-words';
import { VESSELS_HERE } from './vessels';

/** What each well, tube and beaker showed, a line whenever that changed: what fizzed is remembered after it stopped. */

/** So many lines are kept; a bench is not a diary. */
export const MOST_LINES = 300;

/** What an eye tells of what is in a vessel, gas apart. */
function looks({ contents, type }: Vessel): string {
  const solid = seenSolid(contents);
  const liquid = `${liquidColourName(liquidRgb(contents, VESSELS_HERE[type].depthMm))} liquid`;
  return solid ? `${solidWords(solid)}; ${liquid}` : liquid;
}

const tippedMol = ({ tipped }: Vessel): number => tipped?.mol ?? 0;

/** Whether gas came of what came in last. */
const givesGas = (was: Vessel, now: Vessel): boolean =>
  fizzes(now.bubbledMolPerL) || (tippedMol(now) > tippedMol(was) && (now.tipped?.fizzG ?? 0) > 0);

function putWords(bench: Bench, vessel: Vessel): string {
  const poured = putIn(bench, vessel).map(({ from, amount }) => `${amount} of ${from}`);
  return [...poured, ...(vessel.tipped ? ['solid out of the jar'] : [])].join(', ');
}

/** What is to be seen now, if something came that was not there, or it is another than before. */
function news(was: Vessel | undefined, now: Vessel): string | null {
  if (!was || was.contents === now.contents || now.contents.volumeMl <= 0) return null;
  const cameIn = now.poured.length > was.poured.length || tippedMol(now) > tippedMol(was);
  const [gas, look] = [cameIn && givesGas(was, now), looks(now)];
  const words = gas ? `gas; ${look}` : look;
  if (was.contents.volumeMl <= 0) {
    // What one bottle alone looks like is seen in the bottle.
    const sources = new Set(now.poured.map(({ from }) => from)).size;
    return sources > 1 || gas || seenSolid(now.contents) ? words : null;
  }
  const another = now.poured.at(-1)?.from !== was.poured.at(-1)?.from || tippedMol(now) > tippedMol(was);
  return (cameIn && another) || (gas && !fizzes(was.bubbledMolPerL)) || looks(was) !== look ? words : null;
}

const line = (bench: Bench, number: number, what: string): SeenLine => ({
  atS: Math.round(bench.timeS),
  where: nameOf(bench, number),
  put: putWords(bench, bench.vessels[number - 1] as Vessel),
  showed: what,
});

const FULL = 'This list is full. Nothing more is noted here.';

/** The bench with what an act brought to sight. @param tells what paper or nose told of a vessel */
export function noticed(before: Bench, after: Bench, tells?: { vessel: number; text: string }): Bench {
  if (after.seen.length >= MOST_LINES) return after;
  const lines = after.vessels.flatMap((vessel, i) => {
    const words = isOwn(vessel) ? news(before.vessels[i], vessel) : null;
    return words === null ? [] : [line(after, i + 1, words)];
  });
  if (tells && after.vessels[tells.vessel - 1]) lines.push(line(after, tells.vessel, tells.text));
  if (lines.length === 0) return after;
  const seen = [...after.seen, ...lines];
  const full = { atS: Math.round(after.timeS), where: '', put: '', showed: FULL };
  return { ...after, seen: seen.length < MOST_LINES ? seen : [...seen.slice(0, MOST_LINES - 1), full] };
}
