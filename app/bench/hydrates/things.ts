import type { Plan } from '@core/practicals/hydrates/plan';
import type { View } from '@core/practicals/hydrates/view';

/** Everything on the bench and the tray that can be taken, pressed or looked at. */
const THINGS = [
  'crucible', 'lid', 'burner', 'lighter', 'triangle', 'gauze', 'desiccator', 'mat', 'balance', 'tongs', 'jar', 'fresh',
] as const; // prettier-ignore
export type Thing = (typeof THINGS)[number];

/** What lies on the tray. */
export const ON_TRAY: readonly Thing[] = ['tongs', 'lighter', 'jar', 'fresh'];

/** Everything, in the order in which arrows go from one to the next. */
export const thingsOf = (labels: Plan): Thing[] =>
  THINGS.filter((thing) => thing !== 'desiccator' || labels.desiccator);

const NAMES: Record<Exclude<Thing, 'jar'>, string> = {
  crucible: 'crucible',
  lid: 'lid of the crucible',
  burner: 'burner',
  lighter: 'lighter',
  triangle: 'triangle on the tripod',
  gauze: 'gauze on the tripod',
  desiccator: 'desiccator',
  mat: 'mat',
  balance: 'balance',
  tongs: 'tongs',
  fresh: 'fresh crucible',
};

export const thingName = (thing: Thing, _view: View, labels: Plan): string =>
  thing === 'jar' ? `jar of ${labels.jar}` : NAMES[thing];
