import { Tabs } from 'radix-ui';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { data, Link } from 'react-router';
import { z } from 'zod';
import { PASSES_AT_MOST_S } from '@core/practicals/bench-clock';
import { PRACTICALS } from '@core/practicals/registry';
import { finishRun, handIn, toldOf } from '@server/hand-ins';
import { withoutKey } from '@core/report/asks';
import { movedFor, prepareInfluences } from '@server/influences';
import { presentNotebook } from '@server/notebooks';
import { poolOpen } from '@server/pools';
import { briefFor } from '@server/knowledge';
import { ownRun, requireOwner, standingView } from '@server/runs';
import { BriefText } from '@app/notebook/brief';
import { drawingOf, loadDrawing } from '@app/bench/every-drawing';
import { prefetchNames } from '@app/bench/bench-frame';
import { Keys, prefetchKeys } from '@app/bench/keys';
import { prefetchExplained } from '@app/ui/glossed';
import { Seam, useSeam } from '@app/bench/seam';
import { StartAnew } from '@app/bench/start-anew';
import { useBench, type AnyAct } from '@app/bench/use-bench';
import { BenchTime } from '@app/bench/bench-time';
import { BenchWords } from '@app/bench/bench-parts';
import { Notices } from '@app/bench/notices';
import { useWords } from '@app/bench/use-words';
import { Telling } from '@app/bench/use-telling';
import { Method } from '@app/notebook/method';
import { Readings } from '@app/notebook/readings';
import { useHandIn } from '@app/notebook/hand-in';
import { AskSection, prefetchMoved, Report } from '@app/notebook/report';
import { goToAsk, prefetchFields } from '@app/notebook/report-fields';
import { RunContext } from '@app/notebook/run-context';
import { Skipped } from '@app/notebook/skipped';
import type { Step } from '@core/practicals/contract';
import { useRecordings } from '@app/notebook/use-recordings';
import { useNotebook } from '@app/notebook/use-notebook';
import { lazyPiece } from '@app/ui/lazy-piece';
import { FocusBack } from '@app/ui/use-focus-back';
import { useAlive } from '@app/ui/once-alive';
import { useOffline } from '@app/ui/offline';
import { usePageKeys } from '@app/ui/use-page-keys';
import { useKept } from '@app/ui/use-kept';
import { found, idIn, jsonIn, NOT_UNDERSTOOD, tokensOf, tried } from '../session';
import type { Route } from './+types/run';

export async function loader({ request, params }: Route.LoaderArgs) {
  const runId = idIn(params.runId);
  const run = await found(ownRun(runId, await tokensOf(request)));
  const practical = PRACTICALS[run.practical];
  const { knowledge } = run;
  const [standing, notebook, told, moved] = await Promise.all([
    found(standingView(runId, run.rules.method)),
    presentNotebook(runId),
    toldOf(runId, knowledge),
    movedFor(runId, knowledge),
  ]);
  return {
    runId,
    title: practical.title,
    book: practical.book,
    labels: practical.labels(run.setup),
    brief: briefFor(run.rules.method, practical.brief(run.setup)),
    showsSteps: run.rules.method === 'shown',
    waits: !practical.worksLong && !('movesInBrowser' in standing.view),
    asks: run.asks.map(withoutKey),
    sampleNumber: run.sampleNumber,
    isTry: run.isTry,
    settings: run.isTry ? settingsOf(new URL(request.url), run.practical) : null,
    practiceOf: run.practiceOf === null ? null : { assignment: run.practiceOf, sample: run.place },
    isOpen: run.isOpen,
    closed: run.closed,
    truthTold: run.truthTold || (knowledge.truth && told.length > 0) || Array.isArray(moved),
    handInsLeft: Array.isArray(moved) ? 0 : knowledge.handInsLeft,
    mayStartAnew: run.isTry || run.rules.freshStart,
    notebook,
    told,
    standing,
    hasPool: await poolOpen(run),
    tellsMore: run.rules.tellInfluences === 'when-done' || run.rules.tellTrueValue,
    moved,
  };
}

/** Where the settings of a try are made, as its address says. */
function settingsOf({ searchParams }: URL, practical: string): string | null {
  const isId = (text: string | null) => z.uuid().safeParse(text).success;
  const [klass, joins] = [searchParams.get('class'), searchParams.get('with')];
  if (!isId(klass)) return null;
  return `/prep/classes/${klass}/set/${practical}${isId(joins) ? `?with=${joins}` : ''}`;
}

/** A page that is come to from another one fetches the drawing of its bench with what it shows. */
export async function clientLoader({ serverLoader }: Route.ClientLoaderArgs) {
  const data = await serverLoader();
  await loadDrawing(data.labels.family);
  return data;
}

const postSchema = z.discriminatedUnion('do', [
  z.object({ do: z.literal('finish') }),
  z.object({ do: z.literal('hand in'), id: z.uuid(), number: z.number().int().min(1).max(100) }),
]);

export function action({ request, params }: Route.ActionArgs) {
  return tried(async () => {
    const runId = idIn(params.runId);
    const tokens = await tokensOf(request);
    await requireOwner(runId, tokens);
    const sent = postSchema.safeParse(await jsonIn(request));
    if (!sent.success) throw data({ mistake: NOT_UNDERSTOOD }, { status: 400 });
    if (sent.data.do === 'finish') await finishRun(runId, tokens);
    else await handIn(runId, sent.data, tokens);
    prepareInfluences(runId);
    return data({ handedIn: true });
  });
}

const Working = lazyPiece(
  () => import('@app/notebook/working/working').then((module) => module.default),
  <p className="text-ink-soft">Opening your working…</p>,
);

const ShownStep = lazyPiece(
  () => import('@app/notebook/shown/shown-step').then((module) => module.default),
  <p className="text-ink-soft bg-paper absolute inset-0 z-30 p-4">Opening another bench…</p>,
);

/** All that this page may come to need. */
const prefetch = () =>
  Promise.all([
    Working.prefetch(),
    prefetchFields(),
    prefetchMoved(),
    prefetchKeys(),
    prefetchNames(),
    prefetchExplained(),
  ]);

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: loaderData ? `Sample ${loaderData.sampleNumber} · Fen` : 'Fen' },
];

const PARTS = ['brief', 'readings', 'working', 'report'] as const;
type Part = (typeof PARTS)[number];

export default function Run({ loaderData }: Route.ComponentProps) {
  const { runId, labels, asks, closed, isOpen } = loaderData;
  const fixed = closed || !isOpen;
  const isAlive = useAlive();
  const bench = useBench(runId, loaderData.standing, fixed);
  const live = useNotebook(runId, loaderData.notebook);
  const { handIn: send, finish, busy, mistake } = useHandIn(live, loaderData.told.length);
  useOffline(prefetch);
  const seam = useSeam();
  const [part, setPart] = useState<Part>('brief');
  const [keysOpen, setKeysOpen] = useState(false);
  const [shownStep, showStep] = useState<Step | null>(null);
  const [kept, keep] = useKept('fen-letters', 'on');
  const letters = kept === 'on';
  const { Page: BenchPage, keys: benchKeys, doubts } = drawingOf(bench.view.family);
  const { act, say, said, doubt, dropDoubt } = useWords(bench, doubts);

  const toReading = useCallback(() => {
    setPart('readings');
    setTimeout(() => document.getElementById('reading')?.focus(), 0);
  }, []);
  const onGo = useCallback(
    (field: string) => {
      const isBefore = asks.find((ask) => ask.key === field)?.when === 'before';
      setPart(field === 'readings' ? 'readings' : isBefore ? 'brief' : 'report');
      setTimeout(() => goToAsk(field), 0);
    },
    [asks],
  );
  const recordings = useRecordings(bench.view);
  const fields = { live, bench: recordings, mistake, closed };
  usePageKeys({ '?': () => setKeysOpen(true), ...(letters ? { f: seam.turn } : {}) });
  const alive = { ...bench, act };
  const run = useMemo(
    () => ({ runId, labels, sampleNumber: loaderData.sampleNumber }),
    [runId, labels, loaderData.sampleNumber],
  );
  const toCount = useRef(act);
  useEffect(() => {
    toCount.current = act;
  });
  const onAct = useCallback((next: AnyAct) => toCount.current(next), []);
  const onWait = useCallback((seconds: number) => {
    for (let left = seconds; left > 0; left -= PASSES_AT_MOST_S)
      toCount.current({ kind: 'pass', seconds: Math.min(left, PASSES_AT_MOST_S) });
  }, []);
  const onCountTrial = useCallback((trial: number, reason: string | null) => {
    toCount.current({ kind: 'count', trial, counts: reason === null, reason: reason ?? '' });
  }, []);

  const words = <Notices bench={bench} said={said} doubt={doubt} onDoubtOver={dropDoubt} />;
  return (
    <RunContext value={run}>
      <div className="relative flex h-dvh min-h-[560px] flex-col overflow-hidden">
        <Telling view={bench.view} labels={labels} />
        <header className="border-line flex flex-wrap items-center gap-x-4 border-b px-3 py-[7px]">
          <Link to={loaderData.isTry ? '/prep' : '/work'} className="text-ink font-serif text-lg no-underline">
            Fen
          </Link>
          <h1 className="text-base sm:whitespace-nowrap">
            {loaderData.title}
            <span className="text-ink-soft ml-3 font-mono text-sm">sample {loaderData.sampleNumber}</span>
            {(loaderData.isTry || loaderData.practiceOf) && (
              <span className="text-sedge ml-3 text-sm">
                {loaderData.isTry ? 'a try' : 'practice'}: it counts for nothing
              </span>
            )}
            {loaderData.settings && (
              <Link to={loaderData.settings} className="ml-3 text-sm">
                Back to its settings
              </Link>
            )}
          </h1>
          {seam.whole === 'notebook' ? words : <span className="grow" />}
          <BenchTime bench={alive} fixed={fixed} waits={loaderData.waits} />
          {(seam.narrow || seam.whole !== 'both') && (
            <button type="button" className="text-water min-h-6 text-sm underline" onClick={seam.other}>
              {seam.whole === 'bench' ? 'Notebook' : 'Bench'}
            </button>
          )}
          <Link
            to={`/data-book/${loaderData.book}`}
            target="_blank"
            className="flex min-h-6 items-center text-sm max-lg:hidden"
          >
            Data book
          </Link>
          <Keys
            ofBench={benchKeys}
            open={keysOpen}
            onOpen={setKeysOpen}
            letters={letters}
            onLetters={(on) => keep(on ? 'on' : 'off')}
          />
        </header>
        <main className="flex min-h-0 grow">
          {seam.whole !== 'notebook' && (
            <section
              aria-label="Bench"
              aria-busy={!isAlive}
              data-answered={bench.answered}
              data-waiting={bench.waiting}
              style={{ width: seam.whole === 'both' ? `${seam.percent}%` : '100%' }}
              className="min-w-0"
            >
              {!isAlive && (
                <p className="bg-mist absolute z-20 px-3 py-1 text-sm" role="status">
                  The bench is being opened…
                </p>
              )}
              <BenchWords value={words}>
                <BenchPage
                  bench={alive}
                  labels={labels}
                  sampleNumber={loaderData.sampleNumber}
                  lettersOn={letters}
                  say={say}
                  onRecordKey={toReading}
                  closed={fixed}
                />
              </BenchWords>
            </section>
          )}
          {seam.whole === 'both' && <Seam percent={seam.percent} onMove={seam.move} />}
          {seam.whole !== 'bench' && (
            <section aria-label="Notebook" className="relative flex min-w-0 grow basis-0 flex-col">
              {shownStep && (
                <FocusBack key={shownStep.key}>
                  <ShownStep runId={runId} step={shownStep} onClose={() => showStep(null)} />
                </FocusBack>
              )}
              {/* What a shown step lies over is not to be reached by Tab. */}
              <div className="contents" inert={shownStep !== null}>
                <Skipped acts={loaderData.standing.skipped} />
                <Method
                  steps={bench.view.steps}
                  closed={fixed}
                  onTick={(step, on) => act({ kind: 'tick', step: step.key, on })}
                  {...(loaderData.showsSteps && { onShow: showStep })}
                />
                <Tabs.Root
                  value={part}
                  onValueChange={(value) => setPart(value as Part)}
                  className="flex min-h-0 grow flex-col"
                >
                  <Tabs.List aria-label="Parts of the notebook" className="border-line flex gap-6 border-b px-4 pt-2">
                    {PARTS.map((name) => (
                      <Tabs.Trigger
                        key={name}
                        value={name}
                        className="data-[state=active]:border-ink border-b-[3px] border-transparent pb-1 font-serif first-letter:uppercase"
                      >
                        {name}
                      </Tabs.Trigger>
                    ))}
                  </Tabs.List>
                  {/* The ground of what is placed in it, so that nothing unseen makes the page itself longer. */}
                  <div
                    className="relative min-h-0 grow overflow-y-auto px-4 py-4"
                    tabIndex={0}
                    role="region"
                    aria-label={`Notebook: ${part}`}
                  >
                    <Tabs.Content value="brief" className="max-w-[70ch]">
                      <BriefText
                        brief={loaderData.brief}
                        steps={bench.view.steps}
                        {...(loaderData.waits && !fixed && { onWait })}
                      />
                      <AskSection when="before" asks={asks} {...fields} />
                      {loaderData.mayStartAnew && !fixed && <StartAnew onAct={bench.act} />}
                    </Tabs.Content>
                    <Tabs.Content value="readings">
                      <Readings view={bench.view} message={bench.message} closed={fixed} onAct={onAct} />
                    </Tabs.Content>
                    <Tabs.Content value="working" className="max-w-[900px]">
                      <Working
                        live={live}
                        bench={recordings}
                        closed={closed}
                        onCountTrial={onCountTrial}
                        moment={bench.moment}
                      />
                    </Tabs.Content>
                    <Tabs.Content value="report" className="max-w-[760px]">
                      {loaderData.hasPool && (
                        <p className="mb-4">
                          <Link to={`/runs/${runId}/pooled`}>The results of the whole class, with yours</Link>
                        </p>
                      )}
                      <Report
                        runId={runId}
                        book={loaderData.book}
                        practiceOf={loaderData.practiceOf}
                        asks={asks}
                        {...fields}
                        onGo={onGo}
                        told={loaderData.told}
                        moved={loaderData.moved}
                        tellsMore={loaderData.tellsMore}
                        handInsLeft={loaderData.handInsLeft}
                        truthTold={loaderData.truthTold}
                        isOpen={isOpen}
                        busy={busy || bench.waiting > 0}
                        onHandIn={send}
                        onFinish={finish}
                      />
                    </Tabs.Content>
                  </div>
                </Tabs.Root>
              </div>
            </section>
          )}
        </main>
      </div>
    </RunContext>
  );
}
