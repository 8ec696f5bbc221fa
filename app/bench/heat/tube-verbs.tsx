import { Button } from '@app/ui/form';
import { ChoiceStrip } from '../choice-strip';
import { HoldButton } from '../hold-button';
import { TypedAmount } from '../typed-amount';
import { AMOUNT_ACTS, chargeOf } from './moves';
import type { VerbProps } from './verb-props';

/** What is done with the test tube, and what it is filled from. */

const PLACES = { stand: 'on its stand', bath: 'in the hot bath', cold: 'in the cold bath' } as const;
const SPOKEN_STIR = { off: 'not', motor: 'by motor' } as const;

export function ChargeVerb({
  labels,
  amounts,
  onAmount,
  onAmountAct,
  jar,
}: VerbProps & { jar: 'substance' | 'second' }) {
  const amount = chargeOf(jar);
  const jars = labels.tube?.jars ?? [];
  const name = jars.length > 1 ? `${jars[jar === 'substance' ? 0 : 1]} ` : '';
  return (
    <TypedAmount
      verb={`Put ${name}into the tube, about`}
      unit="g"
      text={amounts[amount]}
      onText={(text) => onAmount(amount, text)}
      onDo={() => onAmountAct(amount, 'g', AMOUNT_ACTS[amount].act)}
    />
  );
}

/** A series that was got ready, where there is one and nothing has been logged yet. */
export function ReadyVerb({ view, labels, onAct }: VerbProps) {
  if (!labels.tube?.isReady || view.logged.length > 0) return null;
  return (
    <Button type="button" onClick={() => onAct({ kind: 'ready' })}>
      Take the ready series
    </Button>
  );
}

export function TubeVerbs(props: VerbProps) {
  const { view, labels, onAct } = props;
  const { tube } = view;
  if (!tube) return null;
  const isEmpty = tube.levelMm === 0;
  return (
    <>
      {isEmpty && <ChargeVerb {...props} jar="substance" />}
      {isEmpty && labels.tube && labels.tube.jars.length > 1 && <ChargeVerb {...props} jar="second" />}
      <ChoiceStrip
        label="Where the tube is"
        lead=""
        chosen={tube.at === 'pan' ? null : tube.at}
        choices={(['stand', 'bath', 'cold'] as const).map((value) => ({
          value,
          text: PLACES[value],
          label: `Tube ${PLACES[value]}`,
        }))}
        onChoose={(at) => onAct({ kind: 'tubeTo', at })}
      />
      <ChoiceStrip
        label="Stirring of the tube"
        lead="stirred"
        chosen={tube.stir === 'hand' ? null : tube.stir}
        choices={(['off', 'motor'] as const).map((value) => ({
          value,
          text: SPOKEN_STIR[value],
          label: `Stirred ${SPOKEN_STIR[value]}`,
        }))}
        onChoose={(how) => onAct({ kind: 'tubeStir', how })}
      />
      <HoldButton
        isOn={tube.stir === 'hand'}
        onStart={() => onAct({ kind: 'tubeStir', how: 'hand' })}
        onEnd={() => onAct({ kind: 'tubeStir', how: 'off' })}
      >
        Hold to stir by hand
      </HoldButton>
      <Button type="button" onClick={() => onAct({ kind: 'jacket', on: !tube.jacket })}>
        {tube.jacket ? 'Take the air jacket off' : 'Put the air jacket on'}
      </Button>
      {!isEmpty && (
        <Button type="button" onClick={() => onAct({ kind: 'seed' })}>
          Put a crystal in
        </Button>
      )}
      {labels.slots.includes('m1') && (
        <Button
          type="button"
          onClick={() => onAct(view.pan.on === 'tube' ? { kind: 'offPan' } : { kind: 'weigh', what: 'tube', piece: 1 })}
        >
          {view.pan.on === 'tube' ? 'Take it off the balance' : 'Weigh it'}
        </Button>
      )}
      {isEmpty && <ReadyVerb {...props} />}
      {!isEmpty && (
        <Button type="button" look="quiet" onClick={() => onAct({ kind: 'emptyTube' })}>
          Empty it
        </Button>
      )}
    </>
  );
}
