import { memo, useId } from 'react';
import type { LoggedLine } from '@core/practicals/heat/bench';

/** The sheet on which a log is drawn as it grows. */

export const SHEET = { width: 262, height: 176 };
const INSET = { left: 38, right: 10, top: 12, bottom: 24 };
/** Points that are drawn at most of one line: more than that, no eye tells. */
const MOST_POINTS = 600;

const number = (text: string) => (text === '' || text === 'out of range' ? NaN : Number(text.replace('\u2212', '-')));

/** Steps of 1, 2 or 5 that give an axis four or five numbers. */
function stepOf(range: number): number {
  const rough = range / 4;
  const power = 10 ** Math.floor(Math.log10(rough));
  return ([1, 2, 5, 10].find((step) => step * power >= rough) as number) * power;
}

function pathOf(points: [number, number][], x: (t: number) => number, y: (T: number) => number): string {
  const every = Math.ceil(points.length / MOST_POINTS);
  let d = '';
  let isJoined = false;
  points.forEach(([t, T], i) => {
    if (!Number.isFinite(T)) return (isJoined = false);
    if (i % every !== 0 && i !== points.length - 1) return;
    d += `${isJoined ? 'L' : 'M'}${x(t).toFixed(1)} ${y(T).toFixed(1)}`;
    isJoined = true;
  });
  return d;
}

interface CurveProps {
  lines: readonly LoggedLine[];
  /** Whose lines are drawn. */
  trial: string;
  /** The thermometer that is looked at, from 0: the sheet has its scale, so that a small step is seen beside a hot bath. */
  looking: number;
}

export const Curve = memo(function Curve({ lines, trial, looking }: CurveProps) {
  const inside = useId();
  const own = lines.filter((line) => line.trial === trial);
  const series = (['T', 'U'] as const).map((key) =>
    own.map((line): [number, number] => [Number(line.t), number(line[key])]),
  );
  const isSeen = ([, T]: [number, number]) => Number.isFinite(T);
  const looked = (series[looking] ?? []).filter(isSeen);
  const seen = looked.length > 0 ? looked : series.flat().filter(isSeen);
  const first = Number(own[0]?.t ?? 0);
  const last = Math.max(Number(own.at(-1)?.t ?? 0), first + 60);
  const temps = seen.map(([, T]) => T);
  const [low, high] =
    temps.length > 0 ? [temps.reduce((a, b) => Math.min(a, b)), temps.reduce((a, b) => Math.max(a, b))] : [18, 28];
  const room = Math.max((high - low) * 0.08, 0.5);
  const [from, to] = [low - room, high + room];
  const x = (t: number) => INSET.left + ((t - first) / (last - first)) * (SHEET.width - INSET.left - INSET.right);
  const y = (T: number) =>
    SHEET.height - INSET.bottom - ((T - from) / (to - from)) * (SHEET.height - INSET.top - INSET.bottom);
  const marks = (a: number, b: number) => {
    const step = stepOf(b - a);
    const first = Math.ceil(a / step - 1e-9);
    return Array.from({ length: Math.floor(b / step + 1e-9) - first + 1 }, (_, i) => (first + i) * step);
  };
  const decimals = stepOf(to - from) < 1 ? 1 : 0;
  return (
    <g>
      <rect width={SHEET.width} height={SHEET.height} className="stroke-ink fill-white" strokeWidth={1.2} />
      {marks(from, to).map((T) => (
        <g key={T}>
          <path d={`M${INSET.left} ${y(T)} H${SHEET.width - INSET.right}`} className="stroke-line" strokeWidth={0.7} />
          <text x={INSET.left - 4} y={y(T) + 4} fontSize={11} textAnchor="end" className="fill-ink-soft font-mono">
            {T.toFixed(decimals)}
          </text>
        </g>
      ))}
      {marks(first, last)
        .filter((t) => x(t) < SHEET.width - 22)
        .map((t) => (
          <text
            key={t}
            x={x(t)}
            y={SHEET.height - 9}
            fontSize={11}
            textAnchor="middle"
            className="fill-ink-soft font-mono"
          >
            {t}
          </text>
        ))}
      <text x={SHEET.width - 4} y={SHEET.height - 9} fontSize={11} textAnchor="end" className="fill-ink-soft">
        s
      </text>
      <text x={4} y={12} fontSize={11} className="fill-ink-soft">
        °C
      </text>
      <path
        d={`M${INSET.left} ${INSET.top} V${SHEET.height - INSET.bottom} H${SHEET.width - INSET.right}`}
        className="stroke-ink fill-none"
        strokeWidth={1}
      />
      <clipPath id={inside}>
        <rect
          x={INSET.left}
          y={INSET.top - 4}
          width={SHEET.width - INSET.left - INSET.right}
          height={SHEET.height - INSET.top - INSET.bottom + 4}
        />
      </clipPath>
      <path
        clipPath={`url(#${inside})`}
        d={pathOf(series[0] ?? [], x, y)}
        className="stroke-water fill-none"
        strokeWidth={1.6}
        data-testid="curve"
      />
      <path
        clipPath={`url(#${inside})`}
        d={pathOf(series[1] ?? [], x, y)}
        className="stroke-sedge fill-none"
        strokeWidth={1.6}
        strokeDasharray="5 2"
      />
    </g>
  );
});
