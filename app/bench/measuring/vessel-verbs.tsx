import { useState } from 'react';
import type { SeenVessel } from '@core/practicals/measuring/view';
import { Button, INPUT } from '@app/ui/form';
import { TiltStrip } from './tilt-strip';
import type { PartProps } from './verb-props';

/** What can be done with a vessel. */
export function VesselVerbs({ vessel, props, verb, target }: PartProps & { vessel: SeenVessel }) {
  const [label, setLabel] = useState('');
  const { number } = vessel;
  const { view, into, hands, labels } = props;
  const isSupply = vessel.type === 'supply';
  const onPan = view.pan.vessel === number;
  return (
    <>
      {(!vessel.empty || vessel.tilt !== null) && !onPan && (
        <>
          {target('Pour into', number)}
          <TiltStrip
            degrees={vessel.tilt?.degrees ?? 0}
            onTilt={(degrees) => hands.act({ kind: 'tilt', from: number, to: vessel.tilt?.to ?? into, degrees })}
          />
          {hands.amounts.field('pour')}
          {hands.amounts.field('drops', {
            verb: 'By dropper',
            act: (drops) => ({ kind: 'drops', from: number, to: into, drops }),
          })}
        </>
      )}
      {labels.balance && !onPan && verb('Weigh', { kind: 'weigh', vessel: number })}
      {onPan && verb('Take it off the balance', { kind: 'offPan' })}
      {isSupply && verb('Have it again, as full as given', { kind: 'haveAgain' })}
      {!isSupply && verb('Look at its scale', { kind: 'look', at: 'vessel', n: number })}
      {vessel.type === 'density-bottle' &&
        verb(vessel.stoppered ? 'Take the stopper out' : 'Put the stopper in', {
          kind: 'stopper',
          vessel: number,
          on: !vessel.stoppered,
        })}
      {vessel.lying.some(({ floats }) => floats) &&
        view.sinkerAt === number &&
        verb('Tie what floats to the sinker', { kind: 'tie', vessel: number })}
      {vessel.lying.length > 0 && verb('Take the pieces out', { kind: 'fish', vessel: number })}
      {vessel.lying.length > 0 && verb('Knock at it', { kind: 'knock', vessel: number })}
      {!isSupply && !vessel.empty && verb('Empty it', { kind: 'empty', vessel: number })}
      {!isSupply && vessel.wet && (vessel.empty || vessel.stoppered) && verb('Dry it', { kind: 'dry', vessel: number })}
      {!isSupply && !onPan && verb('Back to the tray', { kind: 'away', vessel: number })}
      {!isSupply && (
        <form
          className="flex items-center gap-1"
          onSubmit={(event) => {
            event.preventDefault();
            hands.act({ kind: 'name', vessel: number, text: label });
          }}
        >
          <Button>Label</Button>
          <input
            aria-label="What its label says"
            value={label}
            onChange={(event) => setLabel(event.target.value)}
            className={`${INPUT} h-8 w-24`}
            maxLength={30}
          />
        </form>
      )}
    </>
  );
}
