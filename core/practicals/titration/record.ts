import { fixed, short } from '../../analysis/quantity';
import { nameById } from '../../databook/names';
import { indicatorOf } from '../../databook/indicators';
import type { Names } from '../common-acts';
import type { BenchRecord } from '../contract';
import type { OwnAct } from './acts';
import type { Bench, KeptReading } from './bench';
import { recordedReadings, type SlotEntry } from '../recordings';
import { SLOTS, type Slot } from './slots';
import { trialsOf } from './trials';

/** What each step is about, for the log. */
const STEPS: Readonly<Record<string, string>> = {
  calibrate: 'calibrating the probe',
  weigh: 'weighing out',
  fill: 'filling the burette',
  tip: 'tipping it in and dissolving it',
  dilute: 'diluting the sample',
  sample: 'bringing the sample into the flask',
  warm: 'warming the flask',
  indicator: 'adding indicator',
  first: 'reading the burette before',
  last: 'titrating and reading again',
  again: 'doing it again',
};

function readingName(which: string): string {
  const slot = SLOTS[which as Slot] as SlotEntry | undefined;
  return slot ? `the ${slot.short || slot.label}` : 'a reading';
}

export const NAMES: Names = {
  reading: (which) => readingName(which),
  step: (key) => `of ${STEPS[key] ?? 'the method'}`,
};

/** An act as a line of the teacher's log. */
export function describe(act: OwnAct): string {
  switch (act.kind) {
    case 'fill':
      return `filled the burette to ${fixed(act.toMl, 2)} mL`;
    case 'pour':
      return act.on ? 'began to pour titrant into the burette' : 'put the titrant bottle down';
    case 'tap':
      return act.opening === 'closed' ? 'closed the tap' : `opened the tap: ${act.opening}`;
    case 'drop':
      return 'let one drop fall';
    case 'partDrop':
      return 'rinsed in part of a drop';
    case 'letIn':
      return `let in ${Number(act.ml.toFixed(3))} mL`;
    case 'wipeTip':
      return 'wiped the tip';
    case 'emptyBurette':
      return 'emptied the burette';
    case 'rinseBurette':
      return `rinsed the burette with ${act.with}`;
    case 'drawSample':
      return 'filled the pipette';
    case 'drainPipette':
      return 'let the pipette run into the flask';
    case 'indicator':
      return `added ${short(act.drops)} × ${nameById(act.id) ?? act.id}`;
    case 'water':
      return `added ${short(act.ml)} mL of water`;
    case 'swirl':
      return 'swirled the flask';
    case 'keepSwirling':
      return act.on ? 'kept swirling' : 'stopped swirling';
    case 'emptyFlask':
      return 'emptied and rinsed the flask';
    case 'record':
      return `read the burette, trial ${act.trial} ${act.which}: ${act.text}`;
    case 'takeFlask':
      return 'took a flask with its portion';
    case 'drainToVolumetric':
      return 'let the pipette run into the volumetric flask';
    case 'makeUp':
      return 'made the volumetric flask up to its mark';
    case 'drawDiluted':
      return 'filled the pipette from the volumetric flask';
    case 'emptyVolumetric':
      return 'emptied the volumetric flask';
    case 'runOut':
      return 'let the tip run full over the waste';
    case 'funnelOut':
      return 'took the funnel out';
    case 'weigh':
      return `weighed out about ${act.g} g`;
    case 'tip':
      return 'tipped the solid into the flask';
    case 'wipeBoat':
      return 'wiped the boat clean';
    case 'recordMass':
      return act.which === 'boat' ? 'recorded the mass on the boat' : 'recorded what is left on the boat';
    case 'warm':
      return 'warmed the flask and cooled it';
    case 'recordMeter':
      return 'recorded what the meter shows';
    case 'probe':
      return act.place === 'stand' ? 'put the probe on its stand' : `put the probe into the ${act.place}`;
    case 'calibrate':
      return 'calibrated the probe';
    case 'log':
      return act.every === 0 ? 'ended the log' : `logged every ${act.every} ${act.by}`;
  }
}

/** What a reading is called in a list of readings of several instruments. */
function titleOf({ which, trial }: KeptReading): string {
  const { instrument, label } = SLOTS[which];
  const name = instrument.startsWith('pH') ? instrument : instrument.replace(/^./, (c) => c.toUpperCase());
  return `${name}${instrument.includes(label) ? '' : `, ${label}`}, trial ${trial}`;
}

/** Everything that a teacher may compare: what was read beside what was there, and what the sample is. */
export function recordOf(bench: Bench, sample: BenchRecord['truth']): BenchRecord {
  const { plan } = bench;
  const { trials } = trialsOf(bench);
  const used = Object.keys(bench.flask.drops).map((id) => indicatorOf(id).name);
  const ofBase = bench.titrantBottle.amounts[bench.stock.titrant.soluteId] ?? 0;
  const taken = (bench.titrantBottle.amounts['carbonic-acid'] ?? 0) / Math.max(ofBase, 1e-12);
  const pipette = {
    label: 'Pipette delivers',
    text: `${fixed(plan.pipetteMl + bench.pipette.errorMl, 3)} mL`,
  };
  const carbonate = { label: 'Base used up by carbon dioxide', text: `${fixed(200 * taken, 1)} %` };
  return {
    readings: recordedReadings(bench.readings, (r) => ({
      label: titleOf(r),
      unit: SLOTS[r.which].unit,
      shown: SLOTS[r.which].instrument === 'burette' ? fixed(r.shown, 2) : r.text,
    })),
    results: trials
      .filter((trial) => trial.counts)
      .map((trial) => `${trial.titre} mL${trial.mass === null ? '' : ` for ${trial.mass} g`}`),
    truth: [
      ...sample,
      ...(plan.bottle && !plan.supplied ? [pipette] : []),
      {
        label: 'Burette, 50 mL read, delivers',
        text: `${fixed(50 * (1 + bench.burette.piece.scaleError), 3)} mL`,
      },
      ...(taken > 0 ? [carbonate] : []),
      ...probeTruth(bench),
      { label: 'Indicator in the flask', text: used.join(', ') || 'none' },
    ],
  };
}

/** What calibration is for: how far this electrode is from a perfect one. */
function probeTruth(bench: Bench): BenchRecord['truth'] {
  if (bench.plan.probe === 'none') return [];
  if (bench.plan.probe === 'conductivity') {
    const { cell, cellFactor } = bench.probe;
    return [
      { label: 'Conductivity cell', text: `shows ${fixed(100 * cell.factor, 1)} % of what is there` },
      { label: 'Calibrated', text: cellFactor === null ? 'not calibrated' : 'in the standard' },
    ];
  }
  const { offsetMv, slope } = bench.probe.piece;
  const points = bench.probe.calibration.map((point) => fixed(point.pH, 2)).join(', ') || 'not calibrated';
  return [
    { label: 'pH probe', text: `${fixed(offsetMv, 1)} mV at pH 7, ${fixed(100 * slope, 1)} % of the slope` },
    { label: 'Calibrated in', text: points },
  ];
}
