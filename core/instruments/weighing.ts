import { fixed } from '../analysis/quantity';
import { driftG, SETTLED_AFTER_S, settling, weighingError, type BalancePiece } from './balance';

/** A balance at work: its display follows the load, settles, wanders, and is set to zero. Masses in g, times in s. */
export interface Pan {
  /** How often something was put on or taken off: each weighing has an error of its own. */
  weighings: number;
  /** What showed when the load last changed, and when that was. */
  fromG: number;
  changedAtS: number;
  /** What is taken off what shows. */
  tareG: number;
}

/** At rest, with nothing on it. */
export const BARE_PAN: Pan = { weighings: 0, fromG: 0, changedAtS: -60, tareG: 0 };

/** What is weighed, when, and what of a balance's ways is left out. */
export interface Weighed {
  balance: BalancePiece;
  pan: Pan;
  loadG: number;
  timeS: number;
  seed: string;
  /** Without noise and drift. */
  exact?: boolean;
  /** At rest at once. */
  atOnce?: boolean;
}

/** What the balance would show without having been set to zero. */
export function untaredG({ balance, pan, loadG, timeS, seed, exact, atOnce }: Weighed): number {
  const followed = atOnce ? loadG : settling(pan.fromG, loadG, timeS - pan.changedAtS);
  const noise = exact ? 0 : weighingError(balance, seed, pan.weighings) + driftG(balance, timeS);
  return followed * (1 + balance.scaleError) + noise;
}

export const isOverloaded = ({ balance, loadG }: Pick<Weighed, 'balance' | 'loadG'>): boolean =>
  loadG > balance.capacityG;

/** What the display says, with as many decimals as it has; a word beyond what it can carry. */
export function displayed(weighed: Weighed): string {
  if (isOverloaded(weighed)) return 'overload';
  return fixed(untaredG(weighed) - weighed.pan.tareG, Math.round(-Math.log10(weighed.balance.readabilityG)));
}

/** What changes of a pan when its load does: the display goes on from what showed, with the load that was there. */
export const changedLoad = (
  { fromG, changedAtS }: Pick<Pan, 'fromG' | 'changedAtS'>,
  fromLoadG: number,
  timeS: number,
): Pick<Pan, 'fromG' | 'changedAtS'> => ({
  fromG: settling(fromG, fromLoadG, timeS - changedAtS),
  changedAtS: timeS,
});

export const isUnsettled = ({ changedAtS }: Pan, timeS: number): boolean => timeS - changedAtS < SETTLED_AFTER_S;
