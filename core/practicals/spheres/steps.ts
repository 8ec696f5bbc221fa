import type { Step } from '../contract';
import type { Bench } from './bench';
import { RUN_PS } from './plan';
import { rowsOf } from './rows';

/** Stretches that the brief asks for, and how many temperatures; hotter or colder than another by more than this part it is one of its own. */
export const STRETCHES = 6;
const TEMPERATURES = 3;
const APART = 0.15;

export function stepsOf(bench: Bench): Step[] {
  const rows = rowsOf(bench).map(({ readings }) => readings);
  const whole = rows.filter(({ E1, E2, v1, v2 }) => E1 && E2 && v1 && v2);
  const long = whole.filter(({ d }) => (d ?? 0) >= 0.99 * RUN_PS.most);
  const warm = long.map(({ T }) => T ?? 0).sort((a, b) => a - b);
  let temperatures = 0;
  let last = 0;
  for (const T of warm)
    if (T > (1 + APART) * last) {
      temperatures++;
      last = T;
    }
  // The mean over a stretch wavers: as near as that it is the card's.
  const isFirst = ({ T }: { T?: number }) => Math.abs((T ?? 0) / bench.sample.startK - 1) < APART;
  const step = (key: string, label: string, isDone: boolean): Step => ({
    key,
    label,
    done: isDone || bench.ticked.includes(key),
  });
  return [
    step(
      'first',
      `Jacket of ${bench.sample.startK} K; let them fly for 200 ps, then for a stretch; record the counters`,
      whole.some(isFirst),
    ),
    step(
      'three',
      `At least ${STRETCHES} stretches of ${RUN_PS.most} ps at ${TEMPERATURES} temperatures, each with how long it was`,
      long.length >= STRETCHES && temperatures >= TEMPERATURES,
    ),
    step(
      'leak',
      'A fresh filling with the hole open: record how many of each have left',
      rows.some(({ g1, g2 }) => (g1 ?? 0) > 0 && g2 !== undefined),
    ),
  ];
}
