import { readdirSync, readFileSync } from 'node:fs';
import { renderToStaticMarkup } from 'react-dom/server';
import { MemoryRouter } from 'react-router';
import { describe, expect, it } from 'vitest';
import { PRACTICALS, type AnyBench, type AnyLabels, type PracticalId } from '@core/practicals/registry';
import { RunContext } from '@app/notebook/run-context';
import { drawingOf, loadDrawing } from './every-drawing';
import type { Bench } from './use-bench';

/** Every family's bench, drawn at moments of runs that were recorded once: of practised hands and of wild ones. */

interface Log {
  practical: PracticalId;
  setup: unknown;
  seed: string;
  index: number;
  acts: [afterS: number, act: unknown][];
}

const folder = new URL('../../scripts/golden/logs/', import.meta.url);
const logs = readdirSync(folder).map((file) => ({
  file,
  log: JSON.parse(readFileSync(new URL(file, folder), 'utf8')) as Log,
}));

/** The bench at the beginning, half-way, and in the end. */
function momentsOf({ practical: id, setup, seed, index, acts }: Log): AnyBench[] {
  const practical = PRACTICALS[id];
  let bench = practical.open(setup, practical.sample(setup, seed, index), seed);
  const moments = [bench];
  acts.forEach(([afterS, act], i) => {
    bench = bench.advance(afterS);
    const outcome = bench.perform(practical.readAct(act));
    if (!('refusal' in outcome)) bench = outcome.bench;
    if (i === acts.length - 1 || (i + 1) % Math.ceil(acts.length / 2) === 0) moments.push(bench);
  });
  return moments;
}

const nothing = () => {};
const benchOf = (live: AnyBench): Bench => ({
  view: live.view(),
  answered: 0,
  waiting: 0,
  online: true,
  gaveUp: false,
  offered: 0,
  ended: false,
  resting: false,
  message: null,
  act: nothing,
  doOffered: nothing,
  leaveOffered: nothing,
  tryAgain: nothing,
  leaveFirst: nothing,
  goOn: nothing,
  moment: () => ({ act: 0, atS: 0 }),
});

const drawn = (labels: AnyLabels, what: React.ReactNode): string =>
  renderToStaticMarkup(
    <MemoryRouter>
      <RunContext value={{ runId: 'run', labels, sampleNumber: 'A-1' }}>{what}</RunContext>
    </MemoryRouter>,
  );

function pageOf(live: AnyBench, labels: AnyLabels): string {
  const { Page } = drawingOf(labels.family);
  const hands = { sampleNumber: 'A-1', lettersOn: true, say: nothing, onRecordKey: nothing, closed: false };
  return drawn(labels, <Page bench={benchOf(live)} labels={labels} {...hands} />);
}

function stillOf(live: AnyBench, labels: AnyLabels): string {
  const view = live.view();
  const { Still, Loupe } = drawingOf(labels.family);
  return drawn(
    labels,
    <>
      <Still view={view} labels={labels} sampleNumber="A-1" />
      <Loupe view={view} unnumbered={false} />
    </>,
  );
}

/** The attributes of every element that has one of this name. */
const having = (markup: string, name: string): string[] =>
  [...markup.matchAll(new RegExp(`<[a-z]+ [^>]*\\b${name}="[^"]*"[^>]*>`, 'g'))].map(([tag]) => tag);
const value = (tag: string, name: string) => new RegExp(`\\b${name}="([^"]*)"`).exec(tag)?.[1];

describe.each(logs)('$file, drawn', ({ log }) => {
  it('is whole at every moment: no number that is none, each thing once and by name, one of them to be reached by Tab', async () => {
    const practical = PRACTICALS[log.practical];
    const labels = practical.labels(log.setup);
    await loadDrawing(labels.family);
    for (const live of momentsOf(log)) {
      const page = pageOf(live, labels);
      for (const markup of [page, stillOf(live, labels)]) {
        // Attributes and texts that a number went wrong in.
        expect(markup).not.toMatch(/NaN|Infinity|="undefined|>undefined|\[object Object\]/);
        const { words } = live.secrets();
        expect(words.filter((word) => word.length > 3 && markup.includes(word))).toEqual([]);
      }
      const things = having(page, 'data-thing');
      const names = things.map((tag) => value(tag, 'data-thing'));
      expect(new Set(names).size, 'each thing once').toBe(names.length);
      for (const tag of things) expect(value(tag, 'aria-label'), tag).toMatch(/\S{2}/);
      expect(things.filter((tag) => value(tag, 'tabindex') === '0').length).toBe(1);
      // Nobody works at a bench that is looked back on.
      expect(having(stillOf(live, labels), 'aria-pressed').filter((tag) => /aria-pressed="true"/.test(tag))).toEqual(
        [],
      );
    }
  });
});
