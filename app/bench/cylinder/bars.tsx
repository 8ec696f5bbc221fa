import { BOLTZMANN_ZJ_PER_K, energyAt, speedOf } from '@core/physics/kinetic';
import { ticksIn } from '@core/notebook/axis-range';
import { BIN, BINS } from '@core/practicals/cylinder/flying';
import { sharesOf, theoryOf } from '@core/practicals/cylinder/spread';
import { EDGE, HEIGHT, Paper, WIDTH, heightOf } from './paper';

/** How often each speed or energy was seen in the stretch, as bars, with what theory says of very many particles as a line. */

const THEORY = { speed: theoryOf('speed'), energy: theoryOf('energy') } as const;
/** The last part is of all beyond, and is not drawn. */
const SHOWN = BINS - 1;
const BAR = (WIDTH - EDGE.left - EDGE.right) / SHOWN;

interface BarsProps {
  of: 'speed' | 'energy';
  counts: readonly number[];
  /** The temperature that it is held against, and the molar mass. */
  kelvin: number;
  gPerMol: number;
}

export function Bars({ of, counts, kelvin, gPerMol }: BarsProps) {
  const shares = sharesOf(counts).slice(0, SHOWN);
  const theory = THEORY[of].slice(0, SHOWN);
  const most = 1.1 * Math.max(...theory, ...shares) * 100;
  // What one unit of the parts is: √(kT/m) in m/s, or kT in zJ.
  const unit = of === 'speed' ? 1000 * speedOf(energyAt(kelvin) / 3, gPerMol) : BOLTZMANN_ZJ_PER_K * kelvin;
  const end = SHOWN * BIN[of] * unit;
  const xOf = (value: number) => EDGE.left + (value / end) * (WIDTH - EDGE.left - EDGE.right);
  const line = theory.map(
    (share, bin) => `${(EDGE.left + (bin + 0.5) * BAR).toFixed(1)},${heightOf(100 * share, most).toFixed(1)}`,
  );
  return (
    <Paper
      most={most}
      caption={of === 'speed' ? 'speed / (m/s); how often, %' : 'energy / zJ; how often, %'}
      testId={`bars-${of}`}
    >
      {shares.map((share, bin) => (
        <rect
          key={bin}
          x={EDGE.left + bin * BAR + 0.5}
          width={BAR - 1}
          y={heightOf(100 * share, most)}
          height={HEIGHT - EDGE.bottom - heightOf(100 * share, most)}
          className="fill-sedge/50"
        />
      ))}
      <polyline points={line.join(' ')} className="stroke-ink fill-none" strokeWidth={1.5} />
      {ticksIn([0, end], 5)
        .slice(1)
        .map((tick) => (
          <g key={tick}>
            <path d={`M${xOf(tick)} ${HEIGHT - EDGE.bottom} v3`} className="stroke-ink" strokeWidth={1} />
            <text x={xOf(tick)} y={HEIGHT - 4} textAnchor="middle" fontSize={11} className="fill-ink font-mono">
              {tick}
            </text>
          </g>
        ))}
    </Paper>
  );
}
