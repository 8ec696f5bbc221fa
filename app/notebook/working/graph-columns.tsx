import type { Graph, Series } from '@core/notebook/document';
import { SHAPES } from '@core/notebook/limits';
import { rangeProblem } from '@core/notebook/axis-range';
import { INPUT, Wrong } from '@app/ui/form';
import { shortId } from '@app/ui/new-id';
import { QUIET_BUTTON } from './section';
import { useWorking } from './working-context';

/** Which columns a series is of, and how it is drawn. */
export function SeriesForm({ graph, series, number }: { graph: Graph; series: Series; number: number }) {
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

export function AddSeries({ graph }: { graph: Graph }) {
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
export function Axes({ graph }: { graph: Graph }) {
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
