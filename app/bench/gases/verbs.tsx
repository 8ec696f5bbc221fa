import type { Act } from '@core/practicals/gases/acts';
import { LIFT_MM, SYRINGE_ML } from '@core/practicals/gases/pieces';
import { JOINTS, PLACES, slotsOf, type Plan, type Slot } from '@core/practicals/gases/plan';
import type { View } from '@core/practicals/gases/view';
import { ownReading } from '@core/notebook/readings';
import { Button } from '@app/ui/form';
import { VerbLine } from '../bench-parts';
import { ChoiceStrip } from '../choice-strip';
import { TypedAmount } from '../typed-amount';
import { AMOUNT_ACTS, dueMass, recordMove, shownSlot, type Amounts } from './moves';
import { placeOf, thingName, type Thing } from './things';

/** One line above the tray: the verbs of what is selected. */

export interface VerbProps {
  selected: Thing;
  view: View;
  labels: Plan;
  amounts: Record<Amounts, string>;
  onAmount: (name: Amounts, text: string) => void;
  onAct: (act: Act) => void;
  onAmountAct: (name: Amounts, unit: string, make: (value: number) => Act) => void;
}

const JOINT_WORDS = { off: 'off', loose: 'on lightly', home: 'home' } as const;
const PLACE_WORDS = { air: 'on the stand', bath: 'in the bath', jar: 'in the cold jar' } as const;

/** Recording what an instrument shows. @param quiet for one that is not what is looked at */
function RecordVerb({ slot, view, labels, onAct, quiet = false }: VerbProps & { slot: Slot; quiet?: boolean }) {
  const due = view.slots.find((one) => one.slot === slot)?.due ?? view.trial;
  const isThere = ownReading(view, due, slot) !== undefined;
  return (
    <Button type="button" look={quiet ? 'quiet' : 'main'} onClick={() => onAct(recordMove(slot, view))}>
      Record the {slotsOf(labels)[slot].label}, trial {due}
      {isThere ? ' again' : ''}
    </Button>
  );
}

function JointVerb({ view, onAct }: VerbProps) {
  return (
    <ChoiceStrip
      label="How the tube sits"
      lead="tube"
      chosen={view.joint}
      choices={JOINTS.map((value) => ({ value, text: JOINT_WORDS[value], label: `Tube ${JOINT_WORDS[value]}` }))}
      onChoose={(to) => onAct({ kind: 'joint', to })}
    />
  );
}

function PlungerVerbs(props: VerbProps) {
  const { view, amounts, onAmount, onAct, onAmountAct } = props;
  const now = view.plungers[0] ?? 0;
  const by = (ml: number) => {
    const to = Math.min(Math.max(Math.round(now + ml), 1), SYRINGE_ML);
    onAct({ kind: 'plunger', ml: to });
  };
  return (
    <>
      <TypedAmount
        verb="Set the plunger to"
        unit="mL"
        text={amounts.plunger}
        onText={(text) => onAmount('plunger', text)}
        onDo={() => onAmountAct('plunger', 'mL', AMOUNT_ACTS.plunger.act)}
      />
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

function HeatVerb({ view, amounts, onAmount, onAct, onAmountAct }: VerbProps) {
  const heat = view.bath?.heat ?? 0;
  return (
    <>
      <TypedAmount
        verb="Set the hot plate to"
        unit="of 10"
        text={amounts.heat}
        onText={(text) => onAmount('heat', text)}
        onDo={() => onAmountAct('heat', '', AMOUNT_ACTS.heat.act)}
      />
      <span className="flex items-center gap-1">
        <Button
          type="button"
          look="quiet"
          aria-label="Less heat"
          onClick={() => onAct({ kind: 'heat', to: Math.max(heat - 0.5, 0) })}
        >
          −
        </Button>
        <span className="font-mono">{heat.toFixed(1)}</span>
        <Button
          type="button"
          look="quiet"
          aria-label="More heat"
          onClick={() => onAct({ kind: 'heat', to: Math.min(heat + 0.5, 10) })}
        >
          +
        </Button>
      </span>
      {heat > 0 && (
        <Button type="button" onClick={() => onAct({ kind: 'heat', to: 0 })}>
          Turn it off
        </Button>
      )}
    </>
  );
}

const DrawVerb = ({ amounts, onAmount, onAmountAct }: VerbProps) => (
  <TypedAmount
    verb="Draw liquid up"
    unit="mL"
    text={amounts.draw}
    onText={(text) => onAmount('draw', text)}
    onDo={() => onAmountAct('draw', 'mL', AMOUNT_ACTS.draw.act)}
  />
);

const CutVerb = ({ amounts, onAmount, onAmountAct }: VerbProps) => (
  <TypedAmount
    verb="Cut a strip of about"
    unit="mg"
    text={amounts.cut}
    onText={(text) => onAmount('cut', text)}
    onDo={() => onAmountAct('cut', 'mg', AMOUNT_ACTS.cut.act)}
  />
);

const FreshVerb = ({ onAct }: VerbProps) => (
  <Button type="button" onClick={() => onAct({ kind: 'empty' })}>
    Take it in place of the other
  </Button>
);

function StripVerbs(props: VerbProps) {
  const { view, onAct } = props;
  const at = view.tube?.strip ?? null;
  if (at === null || at === 'tube') return <CutVerb {...props} />;
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
        onChoose={(to) => onAct({ kind: 'weigh', on: to === 'pan' })}
      />
      <Button type="button" onClick={() => onAct({ kind: 'hang' })}>
        Hang it into the tube
      </Button>
      <CutVerb {...props} />
      <MassVerbs {...props} />
    </>
  );
}

function TubeVerbs(props: VerbProps) {
  const { view, amounts, onAmount, onAct, onAmountAct } = props;
  const now = view.tube?.topMm ?? 0;
  return (
    <>
      <TypedAmount
        verb="Set its top, over the water, to"
        unit="mm"
        text={amounts.lift}
        onText={(text) => onAmount('lift', text)}
        onDo={() => onAmountAct('lift', 'mm', AMOUNT_ACTS.lift.act)}
      />
      <span className="flex items-center gap-1">
        {[20, 5].map((mm) => (
          <Button
            key={mm}
            type="button"
            look="quiet"
            aria-label={`Lower it by ${mm} mm`}
            onClick={() => onAct({ kind: 'lift', mm: Math.max(now - mm, LIFT_MM.least) })}
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
            onClick={() => onAct({ kind: 'lift', mm: Math.min(now + mm, LIFT_MM.most) })}
          >
            up {mm}
          </Button>
        ))}
      </span>
      <Button type="button" onClick={() => onAct({ kind: 'empty' })}>
        Take a fresh tube
      </Button>
    </>
  );
}

function InjectorVerbs(props: VerbProps) {
  const { view, amounts, onAmount, onAct, onAmountAct } = props;
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
        onChoose={(to) => onAct({ kind: 'weigh', on: to === 'pan' })}
      />
      <Button type="button" onClick={() => onAct({ kind: 'stopper', on: !isStoppered })}>
        {isStoppered ? 'Take the stopper off its needle' : 'Stopper its needle'}
      </Button>
      <DrawVerb {...props} />
      <TypedAmount
        verb="Inject into the syringe"
        unit="mL"
        text={amounts.inject}
        onText={(text) => onAmount('inject', text)}
        onDo={() => onAmountAct('inject', 'mL', AMOUNT_ACTS.inject.act)}
      />
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

const IceVerb = ({ amounts, onAmount, onAmountAct }: VerbProps) => (
  <TypedAmount
    verb="Put ice in"
    unit="g"
    text={amounts.ice}
    onText={(text) => onAmount('ice', text)}
    onDo={() => onAmountAct('ice', 'g', AMOUNT_ACTS.ice.act)}
  />
);

function PlaceVerb({ view, onAct }: VerbProps) {
  return (
    <ChoiceStrip
      label="Where the bulb is"
      lead="bulb"
      chosen={view.at}
      choices={PLACES.map((value) => ({ value, text: PLACE_WORDS[value], label: `Bulb ${PLACE_WORDS[value]}` }))}
      onChoose={(at) => onAct({ kind: 'put', at })}
    />
  );
}

function verbsOf(props: VerbProps): React.ReactNode {
  const { selected, view, labels, onAct } = props;
  const shown = shownSlot(selected, view);
  const record = shown && <RecordVerb {...props} slot={shown} />;
  const place = placeOf(selected);
  if (selected === 'plunger') return <PlungerVerbs {...props} />;
  if (selected === 'gastube') return <TubeVerbs {...props} />;
  if (place !== null)
    return (
      <>
        <Button type="button" look="main" onClick={() => onAct({ kind: 'turn', n: place + 1 })}>
          Turn its plunger
        </Button>
        {labels.gear === 'injected' && (
          <Button type="button" onClick={() => onAct({ kind: 'empty' })}>
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
          <Button type="button" onClick={() => onAct({ kind: 'tare' })}>
            Tare
          </Button>
        </>
      );
    case 'ruler':
      return <span className="text-ink-soft">It is read in the loupe: the water inside, against that outside.</span>;
    case 'roll':
      return <CutVerb {...props} />;
    case 'strip':
      return <StripVerbs {...props} />;
    case 'fresh':
      return <FreshVerb {...props} />;
    case 'bottle':
      return <DrawVerb {...props} />;
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
      return <IceVerb {...props} />;
    case 'bath':
    case 'thermometer':
      if (labels.gear === 'collected') return record;
      return (
        <>
          {record}
          <IceVerb {...props} />
          <HeatVerb {...props} />
        </>
      );
    default:
      return record;
  }
}

export function Verbs(props: VerbProps & { closed: boolean }) {
  return (
    <VerbLine name={thingName(props.selected, props.labels)} tall>
      {props.closed ? null : verbsOf(props)}
    </VerbLine>
  );
}
