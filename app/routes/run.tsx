import { Tabs } from 'radix-ui';
import { lazy, Suspense, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { data, Link } from 'react-router';
import { z } from 'zod';
import { PRACTICALS } from '@core/practicals/registry';
import { finishRun, handIn, handInsOf, told } from '@server/hand-ins';
import { withoutKey } from '@core/report/asks';
import { influencesOf, prepareInfluences } from '@server/influences';
import { presentNotebook } from '@server/notebooks';
import { poolOpen } from '@server/pools';
import { ownRun, standingView } from '@server/runs';
import { drawingOf } from '@app/bench/drawings';
import { Keys } from '@app/bench/keys';
import { Seam, useSeam } from '@app/bench/seam';
import { useBench, type Bench } from '@app/bench/use-bench';
import { Notices } from '@app/bench/notices';
import { Method } from '@app/notebook/method';
import { Readings } from '@app/notebook/readings';
import { Report, useHandIn } from '@app/notebook/report';
import { RunContext } from '@app/notebook/run-context';
import { useNotebook } from '@app/notebook/use-notebook';
import { useKept } from '@app/ui/use-kept';
import { found, idIn, tokensOf, tried } from '../session';
import type { Route } from './+types/run';

export async function loader({ request, params }: Route.LoaderArgs) {
  const runId = idIn(params.runId);
  const run = await found(ownRun(runId, await tokensOf(request)));
  const practical = PRACTICALS[run.practical];
  const [standing, handIns, notebook] = await Promise.all([
    standingView(runId),
    handInsOf(runId),
    presentNotebook(runId),
  ]);
  const triesLeft = run.closed ? 0 : Math.max(run.rules.handIns - handIns.length, 0);
  return {
    runId,
    title: practical.title,
    labels: practical.labels(run.setup),
    brief: practical.brief(run.setup),
    asks: run.asks.map(withoutKey),
    sampleNumber: run.sampleNumber,
    isTry: run.isTry,
    isOpen: run.isOpen,
    closed: run.closed,
    triesLeft,
    notebook,
    told: handIns.map((entry) => told(entry, run.rules, triesLeft)).reverse(),
    standing,
    hasPool: await poolOpen(run),
    tellsMore: run.rules.tellInfluences,
    moved: run.rules.tellInfluences && (run.closed || !run.isOpen) ? await influencesOf(runId) : undefined,
  };
}

export function action({ request, params }: Route.ActionArgs) {
  return tried(async () => {
    const runId = idIn(params.runId);
    const sent = z.object({ do: z.literal('finish') }).safeParse(await request.json().catch(() => null));
    if (sent.success) await finishRun(runId, await tokensOf(request));
    else await handIn(runId, await tokensOf(request));
    prepareInfluences(runId);
    return data({ handedIn: true });
  });
}

const Working = lazy(() => import('@app/notebook/working/working'));

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: loaderData ? `Sample ${loaderData.sampleNumber} · Fen` : 'Fen' },
];

const PARTS = ['brief', 'readings', 'working', 'report'] as const;
type Part = (typeof PARTS)[number];

/** A key of the page acts unless somebody is typing. */
function usePageKeys(keys: Record<string, () => void>) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || event.ctrlKey || event.metaKey || event.altKey)
        return;
      const act = keys[event.key.toLowerCase()];
      if (!act) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [keys]);
}

export default function Run({ loaderData }: Route.ComponentProps) {
  const { runId, labels, asks, closed, isOpen } = loaderData;
  const bench = useBench(runId, loaderData.standing);
  const live = useNotebook(runId, loaderData.notebook);
  const { handIn: send, finish, busy, mistake } = useHandIn(live);
  const seam = useSeam();
  const [part, setPart] = useState<Part>('brief');
  const [keysOpen, setKeysOpen] = useState(false);
  const [kept, keep] = useKept('fen-letters', 'on');
  const letters = kept === 'on';
  const [said, setSaid] = useState<string | null>(null);
  const fixed = closed || !isOpen;
  const { Page: BenchPage, keys: benchKeys } = drawingOf(bench.view.family);

  const toReading = useCallback(() => {
    setPart('readings');
    setTimeout(() => document.getElementById('reading')?.focus(), 0);
  }, []);
  usePageKeys({ '?': () => setKeysOpen(true), ...(letters ? { f: seam.turn } : {}) });
  const act: Bench['act'] = (next) => {
    setSaid(null);
    bench.act(next);
  };
  const alive = { ...bench, act };
  const run = useMemo(
    () => ({ runId, labels, sampleNumber: loaderData.sampleNumber }),
    [runId, labels, loaderData.sampleNumber],
  );
  const toCount = useRef(act);
  useEffect(() => {
    toCount.current = act;
  });
  const onCountTrial = useCallback((trial: number, reason: string | null) => {
    toCount.current({ kind: 'count', trial, counts: reason === null, reason: reason ?? '' });
  }, []);

  return (
    <RunContext value={run}>
      <div className="flex h-dvh min-h-[640px] flex-col overflow-hidden">
        <header className="border-line flex flex-wrap items-center gap-x-4 border-b px-3 py-[7px]">
          <Link
            to={loaderData.isTry ? '/prep' : '/work'}
            className="text-ink font-serif text-lg no-underline"
          >
            Fen
          </Link>
          <h1 className="text-base sm:whitespace-nowrap">
            {loaderData.title}
            <span className="text-ink-soft ml-3 font-mono text-sm">sample {loaderData.sampleNumber}</span>
            {loaderData.isTry && (
              <span className="text-sedge ml-3 text-sm">a try: it counts for nothing</span>
            )}
          </h1>
          <Notices bench={bench} said={said} />
          {bench.view.paused && <span className="text-sedge text-sm font-medium">bench clock stopped</span>}
          {seam.narrow && (
            <button type="button" className="text-water min-h-6 text-sm underline" onClick={seam.other}>
              {seam.whole === 'bench' ? 'Notebook' : 'Bench'}
            </button>
          )}
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
              style={{ width: seam.whole === 'both' ? `${seam.percent}%` : '100%' }}
              className="min-w-0"
            >
              <BenchPage
                bench={alive}
                labels={labels}
                sampleNumber={loaderData.sampleNumber}
                lettersOn={letters}
                say={setSaid}
                onRecordKey={toReading}
              />
            </section>
          )}
          {seam.whole === 'both' && <Seam percent={seam.percent} onMove={seam.move} />}
          {seam.whole !== 'bench' && (
            <section aria-label="Notebook" className="flex min-w-0 grow basis-0 flex-col">
              <Method
                steps={bench.view.steps}
                closed={fixed}
                onTick={(step, on) => act({ kind: 'tick', step: step.key, on })}
              />
              <Tabs.Root
                value={part}
                onValueChange={(value) => setPart(value as Part)}
                className="flex min-h-0 grow flex-col"
              >
                <Tabs.List
                  aria-label="Parts of the notebook"
                  className="border-line flex gap-6 border-b px-4 pt-2"
                >
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
                <div
                  className="min-h-0 grow overflow-y-auto px-4 py-4"
                  tabIndex={0}
                  role="region"
                  aria-label={`Notebook: ${part}`}
                >
                  <Tabs.Content value="brief" className="max-w-[70ch] font-serif">
                    {loaderData.brief.map((paragraph, i) => (
                      <p key={i} className="mb-3">
                        {paragraph}
                      </p>
                    ))}
                  </Tabs.Content>
                  <Tabs.Content value="readings">
                    <Readings view={bench.view} closed={fixed} onAct={act} />
                  </Tabs.Content>
                  <Tabs.Content value="working" className="max-w-[900px]">
                    <Suspense fallback={<p className="text-ink-soft">Opening your working…</p>}>
                      <Working
                        live={live}
                        bench={bench.view}
                        closed={closed}
                        onCountTrial={onCountTrial}
                        moment={bench.moment}
                      />
                    </Suspense>
                  </Tabs.Content>
                  <Tabs.Content value="report" className="max-w-[760px]">
                    {loaderData.hasPool && (
                      <p className="mb-4">
                        <Link to={`/runs/${runId}/pooled`}>The results of the whole class, with yours</Link>
                      </p>
                    )}
                    <Report
                      runId={runId}
                      asks={asks}
                      live={live}
                      bench={bench.view}
                      mistake={mistake}
                      closed={closed}
                      told={loaderData.told}
                      moved={loaderData.moved}
                      tellsMore={loaderData.tellsMore}
                      triesLeft={loaderData.triesLeft}
                      isOpen={isOpen}
                      busy={busy || bench.waiting > 0}
                      onHandIn={send}
                      onFinish={finish}
                    />
                  </Tabs.Content>
                </div>
              </Tabs.Root>
            </section>
          )}
        </main>
      </div>
    </RunContext>
  );
}
