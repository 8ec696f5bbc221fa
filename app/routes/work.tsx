import { Form, Link, redirect } from 'react-router';
import { workOf } from '@server/assignments';
import { lastTold } from '@server/hand-ins';
import { startPractice, unfinishedPractice } from '@server/practice';
import { startRun } from '@server/runs';
import { ToldItems } from '@app/notebook/told';
import { Button, FormMistake } from '@app/ui/form';
import { LeaveButton } from '@app/ui/leave-button';
import { Page } from '@app/ui/page';
import { When } from '@app/ui/when';
import { fieldsOf, idIn, placeIn, requireStudent, tokensOf, tried } from '../session';
import type { Route } from './+types/work';

export async function loader({ request }: Route.LoaderArgs) {
  const student = await requireStudent(request);
  const tokens = await tokensOf(request);
  const work = await Promise.all(
    (await workOf(student.id)).map(async (entry) => ({
      ...entry,
      told: entry.runId && entry.handIns > 0 ? await lastTold(entry.runId, tokens) : null,
    })),
  );
  return { student, work, practice: await unfinishedPractice(student.id), now: new Date() };
}

export function action({ request }: Route.ActionArgs) {
  return tried(async () => {
    const student = await requireStudent(request);
    const field = await fieldsOf(request);
    const [assignment, place] = [idIn(field('assignment')), placeIn(field('sample'))];
    const start = field('do') === 'practise' ? startPractice : startRun;
    const runId = await start(student.id, assignment, place);
    throw redirect(`/runs/${runId}`);
  });
}

/** A run that counts for nothing: the one that was begun, or a new one. */
function Practise({ runId, isBegun }: { runId: string | undefined; isBegun: boolean }) {
  if (runId) return <Link to={`/runs/${runId}`}>Go on practising</Link>;
  return (
    <Button look="quiet" name="do" value="practise" title="On another sample: it counts for nothing">
      {isBegun ? 'Practise' : 'Practise first'}
    </Button>
  );
}

type Work = Route.ComponentProps['loaderData']['work'][number];

function Dates({ work, now }: { work: Work; now: Date }) {
  if (new Date(work.opensAt) > new Date(now))
    return (
      <>
        opens <When at={work.opensAt} zone={work.timeZone} />
      </>
    );
  if (!work.isOpen && work.closesAt)
    return (
      <>
        closed <When at={work.closesAt} zone={work.timeZone} />
      </>
    );
  if (work.closesAt)
    return (
      <>
        open until <When at={work.closesAt} zone={work.timeZone} />
      </>
    );
  return <>open</>;
}

export default function WorkPage({ loaderData: { student, work, practice, now }, actionData }: Route.ComponentProps) {
  return (
    <Page
      title="My work"
      trail={student.className}
      who={
        <>
          <span>{student.name}</span>
          <LeaveButton role="student" />
        </>
      }
    >
      <FormMistake mistake={actionData?.mistake} />
      {work.length === 0 && <p>Nothing has been set for {student.className} yet. It will be here when it is.</p>}
      <ul>
        {work.map((entry) => (
          <li
            key={`${entry.id} ${entry.place}`}
            className="border-line flex flex-wrap items-center gap-4 border-t py-4"
          >
            <div className="min-w-0 grow basis-60">
              <h2 className="text-lg">{entry.title}</h2>
              <p className="text-ink-soft text-sm">
                {work.some((other) => other.id !== entry.id && other.title === entry.title) && (
                  <>
                    set for <When at={entry.opensAt} zone={entry.timeZone} />
                    {' · '}
                  </>
                )}
                {entry.sampleNumber && `sample no. ${entry.sampleNumber} · `}
                {entry.samples > 1 && `sample ${entry.rank} of ${entry.samples} · `}
                <Dates work={entry} now={now} />
                {' · '}
                {entry.runId
                  ? `${entry.closed ? 'handed in and closed · ' : ''}${entry.handIns} of ${entry.handInsAllowed} hand-ins used`
                  : entry.isOpen
                    ? 'not started: a sample is waiting for you'
                    : 'not started'}
              </p>
              {entry.told && (
                <div className="border-heather mt-1 border-l-4 pl-3 text-sm">
                  <ToldItems items={entry.told.items} />
                </div>
              )}
            </div>
            <Form method="post" className="flex flex-wrap items-center gap-3">
              <input type="hidden" name="assignment" value={entry.id} />
              <input type="hidden" name="sample" value={entry.place} />
              {entry.isOpen && entry.mayPractise && (
                <Practise
                  isBegun={entry.runId !== null}
                  runId={practice.find((run) => run.assignmentId === entry.id && run.place === entry.place)?.runId}
                />
              )}
              <Button look="main" disabled={!entry.runId && !entry.isOpen}>
                {entry.runId ? (entry.isOpen && !entry.closed ? 'Go on' : 'Look at it') : 'Start'}
              </Button>
            </Form>
          </li>
        ))}
      </ul>
    </Page>
  );
}
