import { z } from 'zod';
import { trialNumber, type CommonAct } from '../common-acts';
import { settledIn } from '../../chemistry/contents';
import { NoEquilibrium } from '../../chemistry/speciation';
import type { Outcome } from '../contract';
import { refuse } from '../hands';
import { DIPPED, VESSEL_PLACES, type Bench } from './bench';
import { blank, emptyCuvette, fillCuvette, wavelength } from './colorimeter-acts';
import { away, drops, empty, label, measure, more, rinsePlate, stir, take } from './liquid-acts';
import { LEFT_SLOTS, MASS_SLOTS, TOOL_SLOTS, VESSEL_TYPES, VOLUME_SLOTS } from './plan';
import { recordAbsorbance, recordSlip, recordTool, recordVolume } from './reading-acts';
import { filter, placePaper, rinse, setOven, takePaper, throwPaper, wash } from './solids/filter-acts';
import { placeBoat, placeVessel, scoop, tip } from './solids/jar-acts';
import { PAPER_KINDS, PAPER_PLACES } from './solids/paper';
import { recordMass, tare, weighedAnew } from './solids/weighing';
import { dip, handOver, paper, smell, takeOut } from './tool-acts';

const vessel = z.number().int().min(1).max(60);
const paperNumber = z.number().int().min(1).max(24);

export const actSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('take'), type: z.enum(VESSEL_TYPES) }),
  z.object({ kind: z.literal('away'), vessel }),
  z.object({ kind: z.literal('name'), vessel, text: z.string().max(400) }),
  z.object({ kind: z.literal('drops'), from: vessel, to: vessel, drops: z.number() }),
  z.object({
    kind: z.literal('measure'),
    from: vessel,
    to: vessel,
    ml: z.number(),
    by: z.enum(['pipette', 'cylinder', 'eye']),
  }),
  z.object({ kind: z.literal('stir'), vessel }),
  z.object({ kind: z.literal('empty'), vessel }),
  z.object({ kind: z.literal('rinsePlate') }),
  z.object({ kind: z.literal('more'), bottle: vessel }),
  z.object({ kind: z.literal('dip'), tool: z.enum(DIPPED), into: vessel }),
  z.object({ kind: z.literal('takeOut'), tool: z.enum(DIPPED) }),
  z.object({ kind: z.literal('paper'), vessel }),
  z.object({ kind: z.literal('smell'), vessel }),
  z.object({ kind: z.literal('slip'), vessel, ml: z.number() }),
  z.object({ kind: z.literal('fillCuvette'), vessel }),
  z.object({ kind: z.literal('emptyCuvette') }),
  z.object({ kind: z.literal('wavelength'), nm: z.number() }),
  z.object({ kind: z.literal('blank') }),
  z.object({ kind: z.literal('takePaper'), of: z.enum(PAPER_KINDS) }),
  z.object({ kind: z.literal('placePaper'), paper: paperNumber, at: z.enum(PAPER_PLACES) }),
  z.object({ kind: z.literal('throwPaper'), paper: paperNumber }),
  z.object({ kind: z.literal('filter'), from: vessel }),
  z.object({ kind: z.literal('rinse'), from: vessel, ml: z.number() }),
  z.object({ kind: z.literal('wash'), ml: z.number() }),
  z.object({ kind: z.literal('setOven'), tempC: z.number() }),
  z.object({ kind: z.literal('placeVessel'), vessel, at: z.enum(VESSEL_PLACES) }),
  z.object({ kind: z.literal('placeBoat'), at: z.enum(['bench', 'pan']) }),
  z.object({ kind: z.literal('scoop'), g: z.number() }),
  z.object({ kind: z.literal('tip'), to: vessel }),
  z.object({ kind: z.literal('tare') }),
  z.object({ kind: z.literal('recordMass'), trial: trialNumber, which: z.enum(MASS_SLOTS) }),
  z.object({ kind: z.literal('recordAbsorbance'), trial: trialNumber }),
  z.object({ kind: z.literal('recordVolume'), trial: trialNumber, vessel, which: z.enum(VOLUME_SLOTS) }),
  z.object({ kind: z.literal('recordTool'), trial: trialNumber, which: z.enum(TOOL_SLOTS) }),
  z.object({
    kind: z.literal('recordSlip'),
    trial: trialNumber,
    slip: z.number().int().min(1).max(60),
    which: z.enum(['p', ...LEFT_SLOTS]),
  }),
]);

export type OwnAct = z.infer<typeof actSchema>;
/** All that can be done at this bench. */
export type Act = OwnAct | CommonAct;
export type Of<K extends OwnAct['kind']> = Extract<OwnAct, { kind: K }>;

function performed(bench: Bench, act: OwnAct): Outcome<Bench> {
  switch (act.kind) {
    case 'take':
      return take(bench, act);
    case 'away':
      return away(bench, act);
    case 'name':
      return label(bench, act);
    case 'drops':
      return drops(bench, act);
    case 'measure':
      return measure(bench, act);
    case 'stir':
      return stir(bench, act);
    case 'empty':
      return empty(bench, act);
    case 'rinsePlate':
      return rinsePlate(bench);
    case 'more':
      return more(bench, act);
    case 'dip':
      return dip(bench, act);
    case 'takeOut':
      return takeOut(bench, act);
    case 'paper':
      return paper(bench, act);
    case 'smell':
      return smell(bench, act);
    case 'slip':
      return handOver(bench, act);
    case 'fillCuvette':
      return fillCuvette(bench, act);
    case 'emptyCuvette':
      return emptyCuvette(bench);
    case 'wavelength':
      return wavelength(bench, act);
    case 'blank':
      return blank(bench);
    case 'takePaper':
      return takePaper(bench, act);
    case 'placePaper':
      return placePaper(bench, act);
    case 'throwPaper':
      return throwPaper(bench, act);
    case 'filter':
      return filter(bench, act);
    case 'rinse':
      return rinse(bench, act);
    case 'wash':
      return wash(bench, act);
    case 'setOven':
      return setOven(bench, act);
    case 'placeVessel':
      return placeVessel(bench, act);
    case 'placeBoat':
      return placeBoat(bench, act);
    case 'scoop':
      return scoop(bench, act);
    case 'tip':
      return tip(bench, act);
    case 'tare':
      return tare(bench);
    case 'recordMass':
      return recordMass(bench, act);
    case 'recordAbsorbance':
      return recordAbsorbance(bench, act);
    case 'recordVolume':
      return recordVolume(bench, act);
    case 'recordTool':
      return recordTool(bench, act);
    case 'recordSlip':
      return recordSlip(bench, act);
  }
}

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
export function perform(bench: Bench, act: OwnAct): Outcome<Bench> {
  try {
    const outcome = performed(bench, act);
    if ('refusal' in outcome) return outcome;
    settle(bench, outcome.bench);
    return { ...outcome, bench: weighedAnew(bench, outcome.bench) };
  } catch (error) {
    if (error instanceof NoEquilibrium) return refuse(NO_REST);
    throw error;
  }
}
