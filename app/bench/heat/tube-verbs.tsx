import { Button } from '@app/ui/form';
import { ChoiceStrip } from '../choice-strip';
import { HoldButton } from '../hold-button';
import { chargeOf } from './amounts';
import type { VerbProps } from './verb-props';

/** What is done with the test tube, and what it is filled from. */

const PLACES = { stand: 'on its stand', bath: 'in the hot bath', cold: 'in the cold bath' } as const;
const SPOKEN_STIR = { off: 'not', motor: 'by motor' } as const;

export function ChargeVerb({ labels, hands, jar }: VerbProps & { jar: 'substance' | 'second' }) {
  const jars = labels.tube?.jars ?? [];
  const name = jars.length > 1 ? `${jars[jar === 'substance' ? 0 : 1]} ` : '';
  return hands.amounts.field(chargeOf(jar), { verb: `Put ${name}into the tube, about` });
}

/** A series that was got ready, where there is one and nothing has been logged yet. */
export function ReadyVerb({ view, labels, hands }: VerbProps) {
  if (!labels.tube?.isReady || view.logged.length > 0) return null;
  return (
    <Button type="button" onClick={() => hands.act({ kind: 'ready' })}>
      Take the ready series
    </Button>
  );
}

export function TubeVerbs(props: VerbProps) {
  const { view, labels, hands } = props;
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
        onChoose={(at) => hands.act({ kind: 'tubeTo', at })}
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
        onChoose={(how) => hands.act({ kind: 'tubeStir', how })}
      />
      <HoldButton
        isOn={tube.stir === 'hand'}
        onStart={() => hands.act({ kind: 'tubeStir', how: 'hand' })}
        onEnd={() => hands.act({ kind: 'tubeStir', how: 'off' })}
      >
        Hold to stir by hand
      </HoldButton>
      <Button type="button" onClick={() => hands.act({ kind: 'jacket', on: !tube.jacket })}>
        {tube.jacket ? 'Take the air jacket off' : 'Put the air jacket on'}
      </Button>
      {!isEmpty && (
        <Button type="button" onClick={() => hands.act({ kind: 'seed' })}>
          Put a crystal in
        </Button>
      )}
      {labels.slots.includes('m1') && (
        <Button
          type="button"
          onClick={() =>
            hands.act(view.pan.on === 'tube' ? { kind: 'offPan' } : { kind: 'weigh', what: 'tube', piece: 1 })
          }
        >
          {view.pan.on === 'tube' ? 'Take it off the balance' : 'Weigh it'}
        </Button>
      )}
      {isEmpty && <ReadyVerb {...props} />}
      {!isEmpty && (
        <Button type="button" look="quiet" onClick={() => hands.act({ kind: 'emptyTube' })}>
          Empty it
        </Button>
      )}
    </>
  );
}
