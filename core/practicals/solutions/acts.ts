import { counted, short } from '../../analysis/quantity';
import { BY, PAPER_AT, TOOLS, VESSEL_AT } from './record';
import { z } from 'zod';
import { trialNumber, type CommonAct } from '../common-acts';
import { settledIn } from '../../chemistry/contents';
import { NoEquilibrium } from '../../chemistry/speciation';
import { actsOn, actTable, type ActOf } from '../act-table';
import type { Outcome } from '../contract';
import { refuse } from '../hands';
import { DIPPED, VESSEL_PLACES, type Bench } from './bench';
import { blank, emptyCuvette, fillCuvette, wavelength } from './colorimeter-acts';
import { away, drops, empty, label, measure, more, rinsePlate, stir, take } from './liquid-acts';
import { LEFT_SLOTS, MASS_SLOTS, TOOL_SLOTS, VESSEL_TYPES, VOLUME_SLOTS, SLOTS } from './plan';
import { recordAbsorbance, recordSlip, recordTool, recordVolume } from './reading-acts';
import { filter, placePaper, rinse, setOven, takePaper, throwPaper, wash } from './solids/filter-acts';
import { placeBoat, placeVessel, scoop, tip } from './solids/jar-acts';
import { PAPER_PLACES } from './solids/paper';
import { PAPER_KINDS, PAPER_NAMES } from './solids/paper-kinds';
import { recordMass, tare, weighedAnew } from './solids/weighing';
import { noticed } from './seen-log';
import { dip, handOver, paper, smell, takeOut } from './tool-acts';

const vessel = z.number().int().min(1).max(60);
const paperNumber = z.number().int().min(1).max(24);

const on = actsOn<Bench>();

/** All that is done at this bench: of each act its fields, what it does, and its line in the teacher’s log. */
const ACTS = {
  take: on({ type: z.enum(VESSEL_TYPES) }, take, (act) => `took a clean ${act.type}`),
  away: on({ vessel }, away, (act) => `put vessel ${act.vessel} back`),
  name: on({ vessel, text: z.string().max(400) }, label, (act) =>
    act.text.trim() === ''
      ? `took the label off vessel ${act.vessel}`
      : `wrote “${act.text.trim()}” on vessel ${act.vessel}`,
  ),
  drops: on(
    { from: vessel, to: vessel, drops: z.number() },
    drops,
    (act) => `dropped ${counted(act.drops, 'drop')} of ${act.from} into ${act.to}`,
  ),
  measure: on(
    { from: vessel, to: vessel, ml: z.number(), by: z.enum(['pipette', 'cylinder', 'eye']) },
    measure,
    (act) => `put ${short(act.ml)} mL of ${act.from} into ${act.to}, ${BY[act.by]}`,
  ),
  stir: on({ vessel }, stir, (act) => `stirred vessel ${act.vessel}`),
  empty: on({ vessel }, empty, (act) => `emptied vessel ${act.vessel}`),
  rinsePlate: on({}, rinsePlate, 'rinsed the spot plate'),
  more: on({ bottle: vessel }, more, (act) => `asked for more of bottle ${act.bottle}`),
  dip: on(
    { tool: z.enum(DIPPED), into: vessel },
    dip,
    (act) => `dipped the ${TOOLS[act.tool]} into vessel ${act.into}`,
  ),
  takeOut: on({ tool: z.enum(DIPPED) }, takeOut, (act) => `took the ${TOOLS[act.tool]} out`),
  paper: on({ vessel }, paper, (act) => `dipped indicator paper into vessel ${act.vessel}`),
  smell: on({ vessel }, smell, (act) => `smelled at vessel ${act.vessel}`),
  slip: on(
    { vessel, ml: z.number() },
    handOver,
    (act) => `handed over ${short(act.ml)} mL of vessel ${act.vessel} for analysis`,
  ),
  fillCuvette: on({ vessel }, fillCuvette, (act) => `filled the cuvette from vessel ${act.vessel}`),
  emptyCuvette: on({}, emptyCuvette, 'emptied the cuvette'),
  wavelength: on({ nm: z.number() }, wavelength, (act) => `set the colorimeter to ${short(act.nm)} nm`),
  blank: on({}, blank, 'set the zero of the colorimeter'),
  takePaper: on({ of: z.enum(PAPER_KINDS) }, takePaper, (act) => `took a ${PAPER_NAMES[act.of]}`),
  placePaper: on(
    { paper: paperNumber, at: z.enum(PAPER_PLACES) },
    placePaper,
    (act) => `put paper ${act.paper} ${PAPER_AT[act.at]}`,
  ),
  throwPaper: on({ paper: paperNumber }, throwPaper, (act) => `threw paper ${act.paper} away`),
  filter: on({ from: vessel }, filter, (act) => `filtered vessel ${act.from}`),
  rinse: on(
    { from: vessel, ml: z.number() },
    rinse,
    (act) => `rinsed vessel ${act.from} with ${short(act.ml)} mL of water through the paper`,
  ),
  wash: on({ ml: z.number() }, wash, (act) => `washed the solid with ${short(act.ml)} mL of water`),
  setOven: on({ tempC: z.number() }, setOven, (act) => `set the oven to ${short(act.tempC)} °C`),
  placeVessel: on(
    { vessel, at: z.enum(VESSEL_PLACES) },
    placeVessel,
    (act) => `put vessel ${act.vessel} ${VESSEL_AT[act.at]}`,
  ),
  placeBoat: on({ at: z.enum(['bench', 'pan']) }, placeBoat, (act) => `put the boat ${VESSEL_AT[act.at]}`),
  scoop: on({ g: z.number() }, scoop, (act) => `put ${short(act.g)} g from the jar into the boat`),
  tip: on({ to: vessel }, tip, (act) => `tipped the boat into vessel ${act.to}`),
  tare: on({}, tare, 'set the balance to zero'),
  recordMass: on(
    { trial: trialNumber, which: z.enum(MASS_SLOTS) },
    recordMass,
    (act) => `recorded the ${SLOTS[act.which].label}, trial ${act.trial}`,
  ),
  recordAbsorbance: on(
    { trial: trialNumber },
    recordAbsorbance,
    (act) => `recorded the ${SLOTS.A.label}, trial ${act.trial}`,
  ),
  recordVolume: on(
    { trial: trialNumber, vessel, which: z.enum(VOLUME_SLOTS) },
    recordVolume,
    (act) => `recorded the ${SLOTS[act.which].label}, trial ${act.trial}`,
  ),
  recordTool: on(
    { trial: trialNumber, which: z.enum(TOOL_SLOTS) },
    recordTool,
    (act) => `recorded the ${SLOTS[act.which].label}, trial ${act.trial}`,
  ),
  recordSlip: on(
    { trial: trialNumber, slip: z.number().int().min(1).max(60), which: z.enum(['p', ...LEFT_SLOTS]) },
    recordSlip,
    (act) => `recorded the ${SLOTS[act.which].label}, trial ${act.trial}`,
  ),
};
export type OwnAct = ActOf<typeof ACTS>;

/** All that can be done at this bench. */
export type Act = OwnAct | CommonAct;

const own = actTable<Bench, typeof ACTS>(ACTS);

const NO_REST = 'What would come of this is more than Fen can work out, so nothing was done. Take other amounts.';

/** Brings what an act has changed to rest, as it will be looked at. @throws NoEquilibrium */
function settle(before: Bench, after: Bench): void {
  const all = ({ vessels, papers }: Bench) => [
    ...vessels.map(({ contents }) => contents),
    ...papers.map(({ held }) => held),
  ];
  const known = new Set(all(before));
  for (const contents of all(after)) if (!known.has(contents) && contents.volumeMl > 0) settledIn(contents);
}

/** One act at the bench: what it leaves, or the sentence that says why it cannot be done. */
function perform(bench: Bench, act: OwnAct): Outcome<Bench> {
  try {
    const outcome = own.perform(bench, act);
    if ('refusal' in outcome) return outcome;
    settle(bench, outcome.bench);
    const tells = (act.kind === 'paper' || act.kind === 'smell') && outcome.note;
    const seen = noticed(bench, outcome.bench, tells ? { vessel: act.vessel, text: tells } : undefined);
    return { ...outcome, bench: weighedAnew(bench, seen) };
  } catch (error) {
    if (error instanceof NoEquilibrium) return refuse(NO_REST);
    throw error;
  }
}

export const OWN_ACTS = { ...own, perform };
