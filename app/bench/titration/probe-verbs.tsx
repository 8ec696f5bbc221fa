import type { Act } from '@core/practicals/titration/acts';
import { Button } from '@app/ui/form';
import type { VerbsProps } from './verb-props';
import { ChoiceStrip } from '../choice-strip';

const PLACES_OF = {
  conductivity: [
    ['stand', 'stand'],
    ['standard', 'standard 1.413'],
    ['flask', 'flask'],
  ],
  pH: [
    ['stand', 'stand'],
    ['buffer 4.01', 'buffer 4.01'],
    ['buffer 7.00', '7.00'],
    ['buffer 10.01', '10.01'],
    ['flask', 'flask'],
  ],
} as const;
const placesFor = (sensor: 'pH' | 'conductivity') =>
  PLACES_OF[sensor].map(([value, text]) => ({ value, text, label: `Probe: ${value}` }));

/** The pH probe: where it is, its calibration, recording and logging. */
export function ProbeVerbs(props: VerbsProps) {
  const { view, hands } = props;
  const { place, calibratedIn, cellCalibrated, log } = view.probe;
  const isCell = props.labels.probe === 'conductivity';
  const verb = (label: string, act: Act) => (
    <Button type="button" onClick={() => hands.act(act)} className="whitespace-nowrap">
      {label}
    </Button>
  );
  return (
    <>
      <ChoiceStrip
        label="The probe is in"
        lead="in"
        chosen={place}
        choices={placesFor(isCell ? 'conductivity' : 'pH')}
        onChoose={(next) => hands.act({ kind: 'probe', place: next })}
      />
      {(place.startsWith('buffer') || place === 'standard') && verb('Calibrate here', { kind: 'calibrate' })}
      {view.meter !== null && verb(isCell ? 'Record the conductivity' : 'Record the pH', { kind: 'recordMeter' })}
      {log === null ? (
        <>
          {hands.amounts.field('logEveryMl')}
          {hands.amounts.field('logEveryS')}
        </>
      ) : (
        verb(`Stop logging every ${log.every} ${log.by}`, { kind: 'log', every: 0, by: log.by })
      )}
      <span className="text-ink-soft">
        {calibratedIn.length === 0 && !cellCalibrated
          ? 'Not calibrated.'
          : isCell
            ? 'Calibrated in the standard.'
            : `Calibrated in ${calibratedIn.map((pH) => pH.toFixed(2)).join(' and ')}.`}
        {view.logged.length > 0 && ` ${view.logged.length} lines logged.`}
      </span>
    </>
  );
}
