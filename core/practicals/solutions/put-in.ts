import { counted, fixed } from '../../analysis/quantity';
import { nameOf, type Bench, type Poured, type Vessel } from './bench';

/** What was put into a vessel, in words. */

const BY: Record<Poured['by'], (ml: number) => string> = {
  drops: (ml) => counted(Math.round(ml / 0.05), 'drop'),
  pipette: (ml) => `${fixed(ml, 2)} mL`,
  cylinder: (ml) => `${fixed(ml, 1)} mL`,
  eye: (ml) => `about ${fixed(ml, 0)} mL`,
  filtered: (ml) => `about ${fixed(ml, 0)} mL, filtered,`,
  rinsed: (ml) => `about ${fixed(ml, 0)} mL, to rinse,`,
};

/** What came from the same thing in the same way, one after the other, is one. */
const runsOf = (poured: readonly Poured[]): Pick<Poured, 'from' | 'by' | 'ml'>[] =>
  poured.reduce<Pick<Poured, 'from' | 'by' | 'ml'>[]>((all, { from, by, ml }) => {
    const last = all.at(-1);
    return last && last.from === from && last.by === by
      ? [...all.slice(0, -1), { from, by, ml: last.ml + ml }]
      : [...all, { from, by, ml }];
  }, []);

/** What the student put in, in the order in which it came, as it was measured. */
export const putIn = (bench: Bench, { poured }: Vessel): { from: string; amount: string }[] =>
  runsOf(poured).map((one) => ({ from: nameOf(bench, one.from), amount: BY[one.by](one.ml) }));
