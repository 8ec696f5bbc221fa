import type { Graph } from '@core/notebook/document';
import type { fittedLines, PlottedSeries } from '@core/notebook/graph-values';
import { GraphChart, rangesOf } from './graph-chart';
import type { Tool } from './graph-hand';
import { QUIET_BUTTON } from './section';
import { useWorking } from './working-context';

const TOOLS: { tool: Tool; label: string }[] = [
  { tool: 'point', label: 'Point at' },
  { tool: 'line', label: 'Line over a stretch' },
  { tool: 'closer', label: 'Look closer' },
];

/** What dragging does on a graph, and what is done to it with one press. */
export function Tools({
  tool,
  onTool,
  onWhole,
  onBend,
  onHighest,
  graph,
}: {
  tool: Tool;
  onTool: (tool: Tool) => void;
  onWhole: () => void;
  onBend: () => void;
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
      <button type="button" className={QUIET_BUTTON} onClick={onBend}>
        Lines before and after the bend
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
export function Residuals({
  graph,
  fits,
  width,
}: {
  graph: Graph;
  fits: ReturnType<typeof fittedLines>;
  width: number;
}) {
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
