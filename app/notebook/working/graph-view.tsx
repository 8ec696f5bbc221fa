import { useLayoutEffect, useMemo, useRef, useState } from 'react';
import type { Graph } from '@core/notebook/document';
import { splitAtBend } from '@core/analysis/bend';
import { highestBetween } from '@core/notebook/kept-point';
import { fittedLines, plottedSeries } from '@core/notebook/graph-values';
import { shortId } from '@app/ui/new-id';
import { GraphChart, rangesOf } from './graph-chart';
import type { Chosen } from './chosen';
import { GraphHand, type Tool } from './graph-hand';
import { LinePanel, PointPanel } from './line-panel';
import { Axes, AddSeries, SeriesForm } from './graph-columns';
import { Residuals, Tools } from './graph-tools';
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

/** A graph with its series, axes and lines. */
export function GraphView({ graph }: { graph: Graph }) {
  const { workbook, edit, closed, pointed, point, say, onDropped } = useWorking();
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
  /** Of the points in view, the two lines that leave least over: where they end is moved by hand afterwards. */
  const addBend = () => {
    const points = (lineSeries?.points ?? [])
      .filter(({ x }) => x >= ranges.x[0] && x <= ranges.x[1])
      .sort((a, b) => a.x - b.x);
    const split = splitAtBend(points);
    const [first, before, after, last] = [points[0], points[(split ?? 0) - 1], points[split ?? -1], points.at(-1)];
    if (!first || !before || !after || !last)
      return say('Two lines need at least six points in view, three for each. Show more of the series.');
    say(null);
    addLine(first.x, before.x);
    addLine(after.x, last.x);
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
          onBend={addBend}
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
        <LinePanel key={fit.line.id} graph={graph} fit={fit} next={fits[i + 1]} number={i + 1} />
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
