import { Form, redirect } from 'react-router';
import { workOf } from '@server/assignments';
import { startRun } from '@server/runs';
import { Button, FormMistake } from '@app/ui/form';
import { LeaveButton } from '@app/ui/leave-button';
import { Page } from '@app/ui/page';
import { When } from '@app/ui/when';
import { fieldsOf, idIn, placeIn, requireStudent, tried } from '../session';
import type { Route } from './+types/work';

export async function loader({ request }: Route.LoaderArgs) {
  const student = await requireStudent(request);
  return { student, work: await workOf(student.id), now: new Date() };
}

export function action({ request }: Route.ActionArgs) {
  return tried(async () => {
    const student = await requireStudent(request);
    const field = await fieldsOf(request);
    const runId = await startRun(student.id, idIn(field('assignment')), placeIn(field('sample')));
    throw redirect(`/runs/${runId}`);
  });
}

type Work = Route.ComponentProps['loaderData']['work'][number];

function Dates({ work, now }: { work: Work; now: Date }) {
  if (new Date(work.opensAt) > new Date(now)) return <>opens <When at={work.opensAt} /></>; // prettier-ignore
  if (!work.isOpen && work.closesAt) return <>closed <When at={work.closesAt} /></>; // prettier-ignore
  if (work.closesAt) return <>open until <When at={work.closesAt} /></>; // prettier-ignore
  return <>open</>;
}

export default function WorkPage({ loaderData: { student, work, now }, actionData }: Route.ComponentProps) {
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
      {/* prettier-ignore */}
      <FormMistake mistake={actionData?.mistake} />
      {work.length === 0 && (
        <p>Nothing has been set for {student.className} yet. It will be here when it is.</p>
      )}
      <ul>
        {work.map((entry) => (
          <li
            key={`${entry.id} ${entry.place}`}
            className="border-line flex flex-wrap items-center gap-4 border-t py-4"
          >
            <div className="grow">
              <h2 className="text-lg">{entry.title}</h2>
              <p className="text-ink-soft text-sm">
                {entry.samples > 1 && `sample ${entry.place} of ${entry.samples} · `}
                <Dates work={entry} now={now} />
                {' · '}
                {entry.runId
                  ? `${entry.handIns} of ${entry.handInsAllowed} hand-ins used`
                  : 'not started: a sample is waiting for you'}
              </p>
            </div>
            <Form method="post">
              <input type="hidden" name="assignment" value={entry.id} />
              <input type="hidden" name="sample" value={entry.place} />
              <Button look="main" disabled={!entry.runId && !entry.isOpen}>
                {entry.runId
                  ? entry.isOpen && entry.handIns < entry.handInsAllowed
                    ? 'Go on'
                    : 'Look at it'
                  : 'Start'}
              </Button>
            </Form>
          </li>
        ))}
      </ul>
    </Page>
  );
}
