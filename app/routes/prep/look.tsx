import { lazy } from 'react';
import { Link } from 'react-router';
import { amissText } from '@core/report/grid';
import { differenceOf, missedBy, verdictOn } from '@core/report/verdict';
import { lookAtRun } from '@server/class-table';
import { MovedOrWhyNot } from '@app/notebook/moved-or-why-not';
import { RunContext } from '@app/notebook/run-context';
import { Skipped } from '@app/notebook/skipped';
import { StepStrip } from '@app/prep/step-strip';
import { LeaveButton } from '@app/ui/leave-button';
import { OnceAlive } from '@app/ui/once-alive';
import { Page } from '@app/ui/page';
import { benchClock } from '@app/ui/bench-clock';
import { unbroken } from '@app/ui/unbroken';
import { When } from '@app/ui/when';
import { found, idIn, requireTeacher } from '../../session';
import type { Route } from './+types/look';

export async function loader({ request, params }: Route.LoaderArgs) {
  const teacher = await requireTeacher(request);
  const isWhole = new URL(request.url).searchParams.has('log');
  return { teacher, run: await found(lookAtRun(teacher.id, idIn(params.runId), isWhole)) };
}

const TABLE =
  'w-full border-collapse text-sm [&_td]:border-t [&_td]:border-line [&_td]:py-1 [&_td]:pr-4 [&_th]:py-1 [&_th]:pr-4 [&_th]:text-left [&_th]:text-ink-soft';

const ClosedBook = lazy(() => import('@app/notebook/closed-book'));

type CheckedItem = LoggedRun['handIns'][number]['checked'][number];
type LoggedRun = Route.ComponentProps['loaderData']['run'];

/** How an answer compares, as the teacher reads it. */
function comparedWith(item: CheckedItem, { asks, answers }: LoggedRun['handIns'][number]): string {
  const verdict = verdictOn(item, 'teacher');
  if (verdict === null) return 'not judged';
  if (item.kind === 'grid') {
    const ask = asks.find(({ key }) => key === item.key);
    const amiss =
      ask?.kind === 'grid' && item.trueText ? amissText(answers[item.key]?.text ?? '', item.trueText, ask) : '';
    return amiss === '' ? verdict : `${verdict}\n${amiss}`;
  }
  if (item.kind === 'match') {
    const whole = item.right || item.trueText === null ? verdict : `${verdict}: it is ${item.trueText}`;
    return item.note === null ? whole : `${whole}. ${item.note}`;
  }
  const difference = item.exact ? null : differenceOf(item);
  if (difference === null) return verdict;
  const missed = item.kind === 'number' ? missedBy(item) : null;
  return `${difference.text} off, ${verdict}${missed ? `, ${missed}` : ''}`;
}

/** The report and the working, with the way back from each number to the bench. */
function Notebook({ run, runId }: { run: LoggedRun; runId: string }) {
  const last = run.handIns.at(-1);
  const verdicts = Object.fromEntries(last?.checked.map((item) => [item.key, comparedWith(item, last)]) ?? []);
  return (
    <RunContext value={{ runId, labels: run.labels, sampleNumber: run.sampleNumber }}>
      <section className="mt-8">
        <h2 className="mb-1 text-xl">Notebook</h2>
        <p className="text-ink-soft mb-4 text-sm">
          {run.isFrozen ? 'As it was when it was last handed in.' : 'As it stands; nothing is handed in yet.'}
        </p>
        <div className="max-w-[860px]">
          <OnceAlive fallback={<p>Opening the notebook…</p>}>
            <ClosedBook
              notebook={run.notebook}
              bench={run.recordings}
              asks={last?.asks ?? run.asks}
              verdicts={verdicts}
            />
          </OnceAlive>
        </div>
      </section>
    </RunContext>
  );
}

export default function Look({ loaderData: { teacher, run } }: Route.ComponentProps) {
  return (
    <Page
      wide
      title={
        run.studentName === null
          ? `A try, sample ${run.sampleNumber}`
          : `${run.studentName}, sample ${run.sampleNumber}`
      }
      trail={
        run.assignmentId === null ? (
          <Link to={`/runs/${run.runId}`}>{run.title}</Link>
        ) : (
          <Link to={`/prep/assignments/${run.assignmentId}`}>
            {run.className}: {run.title}
          </Link>
        )
      }
      who={
        <>
          <span>{teacher.name}</span>
          <LeaveButton role="teacher" />
        </>
      }
    >
      <Skipped acts={run.skipped} />
      <p className="mb-4 text-sm">
        <Link to={`/runs/${run.runId}/print`} target="_blank">
          Lab report for printing
        </Link>
      </p>
      <div className="grid gap-x-12 gap-y-8 lg:grid-cols-2">
        <div>
          <h2 className="mb-1 text-lg">What it really is</h2>
          <dl className="mb-6 grid grid-cols-[auto_1fr] gap-x-6 text-sm">
            {run.record.truth.map((entry) => (
              <div key={entry.label} className="contents">
                <dt className="text-ink-soft">{entry.label}</dt>
                <dd className="font-mono">{entry.text}</dd>
              </div>
            ))}
          </dl>
          <h2 className="mb-1 text-lg">Handed in</h2>
          {run.handIns.length === 0 && <p>Nothing yet.</p>}
          <ol className="mb-4">
            {run.handIns.map((entry) => (
              <li key={entry.number} className="border-heather mb-2 border-l-4 pl-3">
                {entry.checked.map((item) => (
                  <p key={item.key}>
                    {entry.checked.length > 1 && (
                      <span className="text-ink-soft">{entry.asks.find((ask) => ask.key === item.key)?.label}: </span>
                    )}
                    {item.kind !== 'grid' && (
                      <>
                        <span className="font-mono">
                          {unbroken(
                            `${entry.answers[item.key]?.text ?? ''} ${entry.answers[item.key]?.unit ?? ''}`.trim(),
                          )}
                        </span>
                        {', '}
                      </>
                    )}
                    <span className="whitespace-pre-line">{comparedWith(item, entry)}</span>
                  </p>
                ))}
                <p className="text-ink-soft text-sm">
                  <When at={entry.at} zone={run.timeZone} />
                </p>
              </li>
            ))}
          </ol>
          <MovedOrWhyNot moved={run.moved} />
          <h2 className="mt-6 mb-1 text-lg">Readings</h2>
          <table className={TABLE}>
            <thead>
              <tr>
                <th scope="col">Reading</th>
                <th scope="col">Read</th>
                <th scope="col">Scale showed</th>
                <th scope="col">Bench time</th>
              </tr>
            </thead>
            <tbody>
              {run.record.readings.length === 0 && (
                <tr>
                  <td colSpan={4}>None yet.</td>
                </tr>
              )}
              {run.record.readings.map((reading, i) => (
                <tr key={i} className={reading.struck ? 'text-ink-soft line-through' : ''}>
                  <td>{reading.label}</td>
                  <td className="font-mono">
                    {reading.text} {reading.unit}
                  </td>
                  <td className="font-mono">
                    {reading.shown} {reading.unit}
                  </td>
                  <td className="font-mono">
                    {benchClock(reading.atS)}{' '}
                    {reading.struck && <span className="inline-block no-underline">({reading.struck})</span>}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        <div>
          <h2 className="mb-1 text-lg">Acts, in order</h2>
          <p className="mb-2">
            <StepStrip steps={run.steps} />
          </p>
          <ol className="max-h-[70vh] overflow-y-auto text-sm" tabIndex={0} aria-label="Acts in order">
            {run.actsBefore > 0 && (
              <li className="py-1">
                <Link to="?log">{run.actsBefore} lines before these</Link>
              </li>
            )}
            {run.acts.map((act) => (
              <li key={act.number} className="border-line grid grid-cols-[56px_1fr] border-t py-[2px]">
                <span className="text-ink-soft font-mono">{benchClock(act.atS)}</span>
                <span>
                  {act.text}
                  {act.times > 1 && <span className="text-ink-soft"> × {act.times}</span>}
                  {act.refusal && <span className="text-rust block">refused: {act.refusal}</span>}
                  {act.note && <span className="text-sedge block">{act.note}</span>}
                </span>
              </li>
            ))}
          </ol>
        </div>
      </div>
      <Notebook run={run} runId={run.runId} />
    </Page>
  );
}
