import { memo, useDeferredValue, useMemo, useState } from 'react';
import type { BenchRecordings } from '@core/notebook/readings';
import { tableOf, readBlock } from '@core/notebook/exchange';
import { LIMITS } from '@core/notebook/limits';
import { download } from '@app/ui/download';
import { Button, Wrong } from '@app/ui/form';
import { shortId } from '@app/ui/new-id';
import { useWorkbook } from '../picker';
import { OvertakenNote } from '../overtaken-note';
import { KeepingNote } from '../report';
import type { LiveNotebook } from '../use-notebook';
import { Calculator } from './calculator';
import { GraphView } from './graph-view';
import { PasteForm } from './paste-form';
import { SketchView } from './sketch-view';
import { TableView } from './table-view';
import { WorkingContext, type WorkingState } from './working-context';

interface WorkingProps {
  live: LiveNotebook;
  bench: BenchRecordings;
  closed: boolean;
  /** Leaves a trial out of what counts, or takes it back in: an act at the bench, since the trial is the bench's. */
  onCountTrial: (trial: number, reason: string | null) => void;
  /** The moment that the bench shows now. */
  moment: () => { act: number; atS: number };
}

/** A name that no other has: "Table 3". */
function freshName(what: string, taken: readonly { name: string }[]): string {
  for (let n = 1; ; n++) {
    const name = `${what} ${n}`;
    if (!taken.some((item) => item.name === name)) return name;
  }
}

const QuietTable = memo(TableView);
const QuietGraph = memo(GraphView);

/** The Working page: tables, graphs, calculations and sketches, in the order in which they were made. */
function Working({ live, bench, closed, onCountTrial, moment }: WorkingProps) {
  const { notebook, edit } = live;
  // While a probe logs, its lines come faster than long tables and graphs are drawn: the hand goes first.
  const workbook = useWorkbook(notebook, useDeferredValue(bench));
  const [pointed, point] = useState<WorkingState['pointed']>(null);
  const [pasting, setPasting] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [dropped, setDropped] = useState<{ what: string; back: () => void } | null>(null);
  const state = useMemo(
    (): WorkingState => ({
      workbook,
      edit,
      closed,
      pointed,
      point,
      onCountTrial,
      say: setTrouble,
      onDropped: setDropped,
    }),
    [workbook, edit, closed, pointed, onCountTrial],
  );

  const addTable = () => {
    const columns = ['x', 'y'].map((symbol) => ({
      id: shortId(),
      name: '',
      symbol,
      unit: '',
      kind: 'typed' as const,
      formula: '',
      slot: '',
      uncertainty: '',
      digits: null,
    }));
    const rows = Array.from({ length: 4 }, () => ({ id: shortId(), cells: {}, out: null }));
    const name = freshName('Table', notebook.tables);
    edit({ kind: 'addTable', table: { id: shortId(), name, origin: 'typed', columns, rows } });
  };
  const takeBlock = (text: string, name: string | null, origin: 'pasted' | 'file') => {
    const block = readBlock(text);
    if ('sentence' in block) return setTrouble(block.sentence);
    setTrouble(null);
    setPasting(false);
    const table = tableOf(block, name ?? freshName('Table', notebook.tables), origin, shortId);
    edit({ kind: 'addTable', table });
  };
  const takeFile = async (file: File) => {
    if (file.size > 4_000_000) return setTrouble('This file has more than 4 MB, more than a table can hold.');
    if (/\.json$/i.test(file.name))
      return setTrouble('JSON goes out of a notebook, for keeping; a table comes in as CSV or by pasting.');
    takeBlock(await file.text(), file.name.replace(/\.\w+$/, '').slice(0, 80), 'file');
  };
  const addGraph = () => {
    const table =
      notebook.tables.find((entry) => workbook.rowsOf(entry).length > 1 && entry.columns.length > 1) ??
      notebook.tables[0];
    const typed = table?.columns ?? [];
    const named = (id: string | undefined) => typed.find((column) => column.id === id);
    const [x, y] = [
      named(table?.axes?.x) ?? typed[0],
      named(table?.axes?.y) ?? (table?.origin === 'readings' ? typed.at(-1) : typed[1]),
    ];
    if (!table || !x || !y) return setTrouble('A graph needs a table with two columns. Make the table first.');
    const free = { min: '', max: '' };
    // Tables that are alike but for what they are about go on one graph.
    const alike = notebook.tables.filter(
      (other) =>
        other.id === table.id ||
        (table.part !== undefined &&
          other.part !== undefined &&
          other.axes?.x === x.id &&
          workbook.rowsOf(other).length > 1),
    );
    const series = alike.map((other) => ({
      id: shortId(),
      table: other.id,
      x: x.id,
      y: y.id,
      shape: 'points' as const,
      window: 3,
    }));
    const name = freshName('Graph', notebook.graphs);
    edit({
      kind: 'addGraph',
      graph: { id: shortId(), name, series, lines: [], x: free, y: free, residuals: false },
    });
  };
  const addSketch = (under: 'bench' | 'loupe' | 'nothing') => {
    const name = freshName(under === 'nothing' ? 'Sketch' : 'Snapshot', notebook.sketches);
    const { readings } = bench;
    edit({
      kind: 'addSketch',
      sketch: { id: shortId(), name, under, ...moment(), readings: readings.length, marks: [] },
    });
  };

  return (
    <WorkingContext value={state}>
      {!closed && (
        <div className="mb-3 flex flex-wrap gap-2" role="toolbar" aria-label="Add to the notebook">
          <Button type="button" onClick={addTable} disabled={notebook.tables.length >= LIMITS.tables}>
            New table
          </Button>
          <Button type="button" onClick={() => setPasting(!pasting)} aria-expanded={pasting}>
            Paste a table
          </Button>
          <FileButton onFile={(file) => void takeFile(file)} />
          <Button type="button" onClick={addGraph}>
            New graph
          </Button>
          <Button type="button" onClick={() => addSketch('bench')}>
            Snapshot of the bench
          </Button>
          <Button type="button" onClick={() => addSketch('loupe')}>
            Draw the scale
          </Button>
          <Button type="button" onClick={() => addSketch('nothing')}>
            Empty sketch
          </Button>
          <Button type="button" look="quiet" onClick={live.undo} disabled={live.undoes === null}>
            {live.undoes === null ? 'Nothing to take back' : `Take back: ${live.undoes}`}
          </Button>
        </div>
      )}
      {pasting && <PasteForm onPaste={(text) => takeBlock(text, null, 'pasted')} onClose={() => setPasting(false)} />}
      <div aria-live="polite">
        {(trouble ?? live.refusal) && <Wrong>{trouble ?? live.refusal}</Wrong>}
        <OvertakenNote live={live} />
        {dropped && (
          <p className="bg-mist mb-3 flex items-center gap-3 px-3 py-1 text-sm">
            {dropped.what} was removed.
            <button
              type="button"
              className="text-water min-h-6 underline"
              onClick={() => {
                dropped.back();
                setDropped(null);
              }}
            >
              Put it back
            </button>
          </p>
        )}
      </div>
      {notebook.tables.map((table) => (
        <QuietTable key={table.id} table={table} />
      ))}
      {notebook.graphs.map((graph) => (
        <QuietGraph key={graph.id} graph={graph} />
      ))}
      <Calculator />
      {notebook.sketches.map((sketch) => (
        <SketchView key={sketch.id} sketch={sketch} readings={bench.readings} />
      ))}
      <div className="mt-4 flex items-center justify-between">
        <KeepingNote keeping={live.keeping} onTry={live.tryAgain} />
        <SaveJson live={live} bench={bench} />
      </div>
    </WorkingContext>
  );
}

/** Drawn anew when notebook or recordings change, not with what only moves on the bench. */
export default memo(Working);

function FileButton({ onFile }: { onFile: (file: File) => void }) {
  return (
    <label className="border-reed text-reed focus-within:outline-water inline-flex min-h-8 cursor-pointer items-center rounded-[3px] border px-3 py-1 text-sm font-medium focus-within:outline-2 focus-within:outline-offset-2">
      Table from a file
      <input
        type="file"
        accept=".csv,.tsv,.txt,text/csv,text/tab-separated-values,text/plain"
        className="sr-only"
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) onFile(file);
          event.target.value = '';
        }}
      />
    </label>
  );
}

/** The whole notebook as JSON, to keep or to take elsewhere. */
function SaveJson({ live, bench }: { live: LiveNotebook; bench: BenchRecordings }) {
  const save = () => {
    const { readings, leftOut } = bench;
    const text = JSON.stringify({ fenNotebook: 1, readings, leftOut, ...live.notebook }, null, 2);
    download(new Blob([text], { type: 'application/json' }), 'notebook.json');
  };
  return (
    <button type="button" className="text-water min-h-6 text-sm underline" onClick={save}>
      Notebook as JSON
    </button>
  );
}
