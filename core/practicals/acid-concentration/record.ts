import { fixed, significant } from '../../analysis/quantity';
import { indicatorOf } from '../../databook/indicators';
import { soluteOf } from '../../databook/solutes';
import type { BenchRecord } from '../contract';
import type { Act } from './acts';
import type { Bench } from './bench';
import { trialsOf } from './trials';

/** An act as a line of the teacher's log. */
// prettier-ignore
export function describe(act: Act): string {
  switch (act.kind) {
    case 'fill': return `filled the burette to ${fixed(act.toMl, 2)} mL`;
    case 'pour': return act.on ? 'began to pour titrant into the burette' : 'put the titrant bottle down';
    case 'tap': return act.opening === 'closed' ? 'closed the tap' : `opened the tap: ${act.opening}`;
    case 'drop': return 'let one drop fall';
    case 'partDrop': return 'rinsed in part of a drop';
    case 'letIn': return `let in ${act.ml} mL`;
    case 'wipeTip': return 'wiped the tip';
    case 'emptyBurette': return 'emptied the burette';
    case 'rinseBurette': return `rinsed the burette with ${act.with}`;
    case 'drawSample': return 'filled the pipette with sample';
    case 'drainPipette': return 'let the pipette run into the flask';
    case 'indicator': return `added ${act.drops} × ${act.id.replaceAll('-', ' ')}`;
    case 'water': return `added ${act.ml} mL of water`;
    case 'swirl': return 'swirled the flask';
    case 'keepSwirling': return act.on ? 'kept swirling' : 'stopped swirling';
    case 'emptyFlask': return 'emptied and rinsed the flask';
    case 'record': return `read the burette, trial ${act.trial} ${act.which}: ${act.text}`;
    case 'recordPh': return 'recorded the pH';
    case 'probe': return act.place === 'stand' ? 'put the pH probe on its stand' : `put the pH probe into the ${act.place}`;
    case 'calibrate': return 'calibrated the pH probe';
    case 'log': return act.every === 0 ? 'ended the log' : `logged the pH every ${act.every} ${act.by}`;
    case 'strike': return `struck out trial ${act.trial} ${act.which}: ${act.reason}`;
    case 'count': return act.counts ? `counts trial ${act.trial}` : `leaves trial ${act.trial} out: ${act.reason}`;
    case 'tick': return act.on ? `ticked the step “${act.step}”` : `unticked the step “${act.step}”`;
    case 'clock': return act.stopped ? 'stopped the bench clock' : 'started the bench clock';
    case 'wait': return 'watched';
  }
}

/** Everything that a teacher may compare: what was read beside what was there. */
export function recordOf(bench: Bench): BenchRecord {
  const { trials } = trialsOf(bench);
  const [soluteId, amount] = Object.entries(bench.sampleBottle.amounts)[0] ?? ['', 0];
  const molPerL = (1000 * amount) / bench.sampleBottle.volumeMl;
  const used = Object.keys(bench.flask.drops).map((id) => indicatorOf(id).name);
  return {
    readings: bench.readings.map((r) => ({
      label: r.which === 'pH' ? `pH meter, trial ${r.trial}` : `Burette, trial ${r.trial}, ${r.which}`,
      text: r.text,
      unit: r.which === 'pH' ? '' : 'mL',
      shown: r.which === 'pH' ? r.text : fixed(r.shownMl, 2),
      digitsNote: r.digitsNote,
      struck: r.struck,
      atS: r.atS,
    })),
    results: trials.filter((trial) => trial.counts).map((trial) => `${trial.titre} mL`),
    truth: [
      { label: 'Acid', text: soluteOf(soluteId).name },
      { label: 'Concentration', text: `${significant(molPerL, 4)} ${bench.setup.unit}` },
      {
        label: 'Pipette delivers',
        text: `${fixed(Number(bench.setup.pipetteMl) + bench.pipette.errorMl, 3)} mL`,
      },
      {
        label: 'Burette, 50 mL read, delivers',
        text: `${fixed(50 * (1 + bench.burette.piece.scaleError), 3)} mL`,
      },
      ...probeTruth(bench),
      { label: 'Indicator in the flask', text: used.join(', ') || 'none' },
    ],
  };
}

/** What calibration is for: how far this electrode is from a perfect one. */
function probeTruth(bench: Bench): BenchRecord['truth'] {
  if (!bench.setup.probe) return [];
  const { offsetMv, slope } = bench.probe.piece;
  const points = bench.probe.calibration.map((point) => fixed(point.pH, 2)).join(', ') || 'not calibrated';
  return [
    { label: 'pH probe', text: `${fixed(offsetMv, 1)} mV at pH 7, ${fixed(100 * slope, 1)} % of the slope` },
    { label: 'Calibrated in', text: points },
  ];
}
