import { volumesIn } from '../../physics/liquid';
import { filmJPerK, enthalpyJ, metalJPerK, tipJPerK } from './matter';
import type { Accounts } from '../contract';
import type { Bench } from './bench';
import { filledG, soluteGIn, tubeJ } from './freezing/tube';
import { saltOf } from '../../databook/salts';
import { densityAt, liquidOf } from '../../databook/liquids';

/** Totals that no act may change: energy, J; liquids by name, mL; what is dissolved, mol. */
export function accountsOf(bench: Bench): Accounts {
  const { vessels, pieces, thermometers, sample, waste, given } = bench;
  const { roomC } = sample;
  let joules = bench.goneJ;
  const sum: Record<string, number> = {};
  const add = (key: string, amount: number) => (sum[key] = (sum[key] ?? 0) + amount);
  const liquid = (one: typeof waste, sign: 1 | -1) => {
    for (const [id, ml] of Object.entries(volumesIn(one))) add(id, sign * ml);
    for (const [id, mol] of Object.entries(one.amounts)) add(`${id}, mol`, sign * mol);
  };
  for (const vessel of [vessels.cup, vessels.beaker]) {
    joules += enthalpyJ(vessel.liquid, vessel.liquidC, roomC) + vessel.wallJPerK * vessel.wallC + vessel.lateJ;
    liquid(vessel.liquid, 1);
  }
  pieces.forEach((piece, i) => {
    joules += (metalJPerK(bench, i) + filmJPerK(piece)) * piece.tempC;
    add('water', piece.filmG / densityAt(liquidOf('water'), roomC));
  });
  if (bench.sealed) {
    joules += bench.sealed.jPerK * bench.sealed.tempC + bench.sealed.lateJ;
    add('pellets, g', (bench.pellet?.g ?? 0) + bench.pelletGoneG - bench.pressedG);
  }
  if (bench.tube) {
    joules += tubeJ(bench, bench.tube);
    add('in the tube, g', filledG(bench.tube) + bench.tubeOutG - bench.tubeInG);
    const inBoat = bench.boat.saltG + bench.boat.clingsG - bench.takenG;
    add('solute, g', soluteGIn(bench, bench.tube) + bench.soluteOutG + inBoat);
  }
  if (bench.lamps.length > 0)
    add('fuel, g', bench.lamps.reduce((all, { fuelG }) => all + fuelG, 0) + bench.burntFuelG - bench.filledG);
  for (const { tipC } of thermometers) joules += tipJPerK(bench) * tipC;
  liquid(waste, 1);
  liquid(given, -1);
  add('water', bench.vapourG / densityAt(liquidOf('water'), roomC));
  if (sample.saltId) {
    const { id, molarMassGPerMol } = saltOf(sample.saltId);
    const inBoat = bench.boat.saltG + bench.boat.clingsG - bench.takenG;
    add(`${id}, mol`, vessels.cup.lyingMol + bench.thrownMol + inBoat / molarMassGPerMol);
  }
  return { J: joules, ...sum };
}
