import { recordingsOf } from '@core/notebook/readings';
import { PRACTICALS } from '@core/practicals/registry';
import { withoutKey } from '@core/report/asks';
import { frozenNotebook, handInsOf, toldOf } from './hand-ins';
import { briefFor } from './knowledge';
import { presentNotebook } from './notebooks';
import { nameOfRunner, readableRun, standingView } from './runs';

/**
 * A run as a lab report on paper, for its owner or the teacher of its class.
 * @throws NotFound for everyone else
 */
export async function printed(runId: string, asked: Promise<Buffer[]>) {
  const tokens = await asked;
  const run = await readableRun(runId, tokens);
  const practical = PRACTICALS[run.practical];
  const [standing, handIns, frozen, present, name, told] = await Promise.all([
    standingView(runId, run.rules.method),
    handInsOf(runId),
    frozenNotebook(runId),
    presentNotebook(runId),
    nameOfRunner(runId),
    // The teacher's own look tells the student nothing.
    run.isOwn ? toldOf(runId, run.knowledge) : [],
  ]);
  return {
    runId,
    name,
    title: practical.title,
    labels: practical.labels(run.setup),
    brief: briefFor(run.rules.method, practical.brief(run.setup)),
    sampleNumber: run.sampleNumber,
    asks: (handIns.at(-1)?.asks ?? run.asks).map(withoutKey),
    notebook: frozen ?? present.notebook,
    bench: recordingsOf(standing.view),
    slots: standing.view.slots,
    handedIn: told[0] ?? null,
    handedInAt: handIns.at(-1)?.at ?? null,
  };
}
