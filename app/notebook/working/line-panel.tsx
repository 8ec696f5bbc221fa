import type { Graph, Line } from '@core/notebook/document';
import { estimate, isOnLine, slowStepAt, type FittedLine } from '@core/notebook/graph-values';
import { differenceUnit } from '@core/notebook/trace';
import { keptPoint } from '@core/notebook/kept-point';
import { written, lastOf } from '@core/notebook/quantity-value';
import type { LineFit } from '@core/analysis/line-fit';
import { parseTyped } from '@core/analysis/quantity';
import { INPUT } from '@app/ui/form';
import type { Chosen } from './chosen';
import { shortId } from '@app/ui/new-id';
import { QUIET_BUTTON } from './section';
import { useWorking } from './working-context';

/** A line of a graph: over which stretch, its equation with what is known of it, and where it crosses the next. */
export function LinePanel({
  graph,
  fit,
  next,
  number,
}: {
  graph: Graph;
  fit: FittedLine;
  /** The line after it on the graph. */
  next: FittedLine | undefined;
  number: number;
}) {
  const { edit, closed } = useWorking();
  const { line, series } = fit;
  const put = (change: Partial<Line>) => edit({ kind: 'putLine', graph: graph.id, line: { ...line, ...change } });
  const x = series.xColumn.symbol || 'x';
  const end = (key: 'from' | 'to') =>
    closed ? (
      line[key] !== null && `${key} ${line[key]}`
    ) : (
      <label>
        {key}
        <input
          key={String(line[key])}
          defaultValue={line[key] === null ? '' : String(line[key])}
          placeholder={key === 'from' ? 'the first' : 'the last'}
          aria-label={`Line ${number} ${key}`}
          onBlur={(event) => {
            const text = event.target.value.trim();
            const value = text === '' ? null : parseTyped(text)?.value;
            if (value === undefined) event.target.value = line[key] === null ? '' : String(line[key]);
            else if (value !== line[key]) put({ [key]: value });
          }}
          onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
          className={`${INPUT} mx-1 h-7 w-20 text-right font-mono`}
          maxLength={20}
          inputMode="decimal"
        />
      </label>
    );
  return (
    <div className="border-line border-b py-1 text-sm" data-testid={`line-${number}`}>
      <div className="flex flex-wrap items-center gap-x-3">
        <strong>Line {number}</strong>
        <span>
          {closed && line.from === null && line.to === null ? (
            'over all points'
          ) : (
            <>
              {x} {end('from')} {end('to')} {series.xUnit}
            </>
          )}
        </span>
        <label className={`flex items-center gap-1 ${closed && !line.throughOrigin ? 'hidden' : ''}`}>
          <input
            type="checkbox"
            checked={line.throughOrigin}
            disabled={closed}
            onChange={(event) => put({ throughOrigin: event.target.checked })}
          />
          through the origin
        </label>
        {!closed && (
          <button
            type="button"
            className="text-rust ml-auto min-h-6 underline"
            aria-label={`Remove line ${number}`}
            onClick={() => edit({ kind: 'dropLine', graph: graph.id, line: line.id })}
          >
            Remove
          </button>
        )}
      </div>
      {fit.fit ? (
        <p className="flex flex-wrap gap-x-4 font-mono">
          <span>{fit.equation}</span>
          {fit.terms.map((term) => (
            <span key={term.label}>
              <span className="text-ink-soft font-sans">
                {term.label === 'zero' ? `${series.yColumn.symbol || 'y'} is 0 at ${x} =` : term.label}
              </span>{' '}
              {term.text} {term.unit}
            </span>
          ))}
          <span>R² {written(fit.fit.rSquared, 1e-5)}</span>
          {fit.fit.residualDeviation !== undefined && (
            <span>
              <span className="text-ink-soft font-sans">residual s</span> {scatter(fit.fit)} {series.yUnit}
            </span>
          )}
          <span className="text-ink-soft font-sans">{fit.fit.count} points</span>
        </p>
      ) : (
        <p className="text-sedge">
          {fit.points.length < 2
            ? 'A line needs at least two points in its stretch.'
            : 'All points of this stretch have the same x.'}
        </p>
      )}
      {fit.crossing && (
        <p className="text-rust font-mono" data-testid={`crossing-${number}`}>
          <span className="font-sans">
            Lines {number} and {number + 1} cross at
          </span>{' '}
          {x} = {estimate(fit.crossing.x, fit.crossing.xError)} {series.xUnit}, {series.yColumn.symbol || 'y'} ={' '}
          {estimate(fit.crossing.y, fit.crossing.yError)} {series.yUnit}
        </p>
      )}
      {next && canStep(fit, next) && <StepPanel fit={fit} next={next} number={number} put={put} />}
    </div>
  );
}

/** Whether two lines can be drawn to one moment: both are there, in the same units. */
const canStep = (fit: FittedLine, next: FittedLine) =>
  fit.fit !== undefined &&
  next.fit !== undefined &&
  fit.series.xUnit === next.series.xUnit &&
  fit.series.yUnit === next.series.yUnit;

/** Two stretches drawn to one moment: the step between them there. */
function StepPanel({
  fit,
  next,
  number,
  put,
}: {
  fit: FittedLine;
  next: FittedLine;
  number: number;
  put: (change: Partial<Line>) => void;
}) {
  const { closed } = useWorking();
  const { line, series, step } = fit;
  const x = series.xColumn.symbol || 'x';
  const areas = closed ? undefined : slowStepAt(fit, next);
  if (closed && !step) return null;
  return (
    <p className="flex flex-wrap items-center gap-x-3" data-testid={`step-${number}`}>
      {closed ? (
        <span>
          Lines {number} and {number + 1} drawn to {x} = {line.stepAt} {series.xUnit}
        </span>
      ) : (
        <label>
          Lines {number} and {number + 1} drawn to {x} =
          <input
            key={String(line.stepAt)}
            defaultValue={line.stepAt === undefined ? '' : String(line.stepAt)}
            placeholder="a moment"
            aria-label={`Moment that lines ${number} and ${number + 1} are drawn to`}
            onBlur={(event) => {
              const text = event.target.value.trim();
              const value = text === '' ? undefined : parseTyped(text)?.value;
              if (text !== '' && value === undefined)
                event.target.value = line.stepAt === undefined ? '' : String(line.stepAt);
              else if (value !== line.stepAt) put({ stepAt: value });
            }}
            onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
            className={`${INPUT} mx-1 h-7 w-24 text-right font-mono`}
            maxLength={20}
            inputMode="decimal"
          />
          {series.xUnit}
        </label>
      )}
      {areas !== undefined && (
        <button type="button" className={QUIET_BUTTON} onClick={() => put({ stepAt: Number(areas.toPrecision(5)) })}>
          by equal areas
        </button>
      )}
      {step && (
        <span className="text-rust font-mono">
          <span className="font-sans">step</span> Δ{series.yColumn.symbol || 'y'} = {estimate(step.step, step.error)}{' '}
          {differenceUnit(series.yUnit)}
        </span>
      )}
    </p>
  );
}

/** The residual standard deviation to two digits; what is only rounding in the arithmetic is nothing. */
function scatter({ residualDeviation = 0, slope, intercept }: LineFit): string {
  const size = Math.abs(slope) + Math.abs(intercept);
  return residualDeviation < 1e-12 * size ? '0' : written(residualDeviation, lastOf(residualDeviation, 2));
}

/** The point that was pointed at: its values, the line it is on, and the way to another. */
/** What is drawn upwards: the column, or its derivative. */
const quantityOf = (series: Chosen['series']) => series.yLabel.split(' / ')[0] || 'y';

export function PointPanel({ graph, fits, chosen }: { graph: Graph; fits: readonly FittedLine[]; chosen: Chosen }) {
  const { workbook, edit, closed } = useWorking();
  const { series, point } = chosen;
  const keep = (axis: 'x' | 'y', symbol: string) => {
    const text = closed ? undefined : keptPoint(workbook, series, point, axis);
    if (text === undefined) return null;
    return (
      <button
        type="button"
        className={QUIET_BUTTON}
        onClick={() => edit({ kind: 'putCalculation', calculation: { id: shortId(), text } })}
      >
        Keep {symbol}
      </button>
    );
  };
  const own = fits
    .map((fit, i) => ({ fit, number: i + 1 }))
    .filter(({ fit }) => fit.series.series.id === series.series.id);
  const on = own.filter(({ fit }) => isOnLine(fit.line, point));
  const moveTo = (target: string | null) => {
    for (const { fit } of own) {
      const { line } = fit;
      const others = {
        also: line.also.filter((row) => row !== point.row),
        not: line.not.filter((row) => row !== point.row),
      };
      const isIn = isOnLine({ ...line, ...others }, point);
      if (line.id === target && !isIn) others.also.push(point.row);
      if (line.id !== target && isIn) others.not.push(point.row);
      edit({ kind: 'putLine', graph: graph.id, line: { ...line, ...others } });
    }
  };
  const value = (number: number) => String(Number(number.toPrecision(8))).replace('-', '−');
  return (
    <p className="bg-mist flex flex-wrap items-center gap-x-3 px-2 py-1 text-sm" role="status" data-testid="point">
      <span className="font-mono">
        {series.xColumn.symbol || 'x'} = {value(point.x)} {series.xUnit}, {quantityOf(series)} = {value(point.y)}{' '}
        {series.yUnit}
      </span>
      {keep('x', series.xColumn.symbol || 'x')}
      {keep('y', series.yColumn.symbol || 'y')}
      {own.length > 0 && (
        <span className="text-ink-soft">
          {on.length === 0 ? 'on no line' : `on line ${on.map(({ number }) => number).join(' and ')}`}
        </span>
      )}
      {!closed &&
        own
          .filter(({ fit }) => on.length !== 1 || !on.some((entry) => entry.fit === fit))
          .map(({ fit, number }) => (
            <button key={fit.line.id} type="button" className={QUIET_BUTTON} onClick={() => moveTo(fit.line.id)}>
              Move to line {number}
            </button>
          ))}
      {!closed && on.length > 0 && (
        <button type="button" className={QUIET_BUTTON} onClick={() => moveTo(null)}>
          Take off its line
        </button>
      )}
    </p>
  );
}
