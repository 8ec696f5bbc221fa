import { lazy, Suspense } from 'react';
import { PRACTICALS } from '@core/practicals/registry';
import { withoutKey } from '@core/report/asks';
import { handInsOf, frozenNotebook, told } from '@server/hand-ins';
import { presentNotebook } from '@server/notebooks';
import { nameOfRunner, ownRun, standingView } from '@server/runs';
import { RunContext } from '@app/notebook/run-context';
import { Button } from '@app/ui/form';
import { When } from '@app/ui/when';
import { found, idIn, tokensOf } from '../session';
import type { Route } from './+types/run-print';

export async function loader({ request, params }: Route.LoaderArgs) {
  const runId = idIn(params.runId);
  const run = await found(ownRun(runId, await tokensOf(request)));
  const practical = PRACTICALS[run.practical];
  const [standing, handIns, frozen, present, name] = await Promise.all([
    standingView(runId),
    handInsOf(runId),
    frozenNotebook(runId),
    presentNotebook(runId),
    nameOfRunner(runId),
  ]);
  const triesLeft = run.closed ? 0 : Math.max(run.rules.handIns - handIns.length, 0);
  const last = handIns.at(-1);
  const { readings, trial, leftOut, logged } = standing.view;
  return {
    runId,
    name,
    title: practical.title,
    labels: practical.labels(run.setup),
    brief: practical.brief(run.setup),
    sampleNumber: run.sampleNumber,
    asks: (last?.asks ?? run.asks).map(withoutKey),
    notebook: frozen ?? present.notebook,
    bench: { readings, trial, leftOut, logged },
    handedIn: last ? told(last, run.rules, triesLeft) : null,
  };
}

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: loaderData ? `Lab report, sample ${loaderData.sampleNumber}` : 'Fen' },
];

const ClosedBook = lazy(() => import('@app/notebook/closed-book'));

/** The notebook as a lab report on A4. */
export default function RunPrint({ loaderData }: Route.ComponentProps) {
  const { runId, labels, sampleNumber, handedIn } = loaderData;
  const verdicts = Object.fromEntries(
    (handedIn?.items ?? []).flatMap((item) => {
      const ask = loaderData.asks.find((entry) => entry.label === item.label);
      const text = [item.verdict, item.truth].filter(Boolean).join(' ');
      return ask && text ? [[ask.key, text]] : [];
    }),
  );
  return (
    <RunContext value={{ runId, labels, sampleNumber }}>
      <main className="lab-report mx-auto max-w-[180mm] px-4 py-6">
        <p className="no-print mb-4 flex items-center gap-4">
          <Button type="button" look="main" onClick={() => window.print()}>
            Print
          </Button>
          <span className="text-ink-soft text-sm">The browser’s print dialog can save it as PDF too.</span>
        </p>
        <header className="border-ink mb-4 border-b-2 pb-2">
          <h1 className="text-xl">{loaderData.title}</h1>
          <p>
            {loaderData.name}, sample <span className="font-mono">{sampleNumber}</span>
            {handedIn ? (
              <>
                , handed in <When at={handedIn.at} />
              </>
            ) : (
              <span className="text-sedge">, not handed in yet</span>
            )}
          </p>
        </header>
        <section className="mb-6 font-serif">
          <h2 className="border-line mb-2 border-b text-lg">Brief</h2>
          {loaderData.brief.map((paragraph, i) => (
            <p key={i} className="mb-2">
              {paragraph}
            </p>
          ))}
        </section>
        <Suspense fallback={<p>Setting the pages…</p>}>
          <ClosedBook
            notebook={loaderData.notebook}
            bench={loaderData.bench}
            asks={loaderData.asks}
            verdicts={verdicts}
            forPaper
          />
        </Suspense>
      </main>
    </RunContext>
  );
}
