import { GAS_CRITICAL, vapourOf, type Vapour } from '../../databook/vapours';
import { GAS_CONSTANT, kelvin, saturatedKPa, secondVirial } from '../../physics/gas-law';
import { withinTolerance, type Chance } from '../../random';
import { SCALE_TOLERANCE } from './pieces';
import type { Sample } from './sample';

/** A capped syringe whose plunger goes where the gas and the room push it, as far as its grease lets it. */

export interface Free {
  /** The gas that stays one, mol, and what the vapour of the sample is there of. */
  gasId: string;
  gasMol: number;
  vapourId: string | null;
  vapourMol: number;
  /** Liquid that was injected and is on its way to be vapour, mol. */
  pendingMol: number;
  gasC: number;
  ml: number;
  /** What its grease holds against, kPa. */
  stickKPa: number;
  /** Of its scale, as a part. */
  scale: number;
}

/** The part of air in a syringe that holds a vapour, by amount: the rest is vapour. */
export const AIR_PART = 0.1;

/** Second virial coefficients by 1 K steps, made when a substance is first asked for: they are asked for at every step. */
interface Departures {
  table: Float64Array;
  /** Of a liquid's vapour; null of a gas. */
  vapour: Vapour | null;
}
const KNOWN = new Map<string, Departures>();
const LOWEST_K = 240;
const COUNT = 180;

function departuresOf(id: string): Departures {
  const known = KNOWN.get(id);
  if (known) return known;
  const own = GAS_CRITICAL[id];
  const vapour = own ? null : vapourOf(id);
  const critical = own ?? vapour?.critical;
  if (!critical) throw new RangeError(`how the gas "${id}" departs is not in the data book`);
  const made = { table: Float64Array.from({ length: COUNT }, (_, i) => secondVirial(critical, LOWEST_K + i)), vapour };
  KNOWN.set(id, made);
  return made;
}

/** mL/mol, between two of a table's. */
function departureIn({ table }: Departures, tempK: number): number {
  const at = Math.min(Math.max(tempK - LOWEST_K, 0), COUNT - 2);
  const below = Math.floor(at);
  const [low, high] = [table[below] as number, table[below + 1] as number];
  return low + (at - below) * (high - low);
}

/**
 * The volume, mL, of a gas with a vapour that may have condensed in part, at a pressure and a temperature. Volumes of both, as they are by
 * their second virial coefficients, are added (Amagat); what has condensed keeps its molar volume as a liquid. The vapour condenses
 * where its part of the pressure is that over its liquid (Dalton, Raoult).
 */
export function freeMl(
  { gasId, gasMol, vapourId, vapourMol }: Pick<Free, 'gasId' | 'gasMol' | 'vapourId' | 'vapourMol'>,
  kPa: number,
  celsius: number,
  isIdeal = false,
): number {
  const tempK = kelvin(celsius);
  const own = isIdeal ? 0 : gasMol * departureIn(departuresOf(gasId), tempK);
  if (vapourId === null || vapourMol === 0) return (gasMol * GAS_CONSTANT * tempK) / kPa + own;
  const known = departuresOf(vapourId);
  const mol = vapourIn({ gasMol, vapourId, vapourMol }, kPa, celsius);
  const more = isIdeal ? 0 : mol * departureIn(known, tempK);
  const liquidMl = ((vapourMol - mol) * (known.vapour?.gPerMol ?? 0)) / (known.vapour?.gPerMl ?? 1);
  return ((gasMol + mol) * GAS_CONSTANT * tempK) / kPa + own + more + liquidMl;
}

/** How much of a vapour is a gas, mol; the rest is liquid. */
export function vapourIn(
  { gasMol, vapourId, vapourMol }: Pick<Free, 'gasMol' | 'vapourId' | 'vapourMol'>,
  kPa: number,
  celsius: number,
): number {
  const vapour = vapourId === null ? null : departuresOf(vapourId).vapour;
  if (vapour === null) return 0;
  const most = saturatedKPa(vapour.antoine, celsius);
  return most >= kPa ? vapourMol : Math.min(vapourMol, (gasMol * most) / (kPa - most));
}

export function filledSyringe(
  { id, mol, vapourId }: { id: string; mol: number; vapourId: string | null },
  { roomC, roomKPa }: Sample,
  source: Chance,
): Free {
  const isVapour = id === vapourId;
  const parts = isVapour
    ? { gasId: 'air', gasMol: AIR_PART * mol, vapourId, vapourMol: (1 - AIR_PART) * mol }
    : { gasId: id, gasMol: mol, vapourId: null, vapourMol: 0 };
  const stickKPa = 0.5 + 0.7 * source.uniform();
  const scale = withinTolerance(SCALE_TOLERANCE, source);
  return { ...parts, pendingMol: 0, gasC: roomC, ml: freeMl(parts, roomKPa, roomC), stickKPa, scale };
}

interface Around {
  kPa: number;
  celsius: number;
  /** Part of the way to that temperature that the gas goes meanwhile; of what is pending, that becomes vapour. */
  part: number;
  evaporates: number;
  off: readonly string[];
}

/** After a step: the gas is so much nearer to the bath, and the plunger has gone where it is pushed beyond its grease. */
export function stepped(free: Free, { kPa, celsius, part, evaporates, off }: Around): Free {
  const gasC = off.includes('lag') ? celsius : free.gasC + part * (celsius - free.gasC);
  const more = off.includes('lag') ? free.pendingMol : evaporates * free.pendingMol;
  const now =
    free.pendingMol === 0
      ? { ...free, gasC }
      : { ...free, gasC, vapourMol: free.vapourMol + more, pendingMol: free.pendingMol - more };
  const stick = off.includes('stick') ? 0 : free.stickKPa;
  const isIdeal = off.includes('real');
  // Its volume grows with its temperature and with vapour: more of them pushes the plunger out, less lets it in.
  const isMore = gasC >= free.gasC;
  const bound = freeMl(now, isMore ? kPa + stick : kPa - stick, gasC, isIdeal);
  const ml = isMore || more > 0 ? Math.max(free.ml, bound) : Math.min(free.ml, bound);
  return { ...now, ml };
}

/** Beyond the end of its barrel a plunger lets vapour past: what stays, and what is gone, mol. */
export function heldBack(free: Free, mostMl: number): { free: Free; goneMol: number } {
  if (free.ml <= mostMl) return { free, goneMol: 0 };
  const keeps = mostMl / free.ml;
  const goneMol = (1 - keeps) * (free.gasMol + free.vapourMol);
  return {
    free: { ...free, ml: mostMl, gasMol: keeps * free.gasMol, vapourMol: keeps * free.vapourMol },
    goneMol,
  };
}

/** Turned in its barrel a plunger goes where both sides push alike. */
export const turned = (free: Free, kPa: number, off: readonly string[]): Free => ({
  ...free,
  ml: freeMl(free, kPa, free.gasC, off.includes('real')),
});
