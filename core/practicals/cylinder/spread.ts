import { BIN, BINS } from './flying';

/** How the speeds and energies of a gas are spread, in parts of so many: as it was seen, and as theory says of very many particles. */

/** How often something is seen in each part, per part, of all that was seen. */
export function sharesOf(counts: readonly number[]): number[] {
  const all = counts.reduce((sum, count) => sum + count, 0);
  return counts.map((count) => (all > 0 ? count / all : 0));
}

/** Of speeds in √(kT/m): √(2/π) x² e^(−x²/2) (Maxwell). Of energies in kT: 2 √(y/π) e^(−y) (Boltzmann). */
const DENSITY = {
  speed: (x: number) => Math.sqrt(2 / Math.PI) * x * x * Math.exp((-x * x) / 2),
  energy: (y: number) => 2 * Math.sqrt(y / Math.PI) * Math.exp(-y),
} as const;

/** How finely a part is gone through for what theory says of it. */
const FINE = 40;

/** What theory says of each part; the last is of all beyond. */
export function theoryOf(of: keyof typeof BIN): number[] {
  const width = BIN[of];
  const share = (bin: number) => {
    // By middles; near nothing the density of energies goes as a root, which so many of them bear.
    let sum = 0;
    for (let i = 0; i < FINE; i++) sum += DENSITY[of]((bin + (i + 0.5) / FINE) * width);
    return (sum * width) / FINE;
  };
  const within = Array.from({ length: BINS - 1 }, (_, bin) => share(bin));
  return [...within, 1 - within.reduce((sum, one) => sum + one, 0)];
}
