import type { Act } from '@core/practicals/hydrates/acts';
import type { Place } from '@core/practicals/hydrates/bench';
import { SLOT_IDS, SLOTS, type Plan, type Slot } from '@core/practicals/hydrates/plan';
import type { View } from '@core/practicals/hydrates/view';
import { ownReading } from '@core/notebook/readings';
import { Button } from '@app/ui/form';
import { VerbLine } from '../bench-parts';
import { ChoiceStrip } from '../choice-strip';
import { Stepper } from '../stepper';
import type { Hands } from '../use-hands';
import type { Amount, Grip } from './moves';
import type { Thing } from './things';

/** One line above the tray: the verbs of what is selected. */

interface VerbProps {
  view: View;
  labels: Plan;
  hands: Hands<Thing, Amount, Act>;
  grip: Grip;
  onGrip: (grip: Grip) => void;
}

const PLACES: Record<Place, string> = {
  mat: 'on the mat',
  triangle: 'on the triangle',
  gauze: 'on the gauze',
  desiccator: 'in the desiccator',
  pan: 'on the balance',
};

function GripStrip({ grip, onGrip }: VerbProps) {
  return (
    <ChoiceStrip
      label="What holds the crucible"
      lead="taken"
      chosen={grip}
      choices={[
        { value: 'hand', text: 'by hand', label: 'Take it by hand' },
        { value: 'tongs', text: 'with tongs', label: 'Take it with tongs' },
      ]}
      onChoose={onGrip}
    />
  );
}

function CrucibleVerbs(props: VerbProps) {
  const { view, labels, hands, grip } = props;
  const { at, lid } = view.crucible;
  const places = (Object.keys(PLACES) as Place[]).filter((place) => place !== 'desiccator' || labels.desiccator);
  return (
    <>
      <ChoiceStrip
        label="Where the crucible is"
        lead=""
        chosen={at}
        choices={places.map((value) => ({ value, text: PLACES[value], label: `Crucible ${PLACES[value]}` }))}
        onChoose={(to) => hands.act({ kind: 'put', at: to, by: grip })}
      />
      <GripStrip {...props} />
      <ChoiceStrip
        label="Lid"
        lead="lid"
        chosen={lid}
        choices={(['on', 'ajar', 'off'] as const).map((value) => ({ value, text: value, label: `Lid ${value}` }))}
        onChoose={(to) => hands.act({ kind: 'lid', to })}
      />
      {hands.amounts.field('fill')}
    </>
  );
}

function BurnerVerbs({ view, hands }: VerbProps) {
  return (
    <>
      {hands.amounts.field('gas')}
      {hands.amounts.field('air')}
      {(['gas', 'air'] as const).map((name) => (
        <Stepper
          key={name}
          of={name}
          value={view.burner[name]}
          most={10}
          by={0.5}
          lead={name}
          onStep={(to) => hands.act({ kind: name, to })}
        />
      ))}
      <Button
        type="button"
        look={view.flame === 'none' ? 'main' : 'quiet'}
        onClick={() => hands.act({ kind: 'light' })}
      >
        Light it
      </Button>
      <Button type="button" onClick={() => hands.act({ kind: 'slide', under: !view.burner.isUnder })}>
        {view.burner.isUnder ? 'Slide it aside' : 'Slide it under the tripod'}
      </Button>
    </>
  );
}

function BalanceVerbs({ view, hands }: VerbProps) {
  const trial = view.recordableTrial;
  const { due } = view;
  const isThere = (slot: Slot) => ownReading(view, trial, slot) !== undefined;
  return (
    <>
      {due && (
        <Button type="button" look="main" onClick={() => hands.act({ kind: 'recordMass', trial, which: due })}>
          Record the {SLOTS[due].label}, trial {trial}
          {isThere(due) ? ' again' : ''}
        </Button>
      )}
      {due &&
        SLOT_IDS.filter((slot) => slot !== due).map((slot) => (
          <Button
            key={slot}
            type="button"
            look="quiet"
            onClick={() => hands.act({ kind: 'recordMass', trial, which: slot })}
          >
            as {SLOTS[slot].short}
          </Button>
        ))}
      <Button type="button" onClick={() => hands.act({ kind: 'tare' })}>
        Tare
      </Button>
    </>
  );
}

function verbsOf(props: VerbProps): React.ReactNode {
  const { view, hands, grip, onGrip } = props;
  const { selected } = hands;
  switch (selected) {
    case 'crucible':
      return <CrucibleVerbs {...props} />;
    case 'lid':
      return (
        <ChoiceStrip
          label="Lid"
          lead=""
          chosen={view.crucible.lid}
          choices={(['on', 'ajar', 'off'] as const).map((value) => ({ value, text: value, label: `Lid ${value}` }))}
          onChoose={(to) => hands.act({ kind: 'lid', to })}
        />
      );
    case 'burner':
      return <BurnerVerbs {...props} />;
    case 'lighter':
      return (
        <Button type="button" look="main" onClick={() => hands.act({ kind: 'light' })}>
          Light the burner
        </Button>
      );
    case 'balance':
      return <BalanceVerbs {...props} />;
    case 'jar':
      return hands.amounts.field('fill');
    case 'fresh':
      return (
        <Button type="button" onClick={() => hands.act({ kind: 'fresh' })}>
          Take it in place of the other
        </Button>
      );
    case 'tongs':
      return (
        <Button type="button" onClick={() => onGrip(grip === 'tongs' ? 'hand' : 'tongs')}>
          {grip === 'tongs' ? 'Lay them down' : 'Take them in your hand'}
        </Button>
      );
    default:
      return (
        <>
          <Button type="button" onClick={() => hands.act({ kind: 'put', at: selected, by: grip })}>
            Put the crucible there
          </Button>
          <GripStrip {...props} />
        </>
      );
  }
}

export function Verbs(props: VerbProps & { closed: boolean }) {
  return (
    <VerbLine name={props.hands.nameOf(props.hands.selected)} tall>
      {props.closed ? null : verbsOf(props)}
    </VerbLine>
  );
}
