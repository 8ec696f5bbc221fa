import type { Act } from '@core/practicals/hydrates/acts';
import type { Place } from '@core/practicals/hydrates/bench';
import { SLOT_IDS, SLOTS, type Plan, type Slot } from '@core/practicals/hydrates/plan';
import type { View } from '@core/practicals/hydrates/view';
import { ownReading } from '@core/notebook/readings';
import { Button } from '@app/ui/form';
import { VerbLine } from '../bench-parts';
import { ChoiceStrip } from '../choice-strip';
import { TypedAmount } from '../typed-amount';
import { AMOUNT_ACTS, type Amounts, type Grip } from './moves';
import { thingName, type Thing } from './things';

/** One line above the tray: the verbs of what is selected. */

export interface VerbProps {
  selected: Thing;
  view: View;
  labels: Plan;
  amounts: Record<Amounts, string>;
  grip: Grip;
  onGrip: (grip: Grip) => void;
  onAmount: (name: Amounts, text: string) => void;
  onAct: (act: Act) => void;
  onAmountAct: (name: Amounts, unit: string, make: (value: number) => Act) => void;
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
  const { view, labels, grip, onAct } = props;
  const { at, lid } = view.crucible;
  const places = (Object.keys(PLACES) as Place[]).filter((place) => place !== 'desiccator' || labels.desiccator);
  return (
    <>
      <ChoiceStrip
        label="Where the crucible is"
        lead=""
        chosen={at}
        choices={places.map((value) => ({ value, text: PLACES[value], label: `Crucible ${PLACES[value]}` }))}
        onChoose={(to) => onAct({ kind: 'put', at: to, by: grip })}
      />
      <GripStrip {...props} />
      <ChoiceStrip
        label="Lid"
        lead="lid"
        chosen={lid}
        choices={(['on', 'ajar', 'off'] as const).map((value) => ({ value, text: value, label: `Lid ${value}` }))}
        onChoose={(to) => onAct({ kind: 'lid', to })}
      />
      <FillVerb {...props} />
    </>
  );
}

function FillVerb({ amounts, onAmount, onAmountAct }: VerbProps) {
  return (
    <TypedAmount
      verb="Put salt in, about"
      unit="g"
      text={amounts.fill}
      onText={(text) => onAmount('fill', text)}
      onDo={() => onAmountAct('fill', 'g', AMOUNT_ACTS.fill.act)}
    />
  );
}

function BurnerVerbs({ view, amounts, onAmount, onAct, onAmountAct }: VerbProps) {
  return (
    <>
      {(['gas', 'air'] as const).map((name) => (
        <TypedAmount
          key={name}
          verb={`Set the ${name} to`}
          unit="of 10"
          text={amounts[name]}
          onText={(text) => onAmount(name, text)}
          onDo={() => onAmountAct(name, '', AMOUNT_ACTS[name].act)}
        />
      ))}
      {(['gas', 'air'] as const).map((name) => (
        <span key={name} className="flex items-center gap-1">
          {name}
          <Button
            type="button"
            look="quiet"
            aria-label={`Less ${name}`}
            onClick={() => onAct({ kind: name, to: Math.max(view.burner[name] - 0.5, 0) })}
          >
            −
          </Button>
          <span className="font-mono">{view.burner[name].toFixed(1)}</span>
          <Button
            type="button"
            look="quiet"
            aria-label={`More ${name}`}
            onClick={() => onAct({ kind: name, to: Math.min(view.burner[name] + 0.5, 10) })}
          >
            +
          </Button>
        </span>
      ))}
      <Button type="button" look={view.flame === 'none' ? 'main' : 'quiet'} onClick={() => onAct({ kind: 'light' })}>
        Light it
      </Button>
      <Button type="button" onClick={() => onAct({ kind: 'slide', under: !view.burner.isUnder })}>
        {view.burner.isUnder ? 'Slide it aside' : 'Slide it under the tripod'}
      </Button>
    </>
  );
}

function BalanceVerbs({ view, onAct }: VerbProps) {
  const trial = view.recordableTrial;
  const { due } = view;
  const isThere = (slot: Slot) => ownReading(view, trial, slot) !== undefined;
  return (
    <>
      {due && (
        <Button type="button" look="main" onClick={() => onAct({ kind: 'recordMass', trial, which: due })}>
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
            onClick={() => onAct({ kind: 'recordMass', trial, which: slot })}
          >
            as {SLOTS[slot].short}
          </Button>
        ))}
      <Button type="button" onClick={() => onAct({ kind: 'tare' })}>
        Tare
      </Button>
    </>
  );
}

function verbsOf(props: VerbProps): React.ReactNode {
  const { selected, view, grip, onAct, onGrip } = props;
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
          onChoose={(to) => onAct({ kind: 'lid', to })}
        />
      );
    case 'burner':
      return <BurnerVerbs {...props} />;
    case 'lighter':
      return (
        <Button type="button" look="main" onClick={() => onAct({ kind: 'light' })}>
          Light the burner
        </Button>
      );
    case 'balance':
      return <BalanceVerbs {...props} />;
    case 'jar':
      return <FillVerb {...props} />;
    case 'fresh':
      return (
        <Button type="button" onClick={() => onAct({ kind: 'fresh' })}>
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
          <Button type="button" onClick={() => onAct({ kind: 'put', at: selected, by: grip })}>
            Put the crucible there
          </Button>
          <GripStrip {...props} />
        </>
      );
  }
}

export function Verbs(props: VerbProps & { closed: boolean }) {
  return (
    <VerbLine name={thingName(props.selected, props.view, props.labels)} tall>
      {props.closed ? null : verbsOf(props)}
    </VerbLine>
  );
}
