import { counted, fixed, short } from '../../analysis/quantity';
import type { Names } from '../common-acts';
import type { BenchRecord } from '../contract';
import { recordedReadings, type SlotEntry } from '../recordings';
import type { OwnAct } from './acts';
import type { Bench } from './bench';
import { LETTERS, SLOTS, type Slot } from './plan';
import { PAPER_NAMES } from './solids/paper';

const entryOf = (slot: string): SlotEntry | undefined => SLOTS[slot as Slot] as SlotEntry | undefined;

export const NAMES: Names = {
  reading: (which) => `the ${entryOf(which)?.label ?? 'reading'}`,
  step: (key) =>
    ({
      mix: 'to put solutions together',
      which: 'to find which react',
      series: 'of the series',
      left: 'of what is left',
      paper: 'of the dry paper',
      digest: 'to let the solid ripen',
      filter: 'to filter and to wash',
      dry: 'to dry and to weigh',
      again: 'to dry to constant mass',
      vessel: 'of the vessel with the acid',
      boat: 'of the boat',
      gas: 'of the gas that left',
      more: 'of growing amounts',
    })[key] ?? 'of the method',
};

const BY = { pipette: 'with the pipette', cylinder: 'with the cylinder', eye: 'by eye' } as const;

const TOOLS = { probe: 'pH probe', thermometer: 'thermometer', cell: 'conductivity cell' } as const;

const PAPER_AT = {
  mat: 'aside',
  funnel: 'into the funnel',
  pan: 'on the balance',
  oven: 'into the oven',
  desiccator: 'into the desiccator',
} as const;
const VESSEL_AT = {
  bench: 'on the bench',
  plate: 'on the hot plate',
  pan: 'on the balance',
  funnel: 'under the funnel',
} as const;

/** An act as a line of the teacher's log: vessels by their number, bottles first. */
export function describe(act: OwnAct): string {
  switch (act.kind) {
    case 'take':
      return `took a clean ${act.type}`;
    case 'away':
      return `put vessel ${act.vessel} back`;
    case 'name':
      return act.text.trim() === ''
        ? `took the label off vessel ${act.vessel}`
        : `wrote “${act.text.trim()}” on vessel ${act.vessel}`;
    case 'drops':
      return `dropped ${counted(act.drops, 'drop')} of ${act.from} into ${act.to}`;
    case 'measure':
      return `put ${short(act.ml)} mL of ${act.from} into ${act.to}, ${BY[act.by]}`;
    case 'stir':
      return `stirred vessel ${act.vessel}`;
    case 'empty':
      return `emptied vessel ${act.vessel}`;
    case 'rinsePlate':
      return 'rinsed the spot plate';
    case 'more':
      return `asked for more of bottle ${act.bottle}`;
    case 'dip':
      return `dipped the ${TOOLS[act.tool]} into vessel ${act.into}`;
    case 'takeOut':
      return `took the ${TOOLS[act.tool]} out`;
    case 'paper':
      return `dipped indicator paper into vessel ${act.vessel}`;
    case 'smell':
      return `smelled at vessel ${act.vessel}`;
    case 'slip':
      return `handed over ${short(act.ml)} mL of vessel ${act.vessel} for analysis`;
    case 'fillCuvette':
      return `filled the cuvette from vessel ${act.vessel}`;
    case 'emptyCuvette':
      return 'emptied the cuvette';
    case 'wavelength':
      return `set the colorimeter to ${short(act.nm)} nm`;
    case 'blank':
      return 'set the zero of the colorimeter';
    case 'takePaper':
      return `took a ${PAPER_NAMES[act.of]}`;
    case 'placePaper':
      return `put paper ${act.paper} ${PAPER_AT[act.at]}`;
    case 'throwPaper':
      return `threw paper ${act.paper} away`;
    case 'filter':
      return `filtered vessel ${act.from}`;
    case 'rinse':
      return `rinsed vessel ${act.from} with ${short(act.ml)} mL of water through the paper`;
    case 'wash':
      return `washed the solid with ${short(act.ml)} mL of water`;
    case 'setOven':
      return `set the oven to ${short(act.tempC)} °C`;
    case 'placeVessel':
      return `put vessel ${act.vessel} ${VESSEL_AT[act.at]}`;
    case 'placeBoat':
      return `put the boat ${VESSEL_AT[act.at]}`;
    case 'scoop':
      return `put ${short(act.g)} g from the jar into the boat`;
    case 'tip':
      return `tipped the boat into vessel ${act.to}`;
    case 'tare':
      return 'set the balance to zero';
    case 'recordMass':
      return `recorded the ${SLOTS[act.which].label}, trial ${act.trial}`;
    case 'recordAbsorbance':
      return `recorded the ${SLOTS.A.label}, trial ${act.trial}`;
    case 'recordVolume':
    case 'recordTool':
    case 'recordSlip':
      return `recorded the ${SLOTS[act.which].label}, trial ${act.trial}`;
  }
}

/** Which number in the log is which vessel. */
function numbersOf({ vessels, sample: { bottles }, plan }: Bench): string {
  const last = LETTERS[bottles.length - 1] ?? '';
  const wells = vessels.filter(({ type }) => type === 'well').length;
  const first = bottles.length + 2;
  return [
    `1 to ${bottles.length} bottles A to ${last}`,
    `${bottles.length + 1} water`,
    ...(wells > 0 ? [`${first} to ${first + wells - 1} wells 1 to ${wells}`] : []),
    ...(plan.vessels.length > 0 ? [`from ${first + wells} on what was taken from the tray`] : []),
  ].join(', ');
}

/** Everything that a teacher may compare: what was read beside what was there, and what the sample is. */
export const recordOf = (bench: Bench, sample: BenchRecord['truth'], results: readonly string[]): BenchRecord => ({
  readings: recordedReadings(bench.readings, (r) => ({
    label: `${SLOTS[r.which].label}, trial ${r.trial}`.replace(/^./, (c) => c.toUpperCase()),
    unit: SLOTS[r.which].unit,
    shown: fixed(r.shown, 4),
  })),
  results: [...results],
  truth: [
    ...sample,
    { label: 'Vessels by their numbers', text: numbersOf(bench) },
    ...(bench.mores > 0 ? [{ label: 'Asked for more of a bottle', text: counted(bench.mores, 'time') }] : []),
  ],
});
