import type { Plan } from '@core/practicals/titration/plan';

/** What can be selected: on the bench from left to right, then on the tray. */
export type Thing =
  'waste' | 'titrant' | 'burette' | 'flask' | 'sample' | 'wash' | 'pipette' | 'probe' | `indicator:${string}`;

export function thingsOf(labels: Plan): Thing[] {
  const indicators = labels.indicators.map(({ id }): Thing => `indicator:${id}`);
  const probe: Thing[] = labels.probe ? ['probe'] : [];
  return ['waste', 'titrant', 'burette', 'flask', 'sample', 'wash', 'pipette', ...probe, ...indicators];
}

export function thingName(thing: Thing, labels: Plan): string {
  if (thing.startsWith('indicator:')) {
    return labels.indicators.find(({ id }) => thing === `indicator:${id}`)?.name ?? 'indicator';
  }
  const names: Record<string, string> = {
    waste: 'waste beaker',
    titrant: `bottle of ${labels.titrantName}`,
    burette: 'burette',
    flask: 'conical flask',
    sample: 'sample bottle',
    wash: 'wash bottle',
    pipette: `${labels.pipetteMl} mL pipette`,
    probe: 'probe for pH',
  };
  return names[thing] ?? thing;
}

/** What carrying one thing to another means, or null when it means nothing. */
export function carried(
  thing: Thing,
  to: Thing,
): 'fill' | 'drawSample' | 'drainPipette' | 'indicator' | 'water' | 'emptyFlask' | 'probe' | null {
  if (thing === 'titrant' && to === 'burette') return 'fill';
  if (thing === 'pipette' && to === 'sample') return 'drawSample';
  if (thing === 'pipette' && to === 'flask') return 'drainPipette';
  if (thing.startsWith('indicator:') && to === 'flask') return 'indicator';
  if (thing === 'wash' && to === 'flask') return 'water';
  if (thing === 'probe' && to === 'flask') return 'probe';
  if (thing === 'flask' && to === 'waste') return 'emptyFlask';
  return null;
}
