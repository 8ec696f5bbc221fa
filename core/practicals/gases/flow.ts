import { ribbonOf } from '../../databook/ribbons';
import { GAS_CONSTANT, volumePerKelvin } from '../../physics/gas-law';
import { isUnsettled } from '../../instruments/weighing';
import { followed } from '../../instruments/thermometer';
import { bathAfter, bathBoilsC } from './bath';
import type { Bath, Bench, Collected, Injector } from './bench';
import { barrelParts } from './enclosed';
import { heldBack, stepped, type Free } from './free';
import { gasMl, WARMS_K_PER_MOL } from './collected';
import { evaporated } from './injector';
import { BARREL_ML, LETS_OUT_ML } from './pieces';
import { hasBath, type Plan } from './plan';

/** What goes on by itself: by steps at fixed moments, each in closed form, so that it does not matter how time is split. */

/** Length of a step, s; where four syringes follow a bath slowly it is longer. */
const STEP_S = 0.5;
const FREE_STEP_S = 1;
const hasFree = ({ gear }: Plan): boolean => gear === 'syringes' || gear === 'injected';
const stepOf = ({ plan }: Bench): number => (hasFree(plan) ? FREE_STEP_S : STEP_S);
/** How soon a gas is as warm as what is around it, s: in a syringe, in a bulb in air, in water, in the jar. Model values. */
const SYRINGE_S = 1.6;
const BULB_S = { air: 150, bath: 22, jar: 30 } as const;
/** A syringe in a bath; what was injected into it. */
const FREE_S = 35;
const EVAPORATES_S = 9;
/** A gas tube in water. */
const TUBE_S = 45;
/** What a joint that sits loosely lets through of what is over the room's pressure, 1/s. */
const LOOSE_PER_S = 0.004;

const shareOf = (seconds: number, timeConstantS: number) => 1 - Math.exp(-seconds / timeConstantS);
const PARTS = {
  syringe: shareOf(STEP_S, SYRINGE_S),
  air: shareOf(STEP_S, BULB_S.air),
  bath: shareOf(STEP_S, BULB_S.bath),
  jar: shareOf(STEP_S, BULB_S.jar),
  free: shareOf(FREE_STEP_S, FREE_S),
  tube: shareOf(STEP_S, TUBE_S),
  evaporates: shareOf(FREE_STEP_S, EVAPORATES_S),
};
const KEPT_LOOSE = Math.exp(-LOOSE_PER_S * STEP_S);

/** When it is as good as over: nearer than this to what is around it, K, and to what the room fills it with, as a part. */
const SEEN = { kelvin: 0.01, part: 1e-4 };
/** When steps change nothing any more. */
const OVER = { kelvin: 1e-9, part: 1e-12 };

/** What of a bench changes by itself. */
type Going = Pick<Bench, 'bath' | 'gasC' | 'gasMol' | 'inMol' | 'outMol' | 'free' | 'injector' | 'collected'>;

/** What is around the gas, °C. */
export const aroundC = ({ plan, at, bath, sample }: Pick<Bench, 'plan' | 'at' | 'bath' | 'sample'>): number =>
  plan.gear === 'syringe' || at === 'air' ? sample.roomC : at === 'bath' ? bath.tempC : sample.jarC;

/** The amount, mol, that the room's pressure fills syringe or bulb with. */
const openMol = ({ plan, sample, plungerMl, off }: Bench, gasC: number): number =>
  (sample.roomKPa * volumePerKelvin(barrelParts({ plan, sample, plungerMl, off, gasC }))) / GAS_CONSTANT;

/** A stretch of time at a bench at which nothing is done meanwhile: what changes is written over from step to step. */
class Stretch {
  private bath: Bath;
  private gasC: number;
  private gasMol: number;
  private inMol: number;
  private outMol: number;
  private free: readonly Free[];
  private collected: Collected | null;
  private injector: Injector | null;
  private readonly boilsC: number;

  constructor(private readonly bench: Bench) {
    ({ bath: this.bath, gasC: this.gasC, gasMol: this.gasMol } = bench);
    this.collected = bench.collected;
    ({ inMol: this.inMol, outMol: this.outMol, free: this.free, injector: this.injector } = bench);
    this.boilsC = bathBoilsC(bench.sample.roomKPa);
  }

  get going(): Going {
    const { bath, gasC, gasMol, inMol, outMol, free, injector, collected } = this;
    return { bath, gasC, gasMol, inMol, outMol, free, injector, collected };
  }

  /** Whether the next step would change anything. */
  get goesOn(): boolean {
    return goesOn(this.bench, this.going, OVER);
  }

  step(): void {
    const { plan, sample, off, thermometer, at } = this.bench;
    if (plan.gear === 'collected') return this.stepTube();
    if (hasBath(plan)) {
      const seconds = stepOf(this.bench);
      const bath = bathAfter(this.bath, seconds, sample.roomC, this.boilsC);
      const sensedC = off.includes('lag')
        ? bath.tempC
        : followed(bath.sensedC, bath.tempC, seconds, thermometer.kind, true);
      this.bath = { ...bath, sensedC };
    }
    if (hasFree(plan)) {
      this.stepFree();
      return;
    }
    const there = aroundC({ plan, sample, at, bath: this.bath });
    const share = plan.gear === 'syringe' ? PARTS.syringe : PARTS[at];
    this.gasC = off.includes('lag') ? there : this.gasC + share * (there - this.gasC);
    this.leak();
  }

  /** The metal goes on dissolving; what is too much for the tube bubbles out of it. */
  private stepTube(): void {
    const { sample, off } = this.bench;
    if (this.collected === null) return;
    const takesS = sample.metalId === null ? 1 : ribbonOf(sample.metalId).takesS;
    const more = this.collected.pendingMol * (off.includes('lag') ? 1 : shareOf(STEP_S, takesS));
    const warmedC = this.collected.gasC + WARMS_K_PER_MOL * more;
    const gasC = off.includes('lag') ? sample.waterC : warmedC + PARTS.tube * (sample.waterC - warmedC);
    const now = {
      ...this.collected,
      gasC,
      hydrogenMol: this.collected.hydrogenMol + more,
      pendingMol: this.collected.pendingMol - more,
    };
    const keeps = Math.min(1, LETS_OUT_ML / gasMl({ collected: now, sample }));
    this.outMol += (1 - keeps) * now.hydrogenMol;
    this.collected = { ...now, airMol: keeps * now.airMol, hydrogenMol: keeps * now.hydrogenMol };
  }

  private stepFree(): void {
    const { sample, off } = this.bench;
    const { free: part, evaporates } = PARTS;
    const around = { kPa: sample.roomKPa, celsius: this.bath.tempC, part, evaporates, off };
    this.free = this.free.map((one) => {
      const { free, goneMol } = heldBack(stepped(one, around), BARREL_ML);
      this.outMol += goneMol;
      return free;
    });
    if (!this.injector || sample.vapourId === null || off.includes('needle')) return;
    this.injector = evaporated(this.injector, sample.vapourId, sample.roomC, FREE_STEP_S);
  }

  /** Open, it holds what the room fills it with; where the tube sits lightly, it comes nearer to that. */
  private leak(): void {
    const { joint, off } = this.bench;
    if (joint === 'home' || (joint === 'loose' && off.includes('leak'))) return;
    const open = openMol(this.bench, this.gasC);
    const mol = joint === 'off' ? open : open + (this.gasMol - open) * KEPT_LOOSE;
    this.inMol += Math.max(mol - this.gasMol, 0);
    this.outMol += Math.max(this.gasMol - mol, 0);
    this.gasMol = mol;
  }
}

function goesOn(
  bench: Bench,
  { bath, gasC, gasMol, free, injector, collected }: Going,
  { kelvin, part }: typeof SEEN,
): boolean {
  const { plan, sample, joint, off, at } = bench;
  if (collected)
    return collected.pendingMol > part * collected.airMol || Math.abs(collected.gasC - sample.waterC) > kelvin;
  if (hasBath(plan)) {
    if (bath.heat > 0 || bath.iceG > 0 || Math.abs(bath.tempC - sample.roomC) > kelvin) return true;
    if (Math.abs(bath.sensedC - bath.tempC) > kelvin) return true;
  }
  if (hasFree(plan))
    return (
      free.some((one) => Math.abs(one.gasC - bath.tempC) > kelvin || one.pendingMol > part * one.gasMol) ||
      (injector !== null && !injector.isStoppered && injector.liquidG > 0)
    );
  if (Math.abs(gasC - aroundC({ plan, sample, at, bath })) > kelvin) return true;
  if (joint === 'home' || (joint === 'loose' && off.includes('leak'))) return false;
  return Math.abs(gasMol / openMol(bench, gasC) - 1) > part;
}

/** Whether anything goes on: what is warm or cold, a gauge that creeps, a joint that lets gas through, a balance on its way to rest. */
export const running = (bench: Bench): boolean =>
  goesOn(bench, bench, SEEN) || (bench.balance !== null && isUnsettled(bench.pan, bench.timeS));

/** Time passes, by steps at the whole multiples of their length until nothing goes on any more; nothing does while the clock is stopped. */
export function advance(bench: Bench, seconds: number): Bench {
  if (bench.paused || !(seconds > 0)) return bench;
  const endS = bench.timeS + seconds;
  const stretch = new Stretch(bench);
  const stepS = stepOf(bench);
  for (let next = Math.floor(bench.timeS / stepS) + 1; next * stepS <= endS && stretch.goesOn; next++) stretch.step();
  return { ...bench, ...stretch.going, timeS: endS };
}
