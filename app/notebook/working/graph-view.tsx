import { useLayoutEffect, useMemo, useRef, useState } from 'react';
import type { Graph, Series } from '@core/notebook/document';
import { SHAPES } from '@core/notebook/limits';
import { highestBetween } from '@core/notebook/kept-point';
import { fittedLines, plottedSeries, type Plotted, type PlottedSeries } from '@core/notebook/graph-values';
import { INPUT, Wrong } from '@app/ui/form';
import { shortId } from '@app/ui/new-id';
import { rangeProblem } from '@core/notebook/axis-range';
import { GraphChart, rangesOf } from './graph-chart';
import { GraphHand, type Tool } from './graph-hand';
import { LinePanel, PointPanel } from './line-panel';
import { savePng, saveSvg } from './picture';
import { QUIET_BUTTON, Section } from './section';
import { useWorking } from './working-context';

/** The width that an element has, for a chart that fills it. */
function useWidth() {
  const area = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(480);
  useLayoutEffect(() => {
    const element = area.current;
    if (!element) return;
    const measure = () => setWidth(Math.max(Math.min(element.clientWidth, 900), 280));
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [area, width] as const;
}

export interface Chosen {
  series: PlottedSeries;
  point: Plotted;
}

/** A graph with its series, axes and lines. */
export function GraphView({ graph }: { graph: Graph }) {
  const { workbook, edit, closed, pointed, point, onDropped } = useWorking();
  const [area, width] = useWidth();
  const [tool, setTool] = useState<Tool>('point');
  const [chosenAt, choose] = useState<{ series: string; row: string } | null>(null);
  const series = useMemo(
    () => graph.series.flatMap((entry) => plottedSeries(workbook, entry) ?? []),
    [workbook, graph],
  );
  const fits = useMemo(() => fittedLines(workbook, graph), [workbook, graph]);
  const ranges = useMemo(() => rangesOf(graph, series), [graph, series]);
  const chosenSeries = series.find((one) => one.series.id === chosenAt?.series);
  const chosenPoint = chosenSeries?.points.find((entry) => entry.row === chosenAt?.row);
  const chosen: Chosen | null = chosenSeries && chosenPoint ? { series: chosenSeries, point: chosenPoint } : null;

  const lineSeries = chosen?.series ?? series.find((one) => one.series.shape === 'points') ?? series[0];
  const addLine = (from: number | null, to: number | null) => {
    if (!lineSeries) return;
    const line = {
      id: shortId(),
      series: lineSeries.series.id,
      from,
      to,
      also: [],
      not: [],
      throughOrigin: false,
    };
    edit({ kind: 'putLine', graph: graph.id, line });
  };
  const onStretch = (x: [number, number], y: [number, number]) => {
    const text = (value: number) => String(Number(value.toPrecision(4)));
    if (tool === 'line') {
      // The stretch ends at points, taking in those that the hand just missed.
      const slack = 0.012 * (ranges.x[1] - ranges.x[0]);
      const xs = (lineSeries?.points ?? [])
        .map((entry) => entry.x)
        .filter((value) => value >= x[0] - slack && value <= x[1] + slack);
      return xs.length > 0
        ? addLine(Math.min(...xs), Math.max(...xs))
        : addLine(Number(text(x[0])), Number(text(x[1])));
    }
    const change = { x: { min: text(x[0]), max: text(x[1]) }, y: { min: text(y[0]), max: text(y[1]) } };
    edit({ kind: 'setGraph', graph: graph.id, change });
    setTool('point');
  };
  const drop = () => {
    if (edit({ kind: 'dropGraph', graph: graph.id }))
      onDropped({ what: graph.name, back: () => edit({ kind: 'addGraph', graph }) });
  };
  const picture = () => area.current?.querySelector<SVGSVGElement>('svg.recharts-surface') ?? null;
  const take = (next: Chosen | null) => {
    choose(next && { series: next.series.series.id, row: next.point.row });
    point(next && { table: next.series.table.id, row: next.point.row });
  };

  return (
    <Section
      name={graph.name}
      kind="graph"
      closed={closed}
      onName={(name) => edit({ kind: 'setGraph', graph: graph.id, change: { name } })}
      onDrop={drop}
      actions={
        <>
          <button
            type="button"
            className={QUIET_BUTTON}
            onClick={() => saveSvg(picture(), graph.name)}
            aria-label={`${graph.name} as SVG`}
          >
            SVG
          </button>
          <button
            type="button"
            className={QUIET_BUTTON}
            onClick={() => void savePng(picture(), graph.name)}
            aria-label={`${graph.name} as PNG`}
          >
            PNG
          </button>
        </>
      }
    >
      {!closed && (
        <Tools
          tool={tool}
          onTool={setTool}
          onWhole={() => addLine(null, null)}
          onHighest={() => {
            const one = chosen?.series ?? series[0];
            const top = one && highestBetween(one, ...ranges.x);
            if (one && top) take({ series: one, point: top });
          }}
          graph={graph}
        />
      )}
      {/* Browsers look at the outermost drawing alone for what a finger does: with a tool that draws, it does not scroll. */}
      <div
        ref={area}
        className={`w-full [&_.recharts-cartesian-axis]:pointer-events-none [&_.recharts-cartesian-grid]:pointer-events-none ${tool === 'point' ? '[&_svg]:touch-pan-y' : '[&_svg]:touch-none'}`}
      >
        <GraphChart
          ranges={ranges}
          series={series}
          fits={fits}
          width={width}
          height={Math.round(Math.min(width * 0.66, 420))}
          pointed={chosen ? { table: chosen.series.table.id, row: chosen.point.row } : pointed}
        >
          <GraphHand
            tool={tool}
            series={series}
            chosen={chosen}
            onChoose={take}
            onStretch={onStretch}
            name={graph.name}
          />
        </GraphChart>
      </div>
      {chosen && <PointPanel graph={graph} fits={fits} chosen={chosen} />}
      {fits.map((fit, i) => (
        <LinePanel key={fit.line.id} graph={graph} fit={fit} number={i + 1} />
      ))}
      {graph.residuals && fits.some((fit) => fit.residuals.length > 0) && (
        <Residuals graph={graph} fits={fits} width={width} />
      )}
      {!closed && (
        <details className="mt-1 text-sm" open={series.every((one) => one.points.length === 0)}>
          <summary>Columns and axes</summary>
          {graph.series.map((entry, i) => (
            <SeriesForm key={entry.id} graph={graph} series={entry} number={i + 1} />
          ))}
          <AddSeries graph={graph} />
          <Axes graph={graph} />
        </details>
      )}
    </Section>
  );
}

const TOOLS: { tool: Tool; label: string }[] = [
  { tool: 'point', label: 'Point at' },
  { tool: 'line', label: 'Line over a stretch' },
  { tool: 'closer', label: 'Look closer' },
];

function Tools({
  tool,
  onTool,
  onWhole,
  onHighest,
  graph,
}: {
  tool: Tool;
  onTool: (tool: Tool) => void;
  onWhole: () => void;
  onHighest: () => void;
  graph: Graph;
}) {
  const { edit } = useWorking();
  const hasRange = [graph.x.min, graph.x.max, graph.y.min, graph.y.max].some((text) => text !== '');
  const free = { min: '', max: '' };
  return (
    <div className="mb-1 flex flex-wrap items-center gap-x-4 gap-y-1 text-sm">
      <span role="radiogroup" aria-label={`What dragging does on ${graph.name}`} className="flex gap-3">
        {TOOLS.map((entry) => (
          <label key={entry.tool} className="flex items-center gap-1">
            <input
              type="radio"
              checked={tool === entry.tool}
              onChange={() => onTool(entry.tool)}
              name={`tool-${graph.id}`}
            />
            {entry.label}
          </label>
        ))}
      </span>
      <button type="button" className={QUIET_BUTTON} onClick={onWhole}>
        Line through all points
      </button>
      <button type="button" className={QUIET_BUTTON} onClick={onHighest}>
        Highest point in view
      </button>
      {hasRange && (
        <button
          type="button"
          className={QUIET_BUTTON}
          onClick={() => edit({ kind: 'setGraph', graph: graph.id, change: { x: free, y: free } })}
        >
          Show everything
        </button>
      )}
      {graph.lines.length > 0 && (
        <label className="flex items-center gap-1">
          <input
            type="checkbox"
            checked={graph.residuals}
            onChange={(event) =>
              edit({ kind: 'setGraph', graph: graph.id, change: { residuals: event.target.checked } })
            }
          />
          residuals
        </label>
      )}
    </div>
  );
}

/** What the lines leave over, point by point, under the graph. */
function Residuals({ graph, fits, width }: { graph: Graph; fits: ReturnType<typeof fittedLines>; width: number }) {
  const series = fits.map((fit): PlottedSeries => ({
    ...fit.series,
    series: { ...fit.series.series, id: fit.line.id, shape: 'points' },
    points: fit.residuals,
    yLabel: `residual of ${fit.series.yLabel}`,
  }));
  const free = { ...graph, y: { min: '', max: '' } };
  return (
    <figure aria-label={`Residuals of ${graph.name}`}>
      <GraphChart ranges={rangesOf(free, series)} series={series} fits={[]} width={width} height={170} pointed={null} />
    </figure>
  );
}

function SeriesForm({ graph, series, number }: { graph: Graph; series: Series; number: number }) {
  const { workbook, edit } = useWorking();
  const { tables } = workbook.notebook;
  const table = workbook.table(series.table);
  const put = (change: Partial<Series>) =>
    edit({ kind: 'putSeries', graph: graph.id, series: { ...series, ...change } });
  const select = (
    label: string,
    value: string,
    options: { id: string; text: string }[],
    onValue: (value: string) => void,
  ) => (
    <label>
      {label}
      <select
        aria-label={`${label}, series ${number} of ${graph.name}`}
        value={value}
        onChange={(event) => onValue(event.target.value)}
        className={`${INPUT} ml-1 h-8 max-w-44`}
      >
        {options.map(({ id, text }) => (
          <option key={id} value={id}>
            {text}
          </option>
        ))}
      </select>
    </label>
  );
  const columns = (table?.columns ?? []).map((column) => ({
    id: column.id,
    text: column.symbol || column.name,
  }));
  return (
    <div className="border-line flex flex-wrap items-center gap-3 border-b py-2">
      {select(
        'Table',
        series.table,
        tables.map(({ id, name }) => ({ id, text: name })),
        (id) => {
          const next = workbook.table(id);
          const [x, y] = next?.columns ?? [];
          if (next && x) put({ table: id, x: x.id, y: (y ?? x).id });
        },
      )}
      {select('across', series.x, columns, (x) => put({ x }))}
      {select('up', series.y, columns, (y) => put({ y }))}
      {select(
        'as',
        series.shape,
        SHAPES.map((shape) => ({ id: shape, text: shape })),
        (value) => {
          const shape = SHAPES.find((entry) => entry === value);
          if (shape) put({ shape });
        },
      )}
      {series.shape.endsWith('derivative') &&
        select(
          'over',
          String(series.window),
          [3, 5, 7, 9, 11].map((n) => ({ id: String(n), text: `${n} points` })),
          (n) => put({ window: Number(n) }),
        )}
      {graph.series.length > 1 && (
        <button
          type="button"
          className="text-rust min-h-6 underline"
          onClick={() => edit({ kind: 'dropSeries', graph: graph.id, series: series.id })}
        >
          Remove
        </button>
      )}
    </div>
  );
}

function AddSeries({ graph }: { graph: Graph }) {
  const { edit } = useWorking();
  const last = graph.series.at(-1);
  if (!last || graph.series.length >= 6) return null;
  return (
    <button
      type="button"
      className={`${QUIET_BUTTON} my-1`}
      onClick={() => edit({ kind: 'putSeries', graph: graph.id, series: { ...last, id: shortId() } })}
    >
      Lay another series over it
    </button>
  );
}

/** The ends of the axes, typed. */
function Axes({ graph }: { graph: Graph }) {
  const { edit } = useWorking();
  const end = (axis: 'x' | 'y', key: 'min' | 'max', label: string) => (
    <label>
      {label}
      <input
        key={graph[axis][key]}
        defaultValue={graph[axis][key]}
        placeholder="by the data"
        aria-label={`${axis === 'x' ? 'Across' : 'Up'} ${label}, ${graph.name}`}
        onBlur={(event) => {
          const text = event.target.value.trim();
          if (text !== graph[axis][key])
            edit({ kind: 'setGraph', graph: graph.id, change: { [axis]: { ...graph[axis], [key]: text } } });
        }}
        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
        className={`${INPUT} ml-1 h-8 w-24 text-right font-mono`}
        maxLength={20}
        inputMode="decimal"
      />
    </label>
  );
  return (
    <div className="flex flex-wrap gap-x-5 gap-y-2 py-2">
      <span className="flex gap-2">
        across {end('x', 'min', 'from')} {end('x', 'max', 'to')}
      </span>
      <span className="flex gap-2">
        up {end('y', 'min', 'from')} {end('y', 'max', 'to')}
      </span>
      {(['x', 'y'] as const).map((axis) => {
        const problem = rangeProblem(graph[axis]);
        return problem && <Wrong key={axis}>{problem}</Wrong>;
      })}
    </div>
  );
}
