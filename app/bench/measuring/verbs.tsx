import { vesselOf } from '@core/databook/vessels';
import { WATER_TAP } from '@core/instruments/pouring';
import type { Act } from '@core/practicals/measuring/acts';
import { slotName, MASS_SLOTS, type MassSlot, type Plan } from '@core/practicals/measuring/plan';
import type { Along } from '@core/practicals/measuring/sample';
import type { SeenLot, SeenVessel, View } from '@core/practicals/measuring/view';
import { readingFor } from '@core/notebook/readings';
import { VerbLine } from '../bench-parts';
import { Button, INPUT } from '@app/ui/form';
import { ChoiceStrip } from '../titration/choice-strip';
import { TypedAmount } from '../typed-amount';
import { isLot, isNew, isVessel, numberIn, standing, thingName, vesselName, type Thing } from './things';
import { TiltStrip } from './tilt-strip';

/** Amounts as typed, kept while other things are selected. */
export interface Amounts {
  pour: string;
  drops: string;
  pieces: string;
  pipette: string;
  squirt: string;
  label: string;
}
export const FIRST_AMOUNTS: Amounts = {
  pour: '10',
  drops: '1',
  pieces: '1',
  pipette: '5.0',
  squirt: '2',
  label: '',
};

export interface VerbsProps {
  selected: Thing;
  view: View;
  labels: Plan;
  /** The vessel that is poured, lowered or dropped into. */
  into: number;
  onInto: (number: number) => void;
  /** Lot that the tools measure. */
  lot: number;
  onLot: (lot: number) => void;
  amounts: Amounts;
  onAmount: (name: keyof Amounts, text: string) => void;
  onAct: (act: Act) => void;
  onAmountAct: (name: keyof Amounts, unit: string, act: (value: number) => Act) => void;
}

/** The row that a reading of a slot goes into: the last one while it has none there, a new one otherwise. */
export const dueRow = (view: View, slot: string): number =>
  readingFor(view, view.trial, slot) === undefined ? view.trial : view.trial + 1;

/** The edges that a shape has. */
export const EDGES: Record<string, Along[]> = {
  block: ['length', 'width', 'height'],
  cylinder: ['diameter', 'height'],
  sphere: ['diameter'],
};

function Select({ label, value, options, onChange }: { label: string; value: number; options: [number, string][]; onChange: (value: number) => void }) {
  return (
    <label className="flex items-center gap-1">
      {label}
      <select value={value} onChange={(event) => onChange(Number(event.target.value))} className={`${INPUT} h-8 max-w-[190px] py-0`}>
        {options.map(([number, text]) => (
          <option key={number} value={number}>
            {text}
          </option>
        ))}
      </select>
    </label>
  );
} // prettier-ignore

function VerbsFor(props: VerbsProps) {
  const { selected, view, labels, into, onAct } = props;
  const vessels = standing(view);
  const verb = (label: string, act: Act) => (
    <Button key={label} type="button" onClick={() => onAct(act)} className="whitespace-nowrap">
      {label}
    </Button>
  );
  const target = (label: string, except: number | null, which = (_: SeenVessel) => true) => {
    const options = vessels
      .filter((vessel) => vessel.number !== except && which(vessel))
      .map((vessel): [number, string] => [vessel.number, vesselName(vessel)]);
    return <Select label={label} value={into} options={options} onChange={props.onInto} />;
  };
  const amount = (name: keyof Amounts, text: string, unit: string, act: (value: number) => Act) => (
    <TypedAmount
      verb={text}
      unit={unit}
      text={props.amounts[name]}
      onText={(next) => props.onAmount(name, next)}
      onDo={() => props.onAmountAct(name, unit, act)}
    />
  );
  const open = (vessel: SeenVessel) => vessel.type !== 'supply';

  const fromAndInto = (
    <>
      <Select
        label="From"
        value={props.lot}
        options={vessels.map((vessel) => [vessel.number, vesselName(vessel)])}
        onChange={props.onLot}
      />
      {target('into', props.lot)}
    </>
  );

  if (isVessel(selected)) {
    const vessel = view.vessels[numberIn(selected) - 1];
    if (!vessel || vessel.away) return null;
    return <VesselVerbs vessel={vessel} props={props} verb={verb} target={target} amount={amount} />;
  }
  if (isLot(selected)) {
    const lot = view.lots[numberIn(selected) - 1];
    return lot ? (
      <LotVerbs lot={lot} number={numberIn(selected)} props={props} verb={verb} target={target} />
    ) : null;
  }
  if (isNew(selected)) {
    const type = selected.slice(4);
    const { capacityMl, divisionMl } = vesselOf(type);
    return (
      <>
        {verb('Take one', { kind: 'take', type })}
        <span className="text-ink-soft">
          {divisionMl === null
            ? `Holds ${capacityMl} mL when it is full.`
            : `Divided in ${divisionMl} mL, up to ${capacityMl} mL.`}
        </span>
      </>
    );
  }
  switch (selected) {
    case 'tap': {
      const under = vessels.find((vessel) => vessel.tap !== 'off');
      const at = under?.number ?? into;
      return (
        <>
          {target('Under it', null, open)}
          <ChoiceStrip
            label="Tap"
            lead="tap"
            chosen={under?.tap ?? 'off'}
            choices={WATER_TAP.map((opening) => ({ value: opening, text: opening, label: `Tap ${opening}` }))}
            onChoose={(opening) => onAct({ kind: 'tap', into: opening === 'off' ? at : into, opening })}
          />
        </>
      );
    }
    case 'wash':
      return (
        <>
          {target('Into', null, open)}
          {amount('squirt', 'Give water', 'mL', (ml) => ({ kind: 'squirt', into, ml }))}
        </>
      );
    case 'balance':
      return (
        <>
          {verb('Tare', { kind: 'tare' })}
          {verb('Take all off', { kind: 'offPan' })}
          {view.pan.wet && verb('Wipe the pan', { kind: 'wipePan' })}
          {labels.slots
            .filter((slot): slot is MassSlot => MASS_SLOTS.some((mass) => mass === slot))
            .map((slot) =>
              verb(`Record ${slotName(labels, slot)}, trial ${dueRow(view, slot)}`, {
                kind: 'recordMass',
                trial: dueRow(view, slot),
                which: slot,
              }),
            )}
          <span className="text-ink-soft">
            It shows {view.balance} {view.balance === 'overload' ? '' : 'g'}.
          </span>
        </>
      );
    case 'dropper':
      return (
        <>
          {fromAndInto}
          {amount('drops', 'Give', 'drops', (drops) => ({ kind: 'drops', from: props.lot, to: into, drops }))}
        </>
      );
    case 'pipette':
      return (
        <>
          {fromAndInto}
          {verb('10 mL', { kind: 'pipette', with: 'volumetric 10', from: props.lot, to: into, ml: 10 })}
          {verb('25 mL', { kind: 'pipette', with: 'volumetric 25', from: props.lot, to: into, ml: 25 })}
          {amount('pipette', 'Graduated', 'mL', (ml) => ({
            kind: 'pipette',
            with: 'graduated',
            from: props.lot,
            to: into,
            ml,
          }))}
        </>
      );
    case 'ruler':
    case 'calliper': {
      const number = Math.min(Math.max(props.lot, 1), Math.max(view.lots.length, 1));
      const lot = view.lots[number - 1];
      return (
        <>
          <Select
            label="Piece"
            value={number}
            options={view.lots.map((one, i) => [i + 1, one.letter])}
            onChange={props.onLot}
          />
          {lot && (EDGES[lot.shape] ?? []).map((along) => verb(`Measure ${along}`, { kind: 'measure', lot: number, tool: selected, along }))}
          {view.held && <span className="text-ink-soft">It holds the {view.held.along} of {view.lots[view.held.lot]?.letter}.</span>}
        </>
      ); // prettier-ignore
    }
    case 'thermometer':
      return verb('Look at it', { kind: 'look', at: 'thermometer', n: 0 });
    case 'sinker':
      return view.sinkerAt === null ? (
        <>
          {target('Into', null, open)}
          {verb('Lower it', { kind: 'sinker', vessel: into, on: true })}
        </>
      ) : (
        verb('Take it out', { kind: 'sinker', vessel: view.sinkerAt, on: false })
      );
    default:
      return null;
  }
}

interface PartProps {
  props: VerbsProps;
  verb: (label: string, act: Act) => React.ReactNode;
  target: (label: string, except: number | null, which?: (vessel: SeenVessel) => boolean) => React.ReactNode;
}

function VesselVerbs({
  vessel,
  props,
  verb,
  target,
  amount,
}: PartProps & {
  vessel: SeenVessel;
  amount: (name: keyof Amounts, text: string, unit: string, act: (value: number) => Act) => React.ReactNode;
}) {
  const { number } = vessel;
  const { view, into, onAct, labels } = props;
  const isSupply = vessel.type === 'supply';
  const onPan = view.pan.vessel === number;
  return (
    <>
      {(!vessel.empty || vessel.tilt !== null) && !onPan && (
        <>
          {target('Pour into', number)}
          <TiltStrip
            degrees={vessel.tilt?.degrees ?? 0}
            onTilt={(degrees) => onAct({ kind: 'tilt', from: number, to: vessel.tilt?.to ?? into, degrees })}
          />
          {amount('pour', 'Pour', 'mL', (ml) => ({ kind: 'pour', from: number, to: into, ml }))}
          {amount('drops', 'By dropper', 'drops', (drops) => ({
            kind: 'drops',
            from: number,
            to: into,
            drops,
          }))}
        </>
      )}
      {labels.balance && !onPan && verb('Weigh', { kind: 'weigh', vessel: number })}
      {onPan && verb('Take it off the balance', { kind: 'offPan' })}
      {!isSupply && verb('Look at its scale', { kind: 'look', at: 'vessel', n: number })}
      {vessel.type === 'density-bottle' &&
        verb(vessel.stoppered ? 'Take the stopper out' : 'Put the stopper in', {
          kind: 'stopper',
          vessel: number,
          on: !vessel.stoppered,
        })}
      {vessel.lying.length > 0 && verb('Take the pieces out', { kind: 'fish', vessel: number })}
      {vessel.lying.length > 0 && verb('Knock at it', { kind: 'knock', vessel: number })}
      {!isSupply && !vessel.empty && verb('Empty it', { kind: 'empty', vessel: number })}
      {!isSupply &&
        vessel.wet &&
        (vessel.empty || vessel.stoppered) &&
        verb('Dry it', { kind: 'dry', vessel: number })}
      {!isSupply && !onPan && verb('Back to the tray', { kind: 'away', vessel: number })}
      {!isSupply && (
        <form
          className="flex items-center gap-1"
          onSubmit={(event) => {
            event.preventDefault();
            onAct({ kind: 'name', vessel: number, text: props.amounts.label });
          }}
        >
          <Button>Label</Button>
          <input
            aria-label="What its label says"
            value={props.amounts.label}
            onChange={(event) => props.onAmount('label', event.target.value)}
            className={`${INPUT} h-8 w-24`}
            maxLength={30}
          />
        </form>
      )}
    </>
  );
}

function LotVerbs({ lot, number, props, verb, target }: PartProps & { lot: SeenLot; number: number }) {
  const { view, into, labels, amounts, onAmount, onAmountAct } = props;
  const many = lot.pieces > 1;
  const hasVessels = standing(view).some((vessel) => vessel.type !== 'supply');
  /** With several pieces each verb takes the count that is typed. */
  const counted = (text: string, act: (count: number) => Act) =>
    many ? (
      <Button key={text} type="button" onClick={() => onAmountAct('pieces', 'pieces', act)} className="whitespace-nowrap">
        {text}
      </Button>
    ) : (
      verb(text, act(1))
    ); // prettier-ignore
  return (
    <>
      {many && (
        <label className="flex items-center gap-1">
          Pieces
          <input
            value={amounts.pieces}
            onChange={(event) => onAmount('pieces', event.target.value)}
            onFocus={(event) => event.target.select()}
            className={`${INPUT} h-8 w-14 text-right font-mono`}
            inputMode="numeric"
            maxLength={6}
          />
        </label>
      )}
      {labels.balance && counted('Weigh', (count) => ({ kind: 'weighPieces', lot: number, count }))}
      {hasVessels && (
        <>
          {target('Into', null, (vessel) => vessel.type !== 'supply')}
          {counted('Lower in', (count) => ({ kind: 'put', lot: number, count, into, how: 'lower' }))}
          {counted('Drop in', (count) => ({ kind: 'put', lot: number, count, into, how: 'drop' }))}
          {labels.sinker &&
            view.sinkerAt !== null &&
            counted('Tie under the sinker', (count) => ({
              kind: 'put',
              lot: number,
              count,
              into: view.sinkerAt ?? into,
              how: 'tied',
            }))}
        </>
      )}
      {lot.wet && verb('Dry', { kind: 'dryPieces', lot: number })}
      {labels.tools.map((tool) =>
        (EDGES[lot.shape] ?? []).map((along) => (
          <Button
            key={`${tool} ${along}`}
            type="button"
            onClick={() => props.onAct({ kind: 'measure', lot: number, tool, along })}
            className="whitespace-nowrap"
          >
            {along}: {tool}
          </Button>
        )),
      )}
    </>
  );
}

/** One line above the tray: the verbs of what is selected. */
export function Verbs(props: VerbsProps) {
  return (
    <VerbLine name={thingName(props.selected, props.view)} tall>
      <VerbsFor {...props} />
    </VerbLine>
  );
}
