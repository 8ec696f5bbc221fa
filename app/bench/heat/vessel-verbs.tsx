import { heatVesselOf } from '@core/databook/heat-vessels';
import { hasBalance } from '@core/practicals/heat/plan';
import { Button } from '@app/ui/form';
import { ChoiceStrip } from '../choice-strip';
import { TypedAmount } from '../typed-amount';
import { thingName } from './things';
import { pourOf, type VerbProps } from './verb-props';

const SPOKEN_STIR = { off: 'not', hand: 'by hand', motor: 'by motor' } as const;

/** What is done with a vessel. */
export function VesselVerbs({
  which,
  view,
  labels,
  amounts,
  onAmount,
  onAct,
  onAmountAct,
}: VerbProps & { which: 'cup' | 'beaker' }) {
  const vessel = view.vessels[which];
  const other = which === 'cup' ? 'beaker' : 'cup';
  const { lid } = heatVesselOf(vessel.type);
  return (
    <>
      {labels.bottles.map((bottle, i) => (
        <TypedAmount
          key={bottle}
          verb={`Pour ${bottle} in`}
          unit="mL"
          text={amounts[pourOf(i + 1)]}
          onText={(text) => onAmount(pourOf(i + 1), text)}
          onDo={() => onAmountAct(pourOf(i + 1), 'mL', (ml) => ({ kind: 'pour', bottle: i + 1, to: which, ml }))}
        />
      ))}
      {labels.beaker && vessel.levelMl > 0 && (
        <Button type="button" onClick={() => onAct({ kind: 'tipOver', from: which, to: other, ml: 999 })}>
          Pour all into the {other === 'cup' ? thingName('cup', view, labels) : 'beaker'}
        </Button>
      )}
      <ChoiceStrip
        label="Stirring"
        lead="stirred"
        chosen={vessel.stir}
        choices={(['off', 'hand', 'motor'] as const).map((value) => ({
          value,
          text: SPOKEN_STIR[value],
          label: `Stirred ${SPOKEN_STIR[value]}`,
        }))}
        onChoose={(how) => onAct({ kind: 'stir', vessel: which, how })}
      />
      <Button type="button" onClick={() => onAct({ kind: 'lid', vessel: which, on: !vessel.lid })}>
        {vessel.lid ? `Take the ${lid} off` : `Put the ${lid} on`}
      </Button>
      {which === 'beaker' && labels.bath && (
        <Button type="button" onClick={() => onAct({ kind: 'seat', at: vessel.at === 'bath' ? 'bench' : 'bath' })}>
          {vessel.at === 'bath' ? 'Take it out of the bath' : 'Stand it in the bath'}
        </Button>
      )}
      {!hasBalance(labels) ? null : view.pan.on === which ? (
        <Button type="button" onClick={() => onAct({ kind: 'offPan' })}>
          Take it off the balance
        </Button>
      ) : (
        <Button type="button" onClick={() => onAct({ kind: 'weigh', what: which, piece: 1 })}>
          Weigh it
        </Button>
      )}
      {vessel.levelMl > 0 && (
        <Button type="button" look="quiet" onClick={() => onAct({ kind: 'empty', vessel: which })}>
          Empty it
        </Button>
      )}
    </>
  );
}
