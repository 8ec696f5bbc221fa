import { useState } from 'react';
import { LEFT_SLOTS, VOLUME_SLOTS, type Plan } from '@core/practicals/solutions/plan';
import type { Act } from '@core/practicals/solutions/acts';
import { SLIP_MMOL, SLIP_PART } from '@core/practicals/solutions/analysis';
import type { SeenVessel, View } from '@core/practicals/solutions/view';
import { ownReading } from '@core/notebook/readings';
import { Button, INPUT } from '@app/ui/form';
import { VerbLine } from '../bench-parts';
import { ChoiceStrip } from '../choice-strip';
import { TypedAmount } from '../typed-amount';
import { recordTool, WAYS, type Amounts, type Give, type Hand, type Way } from './moves';
import { isOwn, labelledName, numberOf, sourcesOf, thingName, vesselName, type Thing } from './things';

/** The verbs of what is selected, above the tray. */

export interface VerbProps {
  selected: Thing;
  view: View;
  labels: Plan;
  amounts: Record<Amounts, string>;
  hand: Hand;
  onHand: (change: Partial<Hand>) => void;
  onAmount: (name: Amounts, text: string) => void;
  onAct: (act: Act) => void;
  onGive: (give: Give) => void;
}

const WAY_WORDS: Record<Way, string> = { pipette: 'pipette', cylinder: 'cylinder', eye: 'by eye' };

/** Where from, and how much of it. */
function GiveVerbs({ number, seen, props }: { number: number; seen: SeenVessel; props: VerbProps }) {
  const { view, labels, hand, amounts, onHand, onAmount, onGive } = props;
  // Tubes and beakers can be poured from, too.
  const others = view.vessels.flatMap((one, i) =>
    isOwn(one) && one.ml > 0 && !one.isAway && i + 1 !== number ? [i + 1] : [],
  );
  const isOther = others.includes(hand.from);
  return (
    <>
      <ChoiceStrip
        label="What it comes from"
        lead="from"
        chosen={isOther ? null : String(hand.from)}
        choices={sourcesOf(view).map((from) => {
          const name = vesselName(view, from);
          return { value: String(from), text: name.replace('bottle ', ''), label: `From ${name}` };
        })}
        onChoose={(from) => onHand({ from: Number(from) })}
      />
      {others.length > 0 && (
        <select
          aria-label="From another vessel"
          className={`${INPUT} h-8 !py-0`}
          value={isOther ? hand.from : ''}
          onChange={(event) => event.target.value !== '' && onHand({ from: Number(event.target.value) })}
        >
          <option value="">or from</option>
          {others.map((from) => (
            <option key={from} value={from}>
              {labelledName(view, from)}
            </option>
          ))}
        </select>
      )}
      <TypedAmount
        verb="Drop in"
        unit="drops"
        text={amounts.drops}
        onText={(text) => onAmount('drops', text)}
        onDo={() => onGive({ amount: 'drops', from: hand.from, to: number })}
      />
      {labels.measures && seen.type !== 'well' && (
        <>
          <TypedAmount
            verb="Put in"
            unit="mL"
            text={amounts.ml}
            onText={(text) => onAmount('ml', text)}
            onDo={() => onGive({ amount: 'ml', from: hand.from, to: number })}
          />
          <ChoiceStrip
            label="Measured with"
            lead=""
            chosen={hand.way}
            choices={WAYS.map((value) => ({ value, text: WAY_WORDS[value], label: `Measured: ${WAY_WORDS[value]}` }))}
            onChoose={(way) => onHand({ way })}
          />
        </>
      )}
    </>
  ); // prettier-ignore
}

function Verb({ children, act, props }: { children: string; act: Act; props: VerbProps }) {
  return (
    <Button type="button" onClick={() => props.onAct(act)}>
      {children}
    </Button>
  );
}

/** Volumes of all bottles that something came from, as readings of this mixture. */
export function volumeActs(view: View, number: number): Act[] {
  const seen = view.vessels[number - 1];
  if (!seen) return [];
  const names = new Set(seen.poured.map(({ from }) => from));
  return view.vessels.flatMap((one, i): Act[] => {
    const which = VOLUME_SLOTS[i];
    return one.type === 'bottle' && which && names.has(vesselName(view, i + 1))
      ? [{ kind: 'recordVolume', trial: seen.trial, vessel: number, which }]
      : [];
  });
}

function LabelVerb({ number, props }: { number: number; props: VerbProps }) {
  return (
    <form
      className="flex items-center gap-1"
      onSubmit={(event) => {
        event.preventDefault();
        // More than any label holds is not sent: the bench says how long one may be.
        props.onAct({ kind: 'name', vessel: number, text: props.amounts.label.slice(0, 100) });
      }}
    >
      <Button>Label</Button>
      <input
        aria-label="What its label says"
        value={props.amounts.label}
        onChange={(event) => props.onAmount('label', event.target.value)}
        className={`${INPUT} !text-heather h-8 w-24`}
        maxLength={60}
      />
    </form>
  );
}

function SenseVerbs({ number, seen, props }: { number: number; seen: SeenVessel; props: VerbProps }) {
  const { view, labels } = props;
  if (seen.ml === 0) return null;
  return (
    <>
      {labels.thermometer && seen.type !== 'well' && view.into.thermometer !== number && (
        <Verb act={{ kind: 'dip', tool: 'thermometer', into: number }} props={props}>Thermometer in</Verb>
      )}
      {labels.probe && seen.type !== 'well' && view.into.probe !== number && (
        <Verb act={{ kind: 'dip', tool: 'probe', into: number }} props={props}>pH probe in</Verb>
      )}
      {labels.paper && <Verb act={{ kind: 'paper', vessel: number }} props={props}>Dip paper in</Verb>}
      <Verb act={{ kind: 'smell', vessel: number }} props={props}>Smell at it</Verb>
    </>
  ); // prettier-ignore
}

function OwnVerbs({ number, seen, props }: { number: number; seen: SeenVessel; props: VerbProps }) {
  const { view, labels, amounts, onAmount, onGive, onAct } = props;
  const volumes = labels.measures ? volumeActs(view, number) : [];
  return (
    <>
      <GiveVerbs number={number} seen={seen} props={props} />
      {seen.ml > 0 && <Verb act={{ kind: 'stir', vessel: number }} props={props}>Stir</Verb>}
      {volumes.length > 0 && seen.type !== 'well' && (
        <Button type="button" onClick={() => volumes.forEach((act) => onAct(act))}>
          Record its volumes, trial {seen.trial}
        </Button>
      )}
      <SenseVerbs number={number} seen={seen} props={props} />
      {labels.slip && seen.ml > 0 && seen.type !== 'well' && (
        <TypedAmount
          verb="Hand over for analysis"
          unit="mL"
          text={amounts.portion}
          onText={(text) => onAmount('portion', text)}
          onDo={() => onGive({ amount: 'portion', from: number, to: number })}
        />
      )}
      {seen.type !== 'well' && <LabelVerb number={number} props={props} />}
      {seen.ml > 0 && <Verb act={{ kind: 'empty', vessel: number }} props={props}>{seen.type === 'well' ? 'Rinse it' : 'Empty it'}</Verb>}
      {seen.type !== 'well' && <Verb act={{ kind: 'away', vessel: number }} props={props}>Back to the tray</Verb>}
    </>
  ); // prettier-ignore
}

function BottleVerbs({ number, seen, props }: { number: number; seen: SeenVessel; props: VerbProps }) {
  const { view, hand, onHand } = props;
  const isTaken = hand.from === number;
  return (
    <>
      <span className="text-ink-soft">{seen.says}</span>
      <Button type="button" aria-pressed={isTaken} onClick={() => onHand({ from: number })}>
        {isTaken ? `What is put in comes from ${vesselName(view, number)}` : 'Take from it'}
      </Button>
      <SenseVerbs number={number} seen={seen} props={props} />
      {seen.type === 'bottle' && <LabelVerb number={number} props={props} />}
      {seen.type === 'bottle' && <Verb act={{ kind: 'more', bottle: number }} props={props}>Have more of it</Verb>}
    </>
  ); // prettier-ignore
}

function ToolVerbs({ tool, props }: { tool: 'thermometer' | 'probe'; props: VerbProps }) {
  const { view, onAct } = props;
  const into = view.into[tool];
  if (into === null) return <span>Drag it into a vessel, or choose a vessel and put it in there.</span>;
  const act = recordTool(tool, view);
  const words = { T0: 'Record as the temperature before', T: 'Record', pH: 'Record the pH' } as const;
  const which = act.kind === 'recordTool' ? act.which : 'T';
  const trial = act.kind === 'recordTool' ? act.trial : 1;
  return (
    <>
      <span>
        in {labelledName(view, into)}: <span className="font-mono">{view.shows[tool]}</span>
        {tool === 'thermometer' && ' °C'}
      </span>
      <Button type="button" look="main" onClick={() => onAct(act)}>
        {words[which]}, trial {trial}
      </Button>
      {which === 'T' && (
        <Verb act={{ kind: 'recordTool', trial, which: 'T0' }} props={props}>Record as the temperature before</Verb>
      )}
      <Verb act={{ kind: 'takeOut', tool }} props={props}>Take it out</Verb>
    </>
  ); // prettier-ignore
}

/** Numbers of the bottles that something came from straight into a vessel; all of them where it is empty by now. */
function bottlesIn(view: View, number: number): number[] {
  const names = new Set(view.vessels[number - 1]?.poured.map(({ from }) => from));
  const all = view.vessels.flatMap(({ type }, i) => (type === 'bottle' ? [i + 1] : []));
  const own = all.filter((bottle) => names.has(vesselName(view, bottle)));
  return own.length > 0 ? own : all;
}

/** Readings of one slip: the portion, and what is left of each bottle that went in. */
export function slipActs(view: View, index: number): Act[] {
  const slip = view.slips[index];
  if (!slip?.left) return [];
  const of = (which: 'p' | (typeof LEFT_SLOTS)[number]): Act => ({
    kind: 'recordSlip',
    trial: slip.trial,
    slip: index + 1,
    which,
  });
  const left = bottlesIn(view, slip.number).flatMap((bottle) => LEFT_SLOTS[bottle - 1] ?? []);
  return [of('p'), ...left.map(of)];
}

function AnalysisVerbs({ props }: { props: VerbProps }) {
  const { view, onAct } = props;
  const [chosen, setChosen] = useState<number | null>(null);
  if (view.slips.length === 0)
    return <span>Nothing has been handed over. Choose a tube or a beaker, and hand over a portion of it.</span>;
  const isKept = (i: number) => view.slips[i] && ownReading(view, view.slips[i].trial, 'p') !== undefined;
  const fresh = view.slips.findIndex(({ left }, i) => left !== null && !isKept(i));
  const at = chosen ?? (fresh >= 0 ? fresh : view.slips.length - 1);
  const slip = view.slips[at];
  return (
    <>
      <select aria-label="Which slip" className={`${INPUT} h-8 !py-0`} value={at} onChange={(event) => setChosen(Number(event.target.value))}>
        {view.slips.map(({ vessel, trial, ml }, i) => (
          <option key={i} value={i}>
            {`${ml} mL of ${vessel}, trial ${trial}`}
          </option>
        ))}
      </select>
      {slip?.left ? (
        <>
          <span className="font-mono" data-testid="slip">
            {slip.left.map((text, i) => `${String.fromCharCode(65 + i)} ${text}`).join('   ')} mmol
          </span>
          <span className="text-ink-soft">
            each ± {(100 * SLIP_PART).toFixed(1)} % and {SLIP_MMOL.toFixed(4)} mmol
          </span>
          <Button
            type="button"
            look="main"
            onClick={() => {
              slipActs(view, at).forEach((act) => onAct(act));
              setChosen(null);
            }}
          >
            Record this slip, trial {slip.trial}
          </Button>
        </>
      ) : (
        <span>This portion is still with the analysis.</span>
      )}
    </>
  ); // prettier-ignore
}

function verbsOf(props: VerbProps): React.ReactNode {
  const { selected, view } = props;
  const number = numberOf(selected);
  const seen = number === null ? undefined : view.vessels[number - 1];
  if (number !== null && seen)
    return isOwn(seen) ? <OwnVerbs number={number} seen={seen} props={props} /> : <BottleVerbs number={number} seen={seen} props={props} />;
  switch (selected) {
    case 'thermometer':
    case 'probe':
      return <ToolVerbs tool={selected} props={props} />;
    case 'analysis':
      return <AnalysisVerbs props={props} />;
    case 'tube':
    case 'beaker':
      return <Verb act={{ kind: 'take', type: selected }} props={props}>Put one on the bench</Verb>;
    case 'plate':
      return <Verb act={{ kind: 'rinsePlate' }} props={props}>Rinse all wells</Verb>;
    default:
      return <span>Drag it into a vessel, or choose a vessel and dip it in there.</span>;
  }
} // prettier-ignore

export function Verbs(props: VerbProps & { closed: boolean }) {
  return (
    <VerbLine name={thingName(props.selected, props.view)} tall>
      {props.closed ? null : verbsOf(props)}
    </VerbLine>
  );
}
