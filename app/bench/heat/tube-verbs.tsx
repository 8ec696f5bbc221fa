import { Button } from '@app/ui/form';
import { ChoiceStrip } from '../choice-strip';
import { TypedAmount } from '../typed-amount';
import type { VerbProps } from './verb-props';

/** What is done with the test tube, and what it is filled from. */

const PLACES = { stand: 'on its stand', bath: 'in the hot bath', cold: 'in the cold bath' } as const;
const SPOKEN_STIR = { off: 'not', hand: 'by hand', motor: 'by motor' } as const;

export function ChargeVerb({ amounts, onAmount, onAmountAct }: VerbProps) {
  return (
    <TypedAmount
      verb="Put into the tube, about"
      unit="g"
      text={amounts.charge}
      onText={(text) => onAmount('charge', text)}
      onDo={() => onAmountAct('charge', 'g', (g) => ({ kind: 'charge', g }))}
    />
  );
}

export function TubeVerbs(props: VerbProps) {
  const { view, labels, onAct } = props;
  const { tube } = view;
  if (!tube) return null;
  const isEmpty = tube.levelMm === 0;
  return (
    <>
      {isEmpty && <ChargeVerb {...props} />}
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
        chosen={tube.stir}
        choices={(['off', 'hand', 'motor'] as const).map((value) => ({
          value,
          text: SPOKEN_STIR[value],
          label: `Stirred ${SPOKEN_STIR[value]}`,
        }))}
        onChoose={(how) => onAct({ kind: 'tubeStir', how })}
      />
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
      {!isEmpty && (
        <Button type="button" look="quiet" onClick={() => onAct({ kind: 'emptyTube' })}>
          Empty it
        </Button>
      )}
    </>
  );
}
