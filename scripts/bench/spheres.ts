import { HardSpheres } from '@core/physics/hard-spheres';

/** Impacts a second of hard spheres at the density of a gas at 1.6 bar: how the work grows with their number. */
export function benchSpheres(): void {
  let before: number | undefined;
  for (const count of [100, 1000, 10_000, 100_000]) {
    const edge = 30 * Math.cbrt(count / 1000);
    const kinds = [{ gPerMol: 39.95, radiusNm: 0.18, count }];
    const gas = new HardSpheres({ box: [edge, edge, edge], kinds, kelvin: 300, seed: 1 });
    gas.advance(20);
    const start = performance.now();
    let impacts = 0;
    while (performance.now() - start < 1500) impacts += gas.advance(2000 / count);
    const each = (performance.now() - start) / impacts;
    const grew = before === undefined ? '' : `, ${(each / before).toFixed(2)} times the time of ten times fewer`;
    console.log(`${count} hard spheres: ${Math.round(1000 / each).toLocaleString('en')} impacts a second${grew}`);
    before = each;
  }
}
