import { isOneOf, whichOf, type OneOf } from '../one-of';
import type { Plan } from '@core/practicals/titration/plan';

/** What can be selected: on the bench from left to right, then on the tray. */
export type Thing =
  | 'waste'
  | 'titrant'
  | 'burette'
  | 'flask'
  | 'sample'
  | 'wash'
  | 'pipette'
  | 'volumetric'
  | 'jar'
  | 'balance'
  | 'probe'
  | OneOf<'indicator', string>;

export const isIndicator = isOneOf('indicator');
/** Which indicator it is. */
export const indicatorIn = (thing: OneOf<'indicator', string>) => whichOf(thing);

export function thingsOf(labels: Plan): Thing[] {
  const indicators = labels.indicators.map(({ id }): Thing => `indicator:${id}`);
  const probe: Thing[] = labels.probe !== 'none' ? ['probe'] : [];
  const bottle: Thing[] = labels.bottle ? ['sample'] : [];
  const pipette: Thing[] = labels.bottle && !labels.supplied ? ['pipette'] : [];
  const volumetric: Thing[] = labels.diluteToMl === null ? [] : ['volumetric'];
  const solid: Thing[] = labels.jar ? ['jar', 'balance'] : [];
  return [
    'waste',
    'titrant',
    'burette',
    'flask',
    ...bottle,
    'wash',
    ...pipette,
    ...volumetric,
    ...solid,
    ...probe,
    ...indicators,
  ];
}

export function thingName(thing: Thing, labels: Plan): string {
  if (isIndicator(thing)) {
    return labels.indicators.find(({ id }) => thing === `indicator:${id}`)?.name ?? 'indicator';
  }
  const names: Record<string, string> = {
    waste: 'waste beaker',
    titrant: `bottle of ${labels.titrantName}`,
    burette: 'burette',
    flask: 'conical flask',
    sample: labels.supplied ? 'rack of filled flasks' : (labels.bottle?.name ?? 'bottle'),
    wash: 'wash bottle',
    pipette: `${labels.pipetteMl} mL pipette`,
    volumetric: `${labels.diluteToMl} mL volumetric flask`,
    jar: labels.jar?.name ?? 'jar',
    balance: 'balance',
    probe: labels.probe === 'conductivity' ? 'conductivity cell' : 'probe for pH',
  };
  return names[thing] ?? thing;
}

/** What carrying one thing to another means, or null when it means nothing. */
export function carried(
  thing: Thing,
  to: Thing,
):
  | 'fill'
  | 'drawSample'
  | 'drainPipette'
  | 'volumetric'
  | 'makeUp'
  | 'emptyVolumetric'
  | 'takeFlask'
  | 'indicator'
  | 'water'
  | 'emptyFlask'
  | 'probe'
  | 'weigh'
  | 'tip'
  | 'wipeBoat'
  | null {
  if (thing === 'titrant' && to === 'burette') return 'fill';
  if (thing === 'pipette' && to === 'sample') return 'drawSample';
  if (thing === 'pipette' && to === 'flask') return 'drainPipette';
  if (thing === 'pipette' && to === 'volumetric') return 'volumetric';
  if (thing === 'wash' && to === 'volumetric') return 'makeUp';
  if (thing === 'volumetric' && to === 'waste') return 'emptyVolumetric';
  if (thing === 'sample' && to === 'flask') return 'takeFlask';
  if (thing === 'jar' && to === 'balance') return 'weigh';
  if (thing === 'balance' && to === 'flask') return 'tip';
  if (thing === 'balance' && to === 'waste') return 'wipeBoat';
  if (isIndicator(thing) && to === 'flask') return 'indicator';
  if (thing === 'wash' && to === 'flask') return 'water';
  if (thing === 'probe' && to === 'flask') return 'probe';
  if (thing === 'flask' && to === 'waste') return 'emptyFlask';
  return null;
}
