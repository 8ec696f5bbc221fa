import { useState } from 'react';
import {
  isByEye,
  isMass,
  SLOTS,
  slotName,
  TEMP_SLOTS,
  VOLUME_SLOTS,
  type MassSlot,
  type Plan,
  type TempSlot,
} from '@core/practicals/heat/plan';
import type { SeenThermometer } from '@core/practicals/heat/view';
import { ownReading } from '@core/notebook/readings';
import { Button } from '@app/ui/form';
import { ChoiceStrip } from '../choice-strip';
import { TypedAmount } from '../typed-amount';
import { numberIn } from './things';
import type { VerbProps } from './verb-props';

/** What is read and recorded: volumes, temperatures, masses. */

/** Writing down what the pipette or the cylinder said of a bottle. */
export function VolumeVerb({ view, labels, hands, bottle }: VerbProps & { bottle: number }) {
  const [text, setText] = useState('');
  const which = VOLUME_SLOTS[bottle - 1];
  if (!which || !labels.slots.includes(which)) return null;
  const trial = view.slots.find((one) => one.slot === which)?.due ?? view.trial;
  return (
    <TypedAmount
      verb={`Record the ${slotName(labels, which)}, trial ${trial}, as read`}
      unit="mL"
      text={text}
      onText={setText}
      onDo={() => hands.act({ kind: 'record', trial, which, text })}
    />
  );
}

const THERMO_AT = {
  tube: 'tube',
  cold: 'cold bath',
  stand: 'stand',
  cup: 'cup',
  beaker: 'beaker',
  bath: 'bath',
  block: 'block',
} as const;

/** Whether a thermometer that is there can mean this reading: what is hot is read where it is heated, the rest in the cup. */
const isMeant = (slot: TempSlot, at: SeenThermometer['at'] | undefined): boolean =>
  slot === 'Th' ? at === 'bath' || at === 'block' || at === 'beaker' : at === 'cup';

export function ThermometerVerbs({ view, labels, hands }: VerbProps) {
  const n = numberIn(hands.selected);
  const seen = view.thermometers[n - 1];
  const isThere = {
    cup: !labels.tube,
    beaker: labels.beaker,
    bath: labels.bath,
    block: labels.block,
    tube: labels.tube,
    cold: labels.tube,
    stand: true,
  };
  const places = (['tube', 'cup', 'beaker', 'bath', 'cold', 'block', 'stand'] as const).filter((at) => isThere[at]);
  const slots = TEMP_SLOTS.filter((slot) => labels.slots.includes(slot) && isMeant(slot, seen?.at));
  const trialOf = (slot: TempSlot) => view.slots.find((one) => one.slot === slot)?.due ?? view.trial;
  return (
    <>
      <ChoiceStrip
        label="Where the thermometer is"
        lead="in"
        chosen={seen?.at ?? 'stand'}
        choices={places.map((value) => ({
          value,
          text: THERMO_AT[value],
          label: value === 'stand' ? 'On its stand' : `In the ${THERMO_AT[value]}`,
        }))}
        onChoose={(at) => hands.act({ kind: 'thermometer', n, at })}
      />
      {labels.points ? (
        <Button
          type="button"
          look="main"
          onClick={() => hands.act({ kind: 'recordPoint', trial: view.recordableTrial })}
        >
          Record the point, trial {view.recordableTrial}
        </Button>
      ) : isByEye(labels) ? (
        <span className="text-ink-soft">It is read in the loupe; type what you read there.</span>
      ) : seen?.at === 'stand' && !labels.tube ? (
        <span className="text-ink-soft">It shows the temperature of the air. Put it into something first.</span>
      ) : (
        slots.map((slot) => (
          <Button
            key={slot}
            type="button"
            look={slot === view.dueTemp ? 'main' : 'quiet'}
            onClick={() => hands.act({ kind: 'recordTemp', trial: trialOf(slot), which: slot })}
          >
            Record the {slotName(labels, slot)}, trial {trialOf(slot)}
          </Button>
        ))
      )}
    </>
  );
}

const massSlotsOf = (labels: Plan): MassSlot[] => labels.slots.filter(isMass);

export function BalanceVerbs({ view, labels, hands }: VerbProps) {
  const due = view.dueMass;
  const trialOf = (slot: MassSlot) => view.slots.find((one) => one.slot === slot)?.due ?? view.trial;
  const isThere = (slot: MassSlot) => ownReading(view, trialOf(slot), slot) !== undefined;
  return (
    <>
      {due && (
        <Button
          type="button"
          look="main"
          onClick={() => hands.act({ kind: 'recordMass', trial: trialOf(due), which: due })}
        >
          Record the {slotName(labels, due)}, trial {trialOf(due)}
          {isThere(due) ? ' again' : ''}
        </Button>
      )}
      {massSlotsOf(labels)
        .filter((slot) => slot !== due && view.pan.on !== null)
        .map((slot) => (
          <Button
            key={slot}
            type="button"
            look="quiet"
            onClick={() => hands.act({ kind: 'recordMass', trial: trialOf(slot), which: slot })}
          >
            as {SLOTS[slot].short}
          </Button>
        ))}
      <Button type="button" onClick={() => hands.act({ kind: 'tare' })}>
        Tare
      </Button>
      {view.pan.on !== null && (
        <Button type="button" onClick={() => hands.act({ kind: 'offPan' })}>
          Take off what stands on it
        </Button>
      )}
    </>
  );
}
