import { useId } from 'react';
import { CartesianGrid, ComposedChart, Curve, usePlotArea, useXAxisScale, useYAxisScale, XAxis, YAxis } from 'recharts';
import { axisRange, ticksIn } from '@core/notebook/axis-range';
import type { Graph } from '@core/notebook/document';
import { isOnLine, type FittedLine, type Plotted, type PlottedSeries } from '@core/notebook/graph-values';
import { valueAt } from '@core/analysis/line-fit';

/** Colours of series, each with a marker of its own: water, sedge, heather, reed, rust, ink. */
const SERIES_COLOURS = ['var(--water)', 'var(--sedge)', 'var(--heather)', 'var(--reed)', 'var(--rust)', 'var(--ink)'];

type Maker = (x: number, y: number, r: number) => string;
/** Markers as paths: circle, square, triangle, diamond, downward triangle, cross. */
const MARKERS: Maker[] = [
  (x, y, r) => `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`,
  (x, y, r) => `M${x - r} ${y - r}h${2 * r}v${2 * r}h${-2 * r}z`,
  (x, y, r) => `M${x} ${y - 1.2 * r}l${1.2 * r} ${2 * r}h${-2.4 * r}z`,
  (x, y, r) => `M${x} ${y - 1.3 * r}l${1.3 * r} ${1.3 * r}l${-1.3 * r} ${1.3 * r}l${-1.3 * r} ${-1.3 * r}z`,
  (x, y, r) => `M${x} ${y + 1.2 * r}l${1.2 * r} ${-2 * r}h${-2.4 * r}z`,
  (x, y, r) => `M${x - r} ${y}h${2 * r}M${x} ${y - r}v${2 * r}`,
];

const markerOf = (index: number): Maker => MARKERS[index % MARKERS.length] as Maker;
const colourOf = (index: number) => SERIES_COLOURS[index % SERIES_COLOURS.length] as string;

interface Ranges {
  x: [number, number];
  left: [number, number];
  right: [number, number] | null;
}

/** Ranges of the axes: series in another unit than the first have the right-hand axis. */
export function rangesOf(graph: Graph, series: readonly PlottedSeries[]): Ranges {
  const unit = series[0]?.yUnit;
  const values = (of: readonly PlottedSeries[], key: 'x' | 'y') =>
    of.flatMap((one) => one.points.map((point) => point[key]));
  const left = series.filter((one) => one.yUnit === unit);
  const right = series.filter((one) => one.yUnit !== unit);
  return {
    x: axisRange(values(series, 'x'), graph.x),
    left: axisRange(values(left, 'y'), graph.y),
    right: right.length > 0 ? axisRange(values(right, 'y')) : null,
  };
}

interface ChartProps {
  ranges: Ranges;
  series: readonly PlottedSeries[];
  fits: readonly FittedLine[];
  width: number;
  height: number;
  pointed: { table: string; row: string } | null;
  children?: React.ReactNode;
}

const short = (value: number) => String(Number(value.toPrecision(6))).replace('-', '−');

/** A graph: axes by Recharts, and a layer with points, lines and crossings drawn in one path each, so that thousands stay quick. */
export function GraphChart({ ranges, series, fits, width, height, pointed, children }: ChartProps) {
  const unit = series[0]?.yUnit;
  const label = (which: boolean) =>
    [...new Set(series.filter((one) => (one.yUnit === unit) === which).map((one) => one.yLabel))].join(', ');
  const text = { fontSize: 13, fill: 'var(--ink)' };
  const axis = {
    type: 'number',
    allowDataOverflow: true,
    stroke: 'var(--ink)',
    tick: text,
    tickFormatter: short,
  } as const;
  const ends = [
    { x: ranges.x[0], left: ranges.left[0], right: ranges.right?.[0] },
    { x: ranges.x[1], left: ranges.left[1], right: ranges.right?.[1] },
  ];
  return (
    <ComposedChart
      width={width}
      height={height}
      data={ends}
      margin={{ top: 10, right: ranges.right ? 8 : 20, bottom: 22, left: 14 }}
      accessibilityLayer={false}
    >
      <CartesianGrid yAxisId="left" stroke="var(--line)" strokeWidth={0.7} />
      <XAxis
        {...axis}
        dataKey="x"
        domain={ranges.x}
        ticks={ticksIn(ranges.x, width < 420 ? 5 : 8)}
        label={{ value: series[0]?.xLabel ?? '', position: 'insideBottom', offset: -14, ...text }}
      />
      <YAxis
        {...axis}
        yAxisId="left"
        dataKey="left"
        domain={ranges.left}
        ticks={ticksIn(ranges.left)}
        width={58}
        label={{
          value: label(true),
          angle: -90,
          position: 'insideLeft',
          style: { textAnchor: 'middle' },
          ...text,
        }}
      />
      {ranges.right && (
        <YAxis
          {...axis}
          yAxisId="right"
          orientation="right"
          dataKey="right"
          domain={ranges.right}
          ticks={ticksIn(ranges.right)}
          width={62}
          label={{
            value: label(false),
            angle: 90,
            position: 'insideRight',
            style: { textAnchor: 'middle' },
            ...text,
          }}
        />
      )}
      <Marks series={series} fits={fits} pointed={pointed} />
      {children}
    </ComposedChart>
  );
}

/** All that is drawn inside the axes. */
function Marks({ series, fits, pointed }: Pick<ChartProps, 'series' | 'fits' | 'pointed'>) {
  const area = usePlotArea();
  const xScale = useXAxisScale();
  const left = useYAxisScale('left');
  const right = useYAxisScale('right');
  const clip = useId();
  if (!area || !xScale || !left) return null;
  const unit = series[0]?.yUnit;
  const at = (one: PlottedSeries, point: { x: number; y: number }): [number, number] => {
    const yScale = one.yUnit === unit ? left : (right ?? left);
    return [Number(xScale(point.x)), Number(yScale(point.y))];
  };
  return (
    <g>
      <clipPath id={clip}>
        <rect x={area.x - 6} y={area.y - 6} width={area.width + 12} height={area.height + 12} />
      </clipPath>
      <g clipPath={`url(#${clip})`} data-testid="plot">
        {fits.map((fit, i) => (
          <FitLine key={fit.line.id} fit={fit} index={i} at={at} bottom={area.y + area.height} left={area.x} />
        ))}
        {series.map((one, i) => (
          <SeriesMarks key={one.series.id} one={one} index={i} fits={fits} at={at} />
        ))}
        {series.map((one, i) => {
          const point = one.points.find((entry) => one.table.id === pointed?.table && entry.row === pointed.row);
          if (!point) return null;
          const [x, y] = at(one, point);
          return <circle key={one.series.id} cx={x} cy={y} r={8} fill="none" stroke={colourOf(i)} strokeWidth={2} />;
        })}
      </g>
    </g>
  );
}

type At = (one: PlottedSeries, point: { x: number; y: number }) => [number, number];

function SeriesMarks({
  one,
  index,
  fits,
  at,
}: {
  one: PlottedSeries;
  index: number;
  fits: readonly FittedLine[];
  at: At;
}) {
  const colour = colourOf(index);
  const { shape } = one.series;
  const places = one.points.map((point) => at(one, point));
  if (shape !== 'points') {
    const points = places.map(([x, y]) => ({ x, y }));
    return (
      <Curve
        type={shape === 'smooth' ? 'monotone' : 'linear'}
        points={points}
        stroke={colour}
        strokeWidth={1.5}
        fill="none"
      />
    );
  }
  const own = fits.filter((fit) => fit.series.series.id === one.series.id);
  const radius = one.points.length > 400 ? 1.8 : one.points.length > 60 ? 3 : 4;
  const marker = markerOf(index);
  // Points on a line are filled, those on none are hollow.
  const path = (wanted: (point: Plotted) => boolean) =>
    one.points.map((point, i) => (wanted(point) ? marker(...(places[i] as [number, number]), radius) : '')).join('');
  const isUsed = (point: Plotted) => own.some((fit) => isOnLine(fit.line, point));
  return (
    <g stroke={colour} strokeWidth={1.3}>
      <path d={path(isUsed)} fill={colour} />
      <path d={path((point) => !isUsed(point))} fill={own.length === 0 && radius < 4 ? colour : 'var(--paper)'} />
    </g>
  );
}

/** A fitted line: whole over its points, broken to where it crosses the next. */
function FitLine({
  fit,
  index,
  at,
  bottom,
  left,
}: {
  fit: FittedLine;
  index: number;
  at: At;
  bottom: number;
  left: number;
}) {
  const { fit: line, series, points, crossing, step } = fit;
  if (!line) return null;
  const xs = points.map((point) => point.x);
  const [from, to] = [Math.min(...xs), Math.max(...xs)];
  const end = (x: number) => at(series, { x, y: valueAt(line, x) });
  const [x1, y1] = end(from);
  const [x2, y2] = end(to);
  const reach = (to - from) * 0.6;
  const [x0, y0] = end(from - reach);
  const [x3, y3] = end(to + reach);
  // Where the step is drawn, the crossing is of no interest.
  const meet = crossing && !step ? at(series, crossing) : undefined;
  const low = step && valueAt(line, step.x);
  const [foot, head] =
    step && low !== undefined ? [at(series, { x: step.x, y: low }), at(series, { x: step.x, y: low + step.step })] : [];
  return (
    <g stroke="var(--ink)" fill="none">
      <path d={`M${x0} ${y0}L${x1} ${y1}M${x2} ${y2}L${x3} ${y3}`} strokeWidth={0.9} strokeDasharray="2 4" />
      <path d={`M${x1} ${y1}L${x2} ${y2}`} strokeWidth={1.5} />
      <text
        x={(x1 + x2) / 2 + 6}
        y={(y1 + y2) / 2 - 8}
        fontSize={13}
        fill="var(--ink)"
        stroke="none"
        fontStyle="italic"
      >
        {index + 1}
      </text>
      {foot && head && (
        <path
          d={`M${foot[0]} ${foot[1]}L${head[0]} ${head[1]}M${foot[0] - 5} ${foot[1]}h10M${head[0] - 5} ${head[1]}h10`}
          stroke="var(--rust)"
          strokeWidth={1.8}
        />
      )}
      {meet && (
        <>
          <path
            d={`M${meet[0]} ${meet[1]}V${bottom}M${meet[0]} ${meet[1]}H${left}`}
            strokeWidth={0.9}
            strokeDasharray="5 3"
            stroke="var(--rust)"
          />
          <circle cx={meet[0]} cy={meet[1]} r={5} stroke="var(--rust)" strokeWidth={1.6} />
        </>
      )}
    </g>
  );
}
