import { fixed } from '../../analysis/quantity';
import { indicatorOf } from '../../databook/indicators';
import type { Names } from '../common-acts';
import type { BenchRecord } from '../contract';
import type { Bench, KeptReading } from './bench';
import { recordedReadings, type SlotEntry } from '../recordings';
import { SLOTS, type Slot } from './slots';
import { trialsOf } from './trials';

function readingName(which: string): string {
  const slot = SLOTS[which as Slot] as SlotEntry | undefined;
  return slot ? `the ${slot.short || slot.label}` : 'a reading';
}

export const NAMES: Pick<Names, 'reading'> = { reading: (which) => readingName(which) };

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
