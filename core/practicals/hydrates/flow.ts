import { WATER_G_PER_MOL, type Hydrate } from '../../databook/hydrates';
import { heatingBy, sootAfter, type Heating } from '../../physics/burner';
import { added, beginsC, goesOver, stageG, type Gases } from '../../physics/drying';
import { exchangeIn, type HeatNet } from '../../physics/heat';
import { byStretches } from '../time-passes';
import { RINGS, type Bench, type Crucible, type Ring } from './bench';
import { molIn, porcelainJPerK, ringJPerK, saltIn } from './crucible';
import { DAMPNESS } from './plan';

/** What goes on by itself at this bench: by steps at fixed moments, so that it does not matter how time is split. */

/** Length of a step, s; of one where nothing is hotter than that and no flame burns; and of one where nothing is warm. */
const STEP_S = 0.5;
const COOLING_STEP_S = 2.5;
const COOLING_C = 80;
const QUIET_STEP_S = 5;
const QUIET_K = 0.5;

/*
 * Model values, each with what it was chosen by: no bench measures them, and none moves the mass of what is dry. `model-values.test.ts` holds them there.
 */
/** W/K between crucible and room, by where it is; what it radiates comes on top. Chosen so that a crucible of 245 °C is below 40 °C after six minutes on the mat, as real ones are after five to ten. */
const TO_ROOM = { mat: 0.09, triangle: 0.05, gauze: 0.05, desiccator: 0.08, pan: 0.07 } as const;
/** Stefan and Boltzmann's constant by the outside of a small crucible, 22 cm². */
const RADIATES_W_PER_K4 = 5.67e-8 * 2.2e-3;
/** Part of a flame's heat that comes through gauze. Chosen so that a blue flame brings an empty crucible to 470 °C on it and to 590 °C without: below red heat, as practice has it. */
const GAUZE = 0.5;
/** W/K from the wall to each ring, and from ring to ring. Chosen so that a change of colour runs from the rim to the middle in about a minute, slowly enough to be watched, and 1.5 g is dry within minutes of a blue flame: a lesson has no more. */
const WALL = [0.09, 0.028, 0.008, 0.0015] as const;
const RING_TO_RING = 0.015;
/** Part of the rate that the vapour under a lid lets through; how open it is to what spits, and to damp air. Chosen so that a closed lid slows and keeps in, and one ajar hardly does, which is why methods ask for it. */
const HELD = { on: 0.4, ajar: 0.75, off: 1 } as const;
const OPEN_TO_SPIT = { on: 0.05, ajar: 0.4, off: 1 } as const;
const OPEN_TO_AIR = { on: 0.12, ajar: 0.5, off: 1 } as const;
/** Water that can leave a melt without spitting, g/s; what spits for each time that more comes, 1/s. Chosen so that a full flame makes 1.5 g of a salt that melts lose a tenth of a gram under a lid ajar, twice that without, and next to nothing under a closed one: enough to be seen in a result. */
export const QUIET_STEAM_G_PER_S = 0.004;
const SPITS_PER_S = 0.004;
/** Damp of the porcelain in usual air, g, how soon it comes, and how soon heat drives it out, s. Chosen to be about a centigram: what heating the empty crucible first is for. */
const DAMP_G = 0.012;
const DAMPS_S = 900;
const DRIES_S = 30;
const DRIES_FROM_C = 105;
/** Colder than this, it takes up damp; a salt that holds its last water fast takes it up again so soon, 1/s in usual air. Chosen so that an hour on the mat gives back a few per cent of that water: what the desiccator is for. */
const DAMP_TO_C = 45;
const TAKES_UP_PER_S = 1.2e-5;
const TAKES_UP_FROM_C = 100;
/** It counts as heated from so warm on, °C. */
const HEATED_C = 90;
const CRACKS_TO_C = 120;

const ROOM = 0;
const FLAME = 1;
const PORCELAIN = 2;
const FIRST_RING = 3;

type Loose<T> = { -readonly [K in keyof T]: T[K] };

const heatingOn = ({ burner, crucible }: Bench): Heating | null =>
  burner.isUnder && (crucible.at === 'triangle' || crucible.at === 'gauze')
    ? heatingBy(burner.gas, burner.air, burner.isLit)
    : null;

class Stretch {
  private readonly crucible: Loose<Crucible>;
  private readonly rings: { tempC: number; amounts: number[] }[];
  private readonly salt: Hydrate;
  private readonly perMol: readonly number[];
  private readonly begins: readonly number[];
  private readonly heating: Heating | null;
  private readonly net: HeatNet;
  private readonly isFull: boolean;
  private gone: Gases;
  private tookUpMol: number;
  private steamGPerS: number;
  private steppedS: number;

  constructor(private readonly bench: Bench) {
    this.crucible = { ...bench.crucible, spat: [...bench.crucible.spat] };
    this.rings = bench.crucible.rings.map(({ tempC, amounts }) => ({ tempC, amounts: [...amounts] }));
    this.salt = saltIn(bench);
    this.perMol = this.salt.stages.map((_, stage) => stageG(this.salt, stage, 1));
    this.begins = this.salt.losses.map(beginsC);
    this.heating = heatingOn(bench);
    this.isFull = molIn(bench.crucible) > 0;
    this.gone = bench.gone;
    this.tookUpMol = bench.tookUpMol;
    this.steamGPerS = bench.steamGPerS;
    this.steppedS = bench.steppedS;
    const zeros = () => Array.from({ length: FIRST_RING + RINGS.length }, () => 0);
    this.net = { tempC: zeros(), jPerK: zeros(), from: [], to: [], wPerK: [], takenJ: zeros() };
  }

  private get stepS(): number {
    const { heating, crucible, bench } = this;
    if (heating !== null || crucible.tempC > COOLING_C) return STEP_S;
    return Math.abs(crucible.tempC - bench.sample.roomC) < QUIET_K ? QUIET_STEP_S : COOLING_STEP_S;
  }

  to(endS: number, isShort = false): void {
    for (;;) {
      const stepS = isShort ? STEP_S : this.stepS;
      const nextS = (Math.floor(this.steppedS / stepS) + 1) * stepS;
      if (nextS > endS) return;
      this.step(nextS - this.steppedS);
      this.steppedS = nextS;
    }
  }

  private step(stepS: number): void {
    const before = this.crucible.tempC;
    this.exchange(stepS);
    const { crucible } = this;
    if (this.heating) crucible.sootG = this.soot(stepS);
    if (this.isFull && !crucible.isCracked) {
      this.dries(stepS);
      if (crucible.tempC > HEATED_C && !crucible.isHeated) {
        crucible.isHeated = true;
        crucible.heatings += 1;
      }
    }
    this.breathes(stepS);
    const isFast = (crucible.tempC - before) / stepS > crucible.cracksAtKPerS;
    if (isFast && before < CRACKS_TO_C) crucible.isCracked = true;
  }

  private soot(stepS: number): number {
    if (!this.heating || this.bench.off.includes('soot')) return 0;
    return sootAfter(this.crucible.sootG, this.heating, this.crucible.tempC, stepS);
  }

  private link(from: number, to: number, wPerK: number): void {
    this.net.from.push(from);
    this.net.to.push(to);
    this.net.wPerK.push(wPerK);
  }

  private exchange(stepS: number): void {
    const { net, crucible, bench, heating } = this;
    const { roomC } = bench.sample;
    net.from.length = net.to.length = net.wPerK.length = 0;
    net.tempC[ROOM] = roomC;
    net.jPerK[ROOM] = Infinity;
    net.tempC[FLAME] = heating?.tempC ?? roomC;
    net.jPerK[FLAME] = Infinity;
    net.tempC[PORCELAIN] = crucible.tempC;
    net.jPerK[PORCELAIN] = porcelainJPerK(crucible);
    const [hot, cold] = [crucible.tempC + 273.15, roomC + 273.15];
    const radiates = RADIATES_W_PER_K4 * (hot ** 2 + cold ** 2) * (hot + cold);
    this.link(PORCELAIN, ROOM, TO_ROOM[crucible.at] + radiates);
    if (heating) this.link(FLAME, PORCELAIN, heating.wPerK * (crucible.at === 'gauze' ? GAUZE : 1));
    if (this.isFull) {
      this.rings.forEach((ring, i) => {
        const body = FIRST_RING + i;
        net.tempC[body] = ring.tempC;
        net.jPerK[body] = ringJPerK(this.perMol, ring, (RINGS[i] as number) * crucible.inertG);
        this.link(PORCELAIN, body, WALL[i] as number);
        if (i > 0) this.link(body - 1, body, RING_TO_RING);
      });
    }
    exchangeIn(net, stepS);
    crucible.tempC = net.tempC[PORCELAIN] as number;
    this.rings.forEach(
      (ring, i) => (ring.tempC = this.isFull ? (net.tempC[FIRST_RING + i] as number) : crucible.tempC),
    );
  }

  /** Each stage goes over to the next, the last first, so that nothing goes two ways in a step. */
  private dries(stepS: number): void {
    const { salt, crucible } = this;
    const held = HELD[crucible.lid];
    const before = this.gone['H2O'] ?? 0;
    this.rings.forEach((ring, i) => {
      for (let stage = salt.losses.length - 1; stage >= 0; stage--) {
        const loss = salt.losses[stage];
        const mol = ring.amounts[stage] ?? 0;
        if (!loss || mol <= 0 || ring.tempC < (this.begins[stage] ?? 0)) continue;
        const jPerK = ringJPerK(this.perMol, ring, (RINGS[i] as number) * crucible.inertG);
        const over = goesOver(loss, mol, ring.tempC, jPerK, stepS, held);
        if (over.mol === 0) continue;
        ring.amounts[stage] = over.mol === mol ? 0 : mol - over.mol;
        ring.amounts[stage + 1] = (ring.amounts[stage + 1] ?? 0) + over.mol;
        ring.tempC = over.tempC;
        this.gone = added(this.gone, loss, over.mol);
      }
    });
    this.steamGPerS = (((this.gone['H2O'] ?? 0) - before) * WATER_G_PER_MOL) / stepS;
    this.spits(stepS);
  }

  /** What boils in its own water takes some of the salt along. */
  private spits(stepS: number): void {
    const { salt, crucible, bench, rings } = this;
    const more = this.steamGPerS / QUIET_STEAM_G_PER_S - 1;
    if (salt.meltsC === null || more <= 0 || bench.off.includes('spits')) return;
    const part = -Math.expm1(-SPITS_PER_S * more * OPEN_TO_SPIT[crucible.lid] * stepS);
    const spat = crucible.spat as number[];
    for (const ring of rings) {
      ring.amounts.forEach((mol, stage) => {
        spat[stage] = (spat[stage] ?? 0) + part * mol;
        ring.amounts[stage] = mol * (1 - part);
      });
    }
  }

  /** Damp that comes and goes: in the porcelain, and in a salt that is dry. */
  private breathes(stepS: number): void {
    const { crucible, bench, salt, rings } = this;
    if (crucible.tempC > DRIES_FROM_C) crucible.dampG *= Math.exp(-stepS / DRIES_S);
    if (crucible.tempC > DAMP_TO_C || crucible.at === 'desiccator' || bench.off.includes('air')) return;
    const humid = DAMPNESS[bench.plan.damp] / DAMPNESS.usual;
    if (!bench.off.includes('dampCrucible'))
      crucible.dampG += (DAMP_G * humid - crucible.dampG) * -Math.expm1(-stepS / DAMPS_S);
    if (!this.isFull || crucible.isCracked) return;
    const part = -Math.expm1(-TAKES_UP_PER_S * humid * OPEN_TO_AIR[crucible.lid] * stepS);
    for (const ring of rings) {
      salt.losses.forEach((loss, stage) => {
        const water = loss.gases['H2O'] ?? 0;
        const isWaterAlone = water > 0 && Object.keys(loss.gases).length === 1;
        const mol = part * (ring.amounts[stage + 1] ?? 0);
        if (!isWaterAlone || loss.halfC < TAKES_UP_FROM_C || mol <= 0) return;
        ring.amounts[stage + 1] = (ring.amounts[stage + 1] ?? 0) - mol;
        ring.amounts[stage] = (ring.amounts[stage] ?? 0) + mol;
        this.tookUpMol += water * mol;
      });
    }
  }

  end(timeS: number): Bench {
    const rings: Ring[] = this.rings;
    return {
      ...this.bench,
      crucible: { ...this.crucible, rings },
      gone: this.gone,
      tookUpMol: this.tookUpMol,
      steamGPerS: this.steamGPerS,
      steppedS: this.steppedS,
      timeS,
    };
  }
}

export const { advance, broughtUp } = byStretches<Bench>(STEP_S, (bench) => new Stretch(bench));
