import { useState } from 'react';
import { vesselOf } from '@core/databook/vessels';
import { WATER_TAP } from '@core/instruments/pouring';
import type { Act } from '@core/practicals/measuring/acts';
import { slotName, MASS_SLOTS, type MassSlot } from '@core/practicals/measuring/plan';
import { EDGES } from '@core/practicals/measuring/edges';
import type { SeenVessel } from '@core/practicals/measuring/view';
import { VerbLine } from '../bench-parts';
import { Button, INPUT } from '@app/ui/form';
import { ChoiceStrip } from '../choice-strip';
import { LotVerbs } from './lot-verbs';
import { isLot, isNew, isVessel, numberIn, vesselsOnBench, vesselName, typeIn } from './things';
import { dueTrial, type VerbsProps } from './verb-props';
import { VesselVerbs } from './vessel-verbs';

function Select({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: number;
  options: [number, string][];
  onChange: (value: number) => void;
}) {
  return (
    <label className="flex items-center gap-1">
      {label}
      <select
        value={value}
        onChange={(event) => onChange(Number(event.target.value))}
        className={`${INPUT} h-8 max-w-[190px] py-0`}
      >
        {options.map(([number, text]) => (
          <option key={number} value={number}>
            {text}
          </option>
        ))}
      </select>
    </label>
  );
}

/** What the display shows, recorded into the trial that is due or another: such as one whose reading was struck out. */
function RecordMasses({ view, labels, hands }: VerbsProps) {
  const [chosen, setChosen] = useState(0);
  const trials = Array.from({ length: view.recordableTrial }, (_, i): [number, string] => [i + 1, String(i + 1)]);
  const masses = labels.slots.filter((slot): slot is MassSlot => MASS_SLOTS.some((mass) => mass === slot));
  return (
    <>
      {masses.map((slot) => {
        const trial = chosen || dueTrial(view, slot);
        return (
          <Button
            key={slot}
            type="button"
            className="whitespace-nowrap"
            onClick={() => {
              hands.act({ kind: 'recordMass', trial, which: slot });
              setChosen(0);
            }}
          >
            Record {slotName(labels, slot)}, trial {trial}
          </Button>
        );
      })}
      <Select label="into trial" value={chosen} options={[[0, 'that is due'], ...trials]} onChange={setChosen} />
    </>
  );
}

function VerbsFor(props: VerbsProps) {
  const { view, into, hands } = props;
  const { selected } = hands;
  const vessels = vesselsOnBench(view);
  const verb = (label: string, act: Act) => (
    <Button key={label} type="button" onClick={() => hands.act(act)} className="whitespace-nowrap">
      {label}
    </Button>
  );
  const target = (label: string, except: number | null, which = (_: SeenVessel) => true) => {
    const options = vessels
      .filter((vessel) => vessel.number !== except && which(vessel))
      .map((vessel): [number, string] => [vessel.number, vesselName(vessel)]);
    return <Select label={label} value={into} options={options} onChange={props.onInto} />;
  };
  const open = (vessel: SeenVessel) => vessel.type !== 'supply';

  const fromAndInto = (
    <>
      <Select
        label="From"
        value={props.from}
        options={vessels.map((vessel) => [vessel.number, vesselName(vessel)])}
        onChange={props.onFrom}
      />
      {target('into', props.from)}
    </>
  );

  if (isVessel(selected)) {
    const vessel = view.vessels[numberIn(selected) - 1];
    if (!vessel || vessel.away) return null;
    return <VesselVerbs vessel={vessel} props={props} verb={verb} target={target} />;
  }
  if (isLot(selected)) {
    const lot = view.lots[numberIn(selected) - 1];
    return lot ? <LotVerbs lot={lot} number={numberIn(selected)} props={props} verb={verb} target={target} /> : null;
  }
  if (isNew(selected)) {
    const type = typeIn(selected);
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
            onChoose={(opening) => hands.act({ kind: 'tap', into: opening === 'off' ? at : into, opening })}
          />
        </>
      );
    }
    case 'wash':
      return (
        <>
          {target('Into', null, open)}
          {hands.amounts.field('squirt')}
        </>
      );
    case 'balance':
      return (
        <>
          {verb('Tare', { kind: 'tare' })}
          {verb('Take all off', { kind: 'offPan' })}
          {view.pan.wet && verb('Wipe the pan', { kind: 'wipePan' })}
          <RecordMasses {...props} />
          <span className="text-ink-soft">
            It shows {view.balance} {view.balance === 'overload' ? '' : 'g'}.
          </span>
        </>
      );
    case 'dropper':
      return (
        <>
          {fromAndInto}
          {hands.amounts.field('drops')}
        </>
      );
    case 'pipette':
      return (
        <>
          {fromAndInto}
          {verb('10 mL', { kind: 'pipette', with: 'volumetric 10', from: props.from, to: into, ml: 10 })}
          {verb('25 mL', { kind: 'pipette', with: 'volumetric 25', from: props.from, to: into, ml: 25 })}
          {hands.amounts.field('pipette')}
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
          {lot &&
            EDGES[lot.shape].map((along) =>
              verb(`Measure ${along}`, { kind: 'measure', lot: number, tool: selected, along }),
            )}
          {selected === 'calliper' && verb('Close the jaws on nothing', { kind: 'closeJaws' })}
          {view.held && (
            <span className="text-ink-soft">
              {view.held.along === 'zero'
                ? 'Its jaws are closed.'
                : `It holds the ${view.held.along} of ${view.lots[view.held.lot]?.letter}.`}
            </span>
          )}
        </>
      );
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

/** One line above the tray: the verbs of what is selected. */
export function Verbs(props: VerbsProps) {
  return (
    <VerbLine name={props.hands.nameOf(props.hands.selected)} tall>
      <VerbsFor {...props} />
    </VerbLine>
  );
}
