import { heatVesselOf } from '@core/databook/heat-vessels';
import { hasBalance } from '@core/practicals/heat/plan';
import { Button } from '@app/ui/form';
import { ChoiceStrip } from '../choice-strip';
import { thingName } from './things';
import { pourOf } from './amounts';
import type { VerbProps } from './verb-props';

const SPOKEN_STIR = { off: 'not', hand: 'by hand', motor: 'by motor' } as const;

/** What is done with a vessel. */
export function VesselVerbs({ which, view, labels, hands }: VerbProps & { which: 'cup' | 'beaker' }) {
  const vessel = view.vessels[which];
  const other = which === 'cup' ? 'beaker' : 'cup';
  const { lid } = heatVesselOf(vessel.type);
  return (
    <>
      {labels.bottles.map((bottle, i) =>
        hands.amounts.field(pourOf(i + 1), {
          verb: `Pour ${bottle} in`,
          act: (ml) => ({ kind: 'pour', bottle: i + 1, to: which, ml }),
        }),
      )}
      {labels.beaker && vessel.levelMl > 0 && (
        <Button type="button" onClick={() => hands.act({ kind: 'tipOver', from: which, to: other, ml: 999 })}>
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
        onChoose={(how) => hands.act({ kind: 'stir', vessel: which, how })}
      />
      <Button type="button" onClick={() => hands.act({ kind: 'lid', vessel: which, on: !vessel.lid })}>
        {vessel.lid ? `Take the ${lid} off` : `Put the ${lid} on`}
      </Button>
      {which === 'beaker' && labels.bath && (
        <Button type="button" onClick={() => hands.act({ kind: 'seat', at: vessel.at === 'bath' ? 'bench' : 'bath' })}>
          {vessel.at === 'bath' ? 'Take it out of the bath' : 'Stand it in the bath'}
        </Button>
      )}
      {!hasBalance(labels) ? null : view.pan.on === which ? (
        <Button type="button" onClick={() => hands.act({ kind: 'offPan' })}>
          Take it off the balance
        </Button>
      ) : (
        <Button type="button" onClick={() => hands.act({ kind: 'weigh', what: which, piece: 1 })}>
          Weigh it
        </Button>
      )}
      {vessel.levelMl > 0 && (
        <Button type="button" look="quiet" onClick={() => hands.act({ kind: 'empty', vessel: which })}>
          Empty it
        </Button>
      )}
    </>
  );
}
