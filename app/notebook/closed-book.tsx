import { useMemo } from 'react';
import type { Answer, Notebook } from '@core/notebook/document';
import type { BenchRecordings, BenchSlot } from '@core/notebook/readings';
import { trace } from '@core/notebook/trace';
import type { Ask, AskOf } from '@core/report/asks';
import { gridOf } from '@core/report/grid';
import { SECTIONS } from '@core/report/sections';
import { benchClock } from '@app/ui/bench-clock';
import { useWorkbook } from './picker';
import { SeenTable } from './seen-table';
import { TraceView } from './trace-view';
import { Calculator } from './working/calculator';
import { GraphView } from './working/graph-view';
import { SketchView, StillSketch } from './working/sketch-view';
import { TableView } from './working/table-view';
import { WorkingContext, type WorkingState } from './working/working-context';

interface ClosedBookProps {
  notebook: Notebook;
  bench: BenchRecordings;
  asks: readonly Ask[];
  /** What is said beside an answer: how close it is, or nothing. */
  verdicts?: Readonly<Record<string, string>>;
  /** On paper the readings are listed, and nothing waits to be opened. */
  forPaper?: boolean;
  /** What the readings of this bench are called. */
  slots?: readonly BenchSlot[];
}

const nothing = () => {};
const never = () => false;

/** A notebook to be read: what was asked and answered, with the way back from each number, and all the working. */
export default function ClosedBook({
  notebook,
  bench,
  asks,
  verdicts = {},
  forPaper = false,
  slots = [],
}: ClosedBookProps) {
  const workbook = useWorkbook(notebook, bench);
  const state = useMemo(
    (): WorkingState => ({
      workbook,
      edit: never,
      closed: true,
      pointed: null,
      point: nothing,
      onCountTrial: nothing,
      say: nothing,
      onDropped: nothing,
      forPaper,
    }),
    [workbook, forPaper],
  );
  const section = (when: (typeof SECTIONS)[number]['when']) => {
    const asked = asks.filter((ask) => ask.when === when);
    if (asked.length === 0) return null;
    return (
      <section className="mb-6">
        <h2 className="border-line mb-2 border-b text-lg">{SECTIONS.find((entry) => entry.when === when)?.title}</h2>
        {asked.map((ask) => (
          <Answered
            key={ask.key}
            ask={ask}
            answer={notebook.answers[ask.key]}
            verdict={verdicts[ask.key]}
            workbook={workbook}
            forPaper={forPaper}
          />
        ))}
      </section>
    );
  };
  return (
    <WorkingContext value={state}>
      {section('before')}
      {forPaper && <ReadingsList bench={bench} slots={slots} />}
      {bench.seen && bench.seen.length > 0 && (
        <section className="mb-6">
          <h2 className="border-line mb-2 border-b text-lg">What was seen</h2>
          <SeenTable seen={bench.seen} />
        </section>
      )}
      {section('result')}
      {section('after')}
      <section>
        <h2 className="border-line mb-2 border-b text-lg">Working</h2>
        {notebook.tables.map((table) => (
          <TableView key={table.id} table={table} />
        ))}
        {notebook.graphs.map((graph) => (
          <GraphView key={graph.id} graph={graph} />
        ))}
        <Calculator />
        {notebook.sketches.map((sketch) => (
          <SketchView key={sketch.id} sketch={sketch} readings={bench.readings} />
        ))}
      </section>
    </WorkingContext>
  );
}

function ReadingsList({ bench, slots }: { bench: BenchRecordings; slots: readonly BenchSlot[] }) {
  const labelOf = (slot: string) => slots.find((one) => one.slot === slot)?.label ?? slot;
  if (bench.readings.length === 0) return null;
  return (
    <section className="mb-6">
      <h2 className="border-line mb-2 border-b text-lg">Readings, in the order taken</h2>
      <table className="text-sm">
        <tbody>
          {bench.readings.map((reading) => (
            <tr key={reading.index}>
              <td className="text-ink-soft pr-4 font-mono">{benchClock(reading.atS)}</td>
              <td className="pr-4">
                {reading.instrument}, trial {reading.trial}, {labelOf(reading.slot)}
              </td>
              <td className={`pr-4 font-mono ${reading.struck ? 'line-through' : ''}`}>
                {reading.text} {reading.unit}
              </td>
              <td className="text-ink-soft">{reading.struck && `struck out: ${reading.struck}`}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

interface AnsweredProps {
  ask: Ask;
  answer: Answer | undefined;
  verdict: string | undefined;
  workbook: ReturnType<typeof useWorkbook>;
  forPaper: boolean;
}

function Answered({ ask, answer, verdict, workbook, forPaper }: AnsweredProps) {
  const text = answer?.text.trim() ?? '';
  const way = answer?.from && trace(workbook, answer.from);
  const isNumber = ask.kind === 'number' || ask.kind === 'ratio';
  return (
    <div className="mb-3 break-inside-avoid">
      <p className="text-ink-soft">{ask.label}</p>
      {text === '' ? (
        <p className="text-ink-soft italic">not answered</p>
      ) : ask.kind === 'sketch' || ask.kind === 'table' || ask.kind === 'graph' ? (
        <Attached kind={ask.kind} id={text} workbook={workbook} />
      ) : ask.kind === 'grid' ? (
        <GridAnswered ask={ask} text={text} />
      ) : (
        <p className={`text-heather whitespace-pre-wrap ${isNumber ? 'font-mono' : 'font-serif'}`}>
          {text} {isNumber && !/[a-z]/i.test(text) ? answer?.unit : ''}
        </p>
      )}
      {verdict && <p className="text-sm font-medium">{verdict}</p>}
      {ask.kind === 'number' && text !== '' && !way && <p className="text-ink-soft text-sm">Typed by hand.</p>}
      {way && (
        <details className="text-sm" open={forPaper}>
          <summary>Taken from the notebook: {way.label}</summary>
          <TraceView trace={way} />
        </details>
      )}
    </div>
  );
}

/** A grid as it was filled in. */
function GridAnswered({ ask, text }: { ask: AskOf<'grid'>; text: string }) {
  const grid = gridOf(text, ask);
  return (
    <table className="[&_td]:border-line [&_th]:border-line text-sm [&_td]:border [&_td]:px-2 [&_th]:border [&_th]:px-2 [&_th]:text-left">
      <thead>
        <tr>
          <td />
          {ask.columns.map((column) => (
            <th key={column} scope="col">
              {column}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {ask.rows.map((row, i) => (
          <tr key={row}>
            <th scope="row">{row}</th>
            {ask.columns.map((column, j) => (
              <td key={column} className="text-heather font-serif">
                {grid[i]?.[j] || '–'}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What was attached, shown where it is asked for when it is a sketch; tables and graphs stand in the working below. */
function Attached({
  kind,
  id,
  workbook,
}: {
  kind: 'sketch' | 'table' | 'graph';
  id: string;
  workbook: AnsweredProps['workbook'];
}) {
  const { tables, graphs, sketches } = workbook.notebook;
  if (kind === 'sketch') {
    const sketch = sketches.find((entry) => entry.id === id);
    return sketch ? <StillSketch sketch={sketch} /> : <p className="text-sedge">It is no longer in the notebook.</p>;
  }
  const found = [...tables, ...graphs].find((entry) => entry.id === id);
  return (
    <p className="text-heather font-serif">{found ? `${found.name}, below` : 'It is no longer in the notebook.'}</p>
  );
}
