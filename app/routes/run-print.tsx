import { BriefText } from '@app/notebook/brief';
import { lazy } from 'react';
import { look } from '@server/folding';
import { printed } from '@server/prints';
import { RunContext } from '@app/notebook/run-context';
import { Button } from '@app/ui/form';
import { OnceAlive } from '@app/ui/once-alive';
import { When } from '@app/ui/when';
import { found, idIn, tokensOf } from '../session';
import type { Route } from './+types/run-print';

/** For its student, or for the teacher of its class, who may read what has been told to nobody yet. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const runId = idIn(params.runId);
  return found(look(() => printed(runId, tokensOf(request))));
}

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: loaderData ? `Lab report, sample ${loaderData.sampleNumber}` : 'Fen' },
];

const ClosedBook = lazy(() => import('@app/notebook/closed-book'));

/** The notebook as a lab report on A4. */
export default function RunPrint({ loaderData }: Route.ComponentProps) {
  const { runId, labels, sampleNumber, handedIn, handedInAt } = loaderData;
  const verdicts = Object.fromEntries(
    (handedIn?.items ?? []).flatMap((item) => {
      const text = [item.verdict, item.truth].filter(Boolean).join(' ');
      return text ? [[item.key, text]] : [];
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
            {handedInAt ? (
              <>
                , handed in <When at={handedInAt} />
              </>
            ) : (
              <span className="text-sedge">, not handed in yet</span>
            )}
          </p>
        </header>
        <section className="mb-6 font-serif">
          <h2 className="border-line mb-2 border-b text-lg">Brief</h2>
          <BriefText brief={loaderData.brief} explains={false} />
        </section>
        <OnceAlive fallback={<p>Setting the pages…</p>}>
          <ClosedBook
            notebook={loaderData.notebook}
            bench={loaderData.bench}
            slots={loaderData.slots}
            asks={loaderData.asks}
            verdicts={verdicts}
            forPaper
          />
        </OnceAlive>
      </main>
    </RunContext>
  );
}
