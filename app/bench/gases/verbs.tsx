import type { Act } from '@core/practicals/gases/acts';
import { LIFT_MM, SYRINGE_ML } from '@core/practicals/gases/pieces';
import { JOINTS, PLACES, slotsOf, type Plan, type Slot } from '@core/practicals/gases/plan';
import type { View } from '@core/practicals/gases/view';
import { ownReading } from '@core/notebook/readings';
import { Button } from '@app/ui/form';
import { VerbLine } from '../bench-parts';
import { ChoiceStrip } from '../choice-strip';
import { Stepper } from '../stepper';
import type { Hands } from '../use-hands';
import { dueMass, recordMove, shownSlot, type Amount } from './moves';
import { placeOf, type Thing } from './things';

/** One line above the tray: the verbs of what is selected. */

interface VerbProps {
  view: View;
  labels: Plan;
  hands: Hands<Thing, Amount, Act>;
}

const JOINT_WORDS = { off: 'off', loose: 'on lightly', home: 'home' } as const;
const PLACE_WORDS = { air: 'on the stand', bath: 'in the bath', jar: 'in the cold jar' } as const;

/** Recording what an instrument shows. @param quiet for one that is not what is looked at */
function RecordVerb({ slot, view, labels, hands, quiet = false }: VerbProps & { slot: Slot; quiet?: boolean }) {
  const due = view.slots.find((one) => one.slot === slot)?.due ?? view.trial;
  const isThere = ownReading(view, due, slot) !== undefined;
  return (
    <Button type="button" look={quiet ? 'quiet' : 'main'} onClick={() => hands.act(recordMove(slot, view))}>
      Record the {slotsOf(labels)[slot].label}, trial {due}
      {isThere ? ' again' : ''}
    </Button>
  );
}

function JointVerb({ view, hands }: VerbProps) {
  return (
    <ChoiceStrip
      label="How the tube sits"
      lead="tube"
      chosen={view.joint}
      choices={JOINTS.map((value) => ({ value, text: JOINT_WORDS[value], label: `Tube ${JOINT_WORDS[value]}` }))}
      onChoose={(to) => hands.act({ kind: 'joint', to })}
    />
  );
}

function PlungerVerbs(props: VerbProps) {
  const { view, hands } = props;
  const now = view.plungers[0] ?? 0;
  const by = (ml: number) => {
    const to = Math.min(Math.max(Math.round(now + ml), 1), SYRINGE_ML);
    hands.act({ kind: 'plunger', ml: to });
  };
  return (
    <>
      {hands.amounts.field('plunger')}
      <span className="flex items-center gap-1">
        {[10, 5].map((ml) => (
          <Button key={ml} type="button" look="quiet" onClick={() => by(-ml)} aria-label={`Push it in by ${ml} mL`}>
            in {ml}
          </Button>
        ))}
        {[5, 10].map((ml) => (
          <Button key={ml} type="button" look="quiet" onClick={() => by(ml)} aria-label={`Draw it out by ${ml} mL`}>
            out {ml}
          </Button>
        ))}
      </span>
      <JointVerb {...props} />
      {view.joint !== 'off' && <RecordVerb {...props} slot="p" quiet />}
    </>
  );
}

function HeatVerb({ view, hands }: VerbProps) {
  const heat = view.bath?.heat ?? 0;
  return (
    <>
      {hands.amounts.field('heat')}
      <Stepper of="heat" value={heat} most={10} by={0.5} onStep={(to) => hands.act({ kind: 'heat', to })} />
      {heat > 0 && (
        <Button type="button" onClick={() => hands.act({ kind: 'heat', to: 0 })}>
          Turn it off
        </Button>
      )}
    </>
  );
}

const FreshVerb = ({ hands }: VerbProps) => (
  <Button type="button" onClick={() => hands.act({ kind: 'empty' })}>
    Take it in place of the other
  </Button>
);

function StripVerbs(props: VerbProps) {
  const { view, hands } = props;
  const at = view.tube?.strip ?? null;
  if (at === null || at === 'tube') return props.hands.amounts.field('cut');
  return (
    <>
      <ChoiceStrip
        label="Where the strip is"
        lead="strip"
        chosen={at}
        choices={[
          { value: 'mat', text: 'on the mat', label: 'Strip on the mat' },
          { value: 'pan', text: 'on the balance', label: 'Strip on the balance' },
        ]}
        onChoose={(to) => hands.act({ kind: 'weigh', on: to === 'pan' })}
      />
      <Button type="button" onClick={() => hands.act({ kind: 'hang' })}>
        Hang it into the tube
      </Button>
      {props.hands.amounts.field('cut')}
      <MassVerbs {...props} />
    </>
  );
}

function TubeVerbs(props: VerbProps) {
  const { view, hands } = props;
  const now = view.tube?.topMm ?? 0;
  return (
    <>
      {hands.amounts.field('lift')}
      <span className="flex items-center gap-1">
        {[20, 5].map((mm) => (
          <Button
            key={mm}
            type="button"
            look="quiet"
            aria-label={`Lower it by ${mm} mm`}
            onClick={() => hands.act({ kind: 'lift', mm: Math.max(now - mm, LIFT_MM.least) })}
          >
            down {mm}
          </Button>
        ))}
        {[5, 20].map((mm) => (
          <Button
            key={mm}
            type="button"
            look="quiet"
            aria-label={`Lift it by ${mm} mm`}
            onClick={() => hands.act({ kind: 'lift', mm: Math.min(now + mm, LIFT_MM.most) })}
          >
            up {mm}
          </Button>
        ))}
      </span>
      <Button type="button" onClick={() => hands.act({ kind: 'empty' })}>
        Take a fresh tube
      </Button>
    </>
  );
}

function InjectorVerbs(props: VerbProps) {
  const { view, hands } = props;
  if (!view.injector) return null;
  const { at, isStoppered } = view.injector;
  return (
    <>
      <ChoiceStrip
        label="Where the injector is"
        lead="injector"
        chosen={at}
        choices={[
          { value: 'mat', text: 'on the mat', label: 'Injector on the mat' },
          { value: 'pan', text: 'on the balance', label: 'Injector on the balance' },
        ]}
        onChoose={(to) => hands.act({ kind: 'weigh', on: to === 'pan' })}
      />
      <Button type="button" onClick={() => hands.act({ kind: 'stopper', on: !isStoppered })}>
        {isStoppered ? 'Take the stopper off its needle' : 'Stopper its needle'}
      </Button>
      {props.hands.amounts.field('draw')}
      {hands.amounts.field('inject')}
      <MassVerbs {...props} />
    </>
  );
}

function MassVerbs(props: VerbProps) {
  const due = dueMass(props.view);
  if (!due) return null;
  return (
    <>
      <RecordVerb {...props} slot={due} />
      {due !== 'm' && <RecordVerb {...props} slot={due === 'm2' ? 'm1' : 'm2'} quiet />}
    </>
  );
}

function PlaceVerb({ view, hands }: VerbProps) {
  return (
    <ChoiceStrip
      label="Where the bulb is"
      lead="bulb"
      chosen={view.at}
      choices={PLACES.map((value) => ({ value, text: PLACE_WORDS[value], label: `Bulb ${PLACE_WORDS[value]}` }))}
      onChoose={(at) => hands.act({ kind: 'put', at })}
    />
  );
}

function verbsOf(props: VerbProps): React.ReactNode {
  const { view, labels, hands } = props;
  const { selected } = hands;
  const shown = shownSlot(selected, view);
  const record = shown && <RecordVerb {...props} slot={shown} />;
  const place = placeOf(selected);
  if (selected === 'plunger') return <PlungerVerbs {...props} />;
  if (selected === 'gastube') return <TubeVerbs {...props} />;
  if (place !== null)
    return (
      <>
        <Button type="button" look="main" onClick={() => hands.act({ kind: 'turn', n: place + 1 })}>
          Turn its plunger
        </Button>
        {labels.gear === 'injected' && (
          <Button type="button" onClick={() => hands.act({ kind: 'empty' })}>
            Empty it, and draw a little air in
          </Button>
        )}
      </>
    );
  switch (selected) {
    case 'injector':
      return <InjectorVerbs {...props} />;
    case 'balance':
      return (
        <>
          <MassVerbs {...props} />
          <Button type="button" onClick={() => hands.act({ kind: 'tare' })}>
            Tare
          </Button>
        </>
      );
    case 'ruler':
      return <span className="text-ink-soft">It is read in the loupe: the water inside, against that outside.</span>;
    case 'roll':
      return props.hands.amounts.field('cut');
    case 'strip':
      return <StripVerbs {...props} />;
    case 'fresh':
      return <FreshVerb {...props} />;
    case 'bottle':
      return props.hands.amounts.field('draw');
    case 'tube':
      return (
        <>
          <JointVerb {...props} />
          {record}
        </>
      );
    case 'bulb':
      return (
        <>
          <PlaceVerb {...props} />
          <JointVerb {...props} />
          {record}
        </>
      );
    case 'jar':
      return <PlaceVerb {...props} />;
    case 'gauge':
      return (
        <>
          {record}
          {labels.gear === 'bulb' && <PlaceVerb {...props} />}
          <JointVerb {...props} />
        </>
      );
    case 'plate':
      return <HeatVerb {...props} />;
    case 'ice':
      return props.hands.amounts.field('ice');
    case 'bath':
    case 'thermometer':
      if (labels.gear === 'collected') return record;
      return (
        <>
          {record}
          {props.hands.amounts.field('ice')}
          <HeatVerb {...props} />
        </>
      );
    default:
      return record;
  }
}

export function Verbs(props: VerbProps & { closed: boolean }) {
  return (
    <VerbLine name={props.hands.nameOf(props.hands.selected)} tall>
      {props.closed ? null : verbsOf(props)}
    </VerbLine>
  );
}
