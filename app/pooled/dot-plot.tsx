import { meanText } from '@core/analysis/pooled';
import { significant } from '@core/analysis/quantity';

interface Dot {
  value: number;
  /** As it is written. */
  text: string;
  own: boolean;
  isOutlier: boolean;
  leftOut: string | null;
  name: string | null;
}

interface DotPlotProps {
  title: string;
  unit: string;
  reference: number;
  summary: { mean: number; deviation: number | undefined; count: number } | null;
  dots: readonly Dot[];
}

const WIDTH = 720;
const LEFT = 20;
const BASE = 176;
const RADIUS = 6;

/** Round numbers between two ends, some five to nine of them. */
function ticksOf(from: number, to: number): number[] {
  const raw = (to - from) / 6;
  const power = 10 ** Math.floor(Math.log10(raw));
  const step = ([1, 2, 5, 10].find((factor) => factor * power >= raw) ?? 10) * power;
  const first = Math.ceil(from / step);
  const count = Math.floor(to / step + 1e-9) - first + 1;
  return Array.from({ length: Math.max(count, 0) }, (_, i) => Number(((first + i) * step).toPrecision(10)));
}

/** Each dot in its place, stacked on those that are as good as equal to it; one's own on top, where it is seen. */
function stacked(dots: readonly Dot[], x: (value: number) => number): { dot: Dot; cx: number; cy: number }[] {
  const STEP = 2 * RADIUS + 1;
  const columns = new Map<number, Dot[]>();
  for (const dot of [...dots].sort((a, b) => a.value - b.value)) {
    const column = Math.round(x(dot.value) / STEP);
    columns.set(column, [...(columns.get(column) ?? []), dot]);
  }
  return [...columns].flatMap(([column, all]) =>
    [...all]
      .sort((a, b) => Number(a.own) - Number(b.own))
      .map((dot, height) => ({ dot, cx: column * STEP, cy: BASE - RADIUS - 4 - height * STEP })),
  );
}

function describe({ name, text, isOutlier, leftOut }: Dot, unit: string): string {
  const what = `${name ?? 'a value'}: ${text} ${unit}`;
  return leftOut ? `${what}, left out: ${leftOut}` : isOutlier ? `${what}, outlier` : what;
}

/** All values of one thing on one line, with their mean, their deviation and the reference value. */
export function DotPlot({ title, unit, reference, summary, dots }: DotPlotProps) {
  // What is left out does not stretch the line: where it lies beyond, it stands at the end.
  const counting = dots.filter(({ leftOut }) => leftOut === null);
  const values = [...(counting.length > 0 ? counting : dots).map(({ value }) => value), reference];
  const [least, most] = [Math.min(...values), Math.max(...values)];
  const room = Math.max((most - least) * 0.08, Math.abs(reference) * 0.005, 1e-6);
  const [from, to] = [least - room, most + room];
  const x = (value: number) => LEFT + ((Math.min(Math.max(value, from), to) - from) / (to - from)) * (WIDTH - 2 * LEFT);
  const ticks = ticksOf(from, to);
  const decimals = Math.max(
    0,
    ...ticks.map((tick) => (String(Number(tick.toPrecision(6))).split('.')[1] ?? '').length),
  );
  const marks = stacked(dots, x);
  const words = summary
    ? `${dots.length} values of ${title}; mean ${meanText(summary)} ${unit}, reference ${significant(reference, 4)} ${unit}.`
    : `${dots.length} values of ${title}, none of which counts.`;
  const near = summary !== null && Math.abs(x(summary.mean) - x(reference)) < 140;
  return (
    <svg viewBox={`0 0 ${WIDTH} 216`} className="w-full" role="img" aria-label={words}>
      {summary && summary.deviation !== undefined && (
        <rect
          x={x(summary.mean - summary.deviation)}
          width={x(summary.mean + summary.deviation) - x(summary.mean - summary.deviation)}
          y={30}
          height={BASE - 30}
          className="fill-mist"
        />
      )}
      <line x1={x(reference)} x2={x(reference)} y1={20} y2={BASE} className="stroke-ink" strokeWidth={1.6} />
      <text
        x={x(reference)}
        y={14}
        fontSize={13}
        textAnchor={x(reference) > WIDTH * 0.8 ? 'end' : x(reference) < WIDTH * 0.2 ? 'start' : 'middle'}
        className="fill-ink"
      >
        reference {reference === 0 ? '0' : significant(reference, 4)}
      </text>
      {summary && (
        <>
          <line
            x1={x(summary.mean)}
            x2={x(summary.mean)}
            y1={near ? 42 : 20}
            y2={BASE}
            className="stroke-heather"
            strokeWidth={1.6}
            strokeDasharray="6 4"
          />
          <text x={x(summary.mean)} y={near ? 36 : 14} fontSize={13} textAnchor="middle" className="fill-heather">
            mean
          </text>
        </>
      )}
      <line x1={LEFT} x2={WIDTH - LEFT} y1={BASE} y2={BASE} className="stroke-ink" strokeWidth={1.2} />
      {ticks.map((tick) => (
        <g key={tick}>
          <line x1={x(tick)} x2={x(tick)} y1={BASE} y2={BASE + 6} className="stroke-ink" strokeWidth={1} />
          <text x={x(tick)} y={BASE + 21} fontSize={13} textAnchor="middle" className="fill-ink-soft font-mono">
            {tick.toFixed(decimals).replace('-', '−')}
          </text>
        </g>
      ))}
      <text x={WIDTH - LEFT} y={212} fontSize={13} textAnchor="end" className="fill-ink-soft">
        {unit}
      </text>
      {marks.map(({ dot, cx, cy }, i) => (
        <g key={i}>
          <title>{describe(dot, unit)}</title>
          {dot.leftOut ? (
            <path
              d={`M${cx - 4} ${cy - 4} l8 8 m0 -8 l-8 8`}
              className="stroke-ink-soft"
              strokeWidth={1.6}
              data-testid="dot-out"
            />
          ) : dot.isOutlier ? (
            <path
              d={`M${cx} ${cy - 7} l7 7 -7 7 -7 -7 Z`}
              className={dot.own ? 'fill-heather stroke-ink' : 'fill-paper stroke-rust'}
              strokeWidth={1.6}
              data-testid="dot-outlier"
            />
          ) : (
            <circle
              cx={cx}
              cy={cy}
              r={RADIUS}
              className={dot.own ? 'fill-heather stroke-ink' : 'fill-water/70'}
              strokeWidth={dot.own ? 1.6 : 0}
              data-testid={dot.own ? 'dot-own' : 'dot'}
            />
          )}
          {dot.own && (
            <text x={cx} y={cy - 11} fontSize={13} textAnchor="middle" className="fill-heather" fontWeight={600}>
              you
            </text>
          )}
        </g>
      ))}
    </svg>
  );
}

/** What the plot says, in numbers. */
export function PoolNumbers({
  summary,
  reference,
  unit,
  left,
}: {
  summary: DotPlotProps['summary'];
  reference: number;
  unit: string;
  left: number;
}) {
  if (!summary) return <p>No value counts here.</p>;
  const off = reference === 0 ? null : (summary.mean / reference - 1) * 100;
  return (
    <p data-testid="pool-numbers">
      {summary.count} {summary.count === 1 ? 'value' : 'values'}, mean {meanText(summary)} {unit}
      {summary.deviation !== undefined && `, standard deviation ${significant(summary.deviation, 2)} ${unit}`}
      {off !== null && `, ${significant(Math.abs(off), 2)} % ${off < 0 ? 'below' : 'above'} the reference`}
      {left > 0 && `; ${left} left out`}.
    </p>
  );
}
