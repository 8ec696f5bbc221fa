import type { Act } from '@core/practicals/heat/acts';
import type { AmountVerb } from '../use-amounts';

/** What can be done at this bench with an amount that is typed. */

/** What is poured has an amount of its own for each bottle. */
type Pour = `pour${1 | 2 | 3 | 4}`;
export const pourOf = (bottle: number): Pour => `pour${Math.min(bottle, 4) as 1 | 2 | 3 | 4}`;

/** What is put into the tube out of a jar. */
export const chargeOf = (jar: 'substance' | 'second') => (jar === 'substance' ? 'charge' : 'charge2');

export type Amount =
  | Pour
  | 'bath'
  | 'block'
  | 'cold'
  | 'scoop'
  | 'standard'
  | 'unknown'
  | 'wire'
  | 'oxygen'
  | 'gap'
  | 'charge'
  | 'charge2'
  | 'log';

const pouring = (bottle: number): AmountVerb<Act> => ({
  verb: 'Pour into the cup',
  unit: 'mL',
  act: (ml) => ({ kind: 'pour', bottle, to: 'cup', ml }),
});
const warming = (what: 'bath' | 'block' | 'cold'): AmountVerb<Act> => ({
  verb: 'Set it to',
  unit: '°C',
  act: (tempC) => ({ kind: 'warm', what, tempC }),
});
const pressing = (of: 'standard' | 'unknown'): AmountVerb<Act> => ({
  verb: `Press the ${of}, about`,
  unit: 'g',
  act: (g) => ({ kind: 'press', of, g }),
});
const charging = (of: 1 | 2): AmountVerb<Act> => ({
  verb: 'Put it into the tube, about',
  unit: 'g',
  act: (g) => ({ kind: 'charge', g, ...(of === 2 && { of }) }),
});

export const AMOUNTS: Record<Amount, AmountVerb<Act>> = {
  pour1: pouring(1),
  pour2: pouring(2),
  pour3: pouring(3),
  pour4: pouring(4),
  bath: warming('bath'),
  block: warming('block'),
  cold: warming('cold'),
  scoop: { verb: 'Take salt, about', unit: 'g', act: (g) => ({ kind: 'scoop', g }) },
  standard: pressing('standard'),
  unknown: pressing('unknown'),
  wire: { verb: 'Put wire in', unit: 'cm', act: (cm) => ({ kind: 'wire', cm }) },
  oxygen: { verb: 'Let oxygen in up to', unit: 'bar', act: (bar) => ({ kind: 'fill', bar }) },
  gap: { verb: 'Hang it over the wick at', unit: 'mm', act: (mm) => ({ kind: 'gap', mm }) },
  charge: charging(1),
  charge2: charging(2),
  log: { verb: 'Log every', unit: 's', act: (everyS) => ({ kind: 'log', everyS }) },
};
