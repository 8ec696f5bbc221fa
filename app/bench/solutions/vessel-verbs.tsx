import { useState } from 'react';
import type { Act } from '@core/practicals/solutions/acts';
import type { SeenVessel } from '@core/practicals/solutions/view';
import { Button, INPUT } from '@app/ui/form';
import { ChoiceStrip } from '../choice-strip';
import { WAYS, type Way } from './moves';
import { PlaceVerbs } from './station-verbs';
import { volumeActs } from './record-acts';
import { isOwn, labelledName, sourcesOf, vesselName } from './things';
import { Verb, type VerbProps } from './verb-props';

/** What can be done with a vessel of one's own, and with a bottle. */

const WAY_WORDS: Record<Way, string> = { pipette: 'pipette', cylinder: 'cylinder', eye: 'by eye' };

const SENSES = [
  { value: 'thermometer', text: 'thermometer', label: 'Thermometer in' },
  { value: 'probe', text: 'pH', label: 'pH probe in' },
  { value: 'cell', text: 'conductivity', label: 'Conductivity cell in' },
  { value: 'cuvette', text: 'cuvette', label: 'Fill the cuvette' },
  { value: 'paper', text: 'paper', label: 'Dip paper in' },
  { value: 'nose', text: 'nose', label: 'Smell at it' },
] as const;
type Sense = (typeof SENSES)[number]['value'];

/** Where from, and how much of it. */
function GiveVerbs({ number, seen, props }: { number: number; seen: SeenVessel; props: VerbProps }) {
  const { view, labels, hand, hands, onHand } = props;
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
      {hands.amounts.field('drops')}
      {labels.measures && seen.type !== 'well' && (
        <>
          {hands.amounts.field('ml')}
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
  );
}

function LabelVerb({ number, props }: { number: number; props: VerbProps }) {
  const [label, setLabel] = useState('');
  return (
    <form
      className="flex items-center gap-1"
      onSubmit={(event) => {
        event.preventDefault();
        // More than any label holds is not sent: the bench says how long one may be.
        props.hands.act({ kind: 'name', vessel: number, text: label.slice(0, 100) });
      }}
    >
      <Button>Label</Button>
      <input
        aria-label="What its label says"
        value={label}
        onChange={(event) => setLabel(event.target.value)}
        className={`${INPUT} !text-heather h-8 w-24`}
        maxLength={60}
      />
    </form>
  );
}

/** What looks into a vessel: each a press away, with its own name for who does not see it. */
function SenseVerbs({ number, seen, props }: { number: number; seen: SeenVessel; props: VerbProps }) {
  const { view, labels, hands } = props;
  if (seen.ml === 0) return null;
  const isDeep = seen.type !== 'well';
  const acts: Record<Sense, Act> = {
    thermometer: { kind: 'dip', tool: 'thermometer', into: number },
    probe: { kind: 'dip', tool: 'probe', into: number },
    cell: { kind: 'dip', tool: 'cell', into: number },
    cuvette: { kind: 'fillCuvette', vessel: number },
    paper: { kind: 'paper', vessel: number },
    nose: { kind: 'smell', vessel: number },
  };
  const here: Record<Sense, boolean> = {
    thermometer: labels.thermometer && isDeep,
    probe: labels.probe && isDeep,
    cell: labels.cell && isDeep,
    cuvette: labels.colorimeter && isDeep,
    paper: labels.paper,
    nose: true,
  };
  const inside = (['thermometer', 'probe', 'cell'] as const).find((tool) => view.into[tool] === number);
  return (
    <ChoiceStrip
      label="What looks into it"
      lead="into it"
      chosen={inside ?? null}
      choices={SENSES.filter(({ value }) => here[value])}
      onChoose={(sense) => hands.act(acts[sense])}
    />
  );
}

export function OwnVerbs({ number, seen, props }: { number: number; seen: SeenVessel; props: VerbProps }) {
  const { view, labels, hands } = props;
  const volumes = labels.measures ? volumeActs(view, number) : [];
  return (
    <>
      <GiveVerbs number={number} seen={seen} props={props} />
      {seen.ml > 0 && (
        <Verb act={{ kind: 'stir', vessel: number }} props={props}>
          Stir
        </Verb>
      )}
      {volumes.length > 0 && seen.type !== 'well' && (
        <Button type="button" onClick={() => volumes.forEach((act) => hands.act(act))}>
          Record volumes, trial {seen.trial}
        </Button>
      )}
      <PlaceVerbs number={number} seen={seen} props={props} />
      <SenseVerbs number={number} seen={seen} props={props} />
      {labels.slip && seen.ml > 0 && seen.type !== 'well' && hands.amounts.field('portion')}
      {seen.type !== 'well' && <LabelVerb number={number} props={props} />}
      {seen.ml > 0 && (
        <Verb act={{ kind: 'empty', vessel: number }} props={props}>
          {seen.type === 'well' ? 'Rinse it' : 'Empty it'}
        </Verb>
      )}
      {seen.type !== 'well' && (
        <Verb act={{ kind: 'away', vessel: number }} props={props}>
          Back to the tray
        </Verb>
      )}
    </>
  );
}

export function BottleVerbs({ number, seen, props }: { number: number; seen: SeenVessel; props: VerbProps }) {
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
      {seen.type === 'bottle' && (
        <Verb act={{ kind: 'more', bottle: number }} props={props}>
          Have more of it
        </Verb>
      )}
    </>
  );
}
