import { Form, Link, redirect, useSearchParams } from 'react-router';
import { PRACTICALS } from '@core/practicals/registry';
import { closeAssignment, deleteAssignment, removeSample, SAMPLES_AT_MOST } from '@server/assignments';
import type { ClassLine } from '@core/report/class-results';
import { classTable } from '@server/class-table';
import { Dates } from '@app/prep/assignment-dates';
import { Causes } from '@app/prep/class-causes';
import { ClassRows } from '@app/prep/class-rows';
import { Grave } from '@app/prep/grave';
import { useFeed } from '@app/prep/use-feed';
import { Button, FormMistake } from '@app/ui/form';
import { LeaveButton } from '@app/ui/leave-button';
import { Page } from '@app/ui/page';
import { fieldsOf, found, idIn, placeIn, requireTeacher, tried } from '../../session';
import type { Route } from './+types/assignment';

export async function loader({ request, params }: Route.LoaderArgs) {
  const teacher = await requireTeacher(request);
  const { assignment, table, causes, title } = await found(classTable(teacher.id, idIn(params.assignmentId)));
  const { id, classId, className, opensAt, closesAt, closedEarlyAt, isOver, timeZone, rules } = assignment;
  return {
    teacher,
    title,
    table,
    causes,
    practicals:
      assignment.samples.length < SAMPLES_AT_MOST
        ? Object.values(PRACTICALS).map(({ id, title: name }) => ({ id, title: name }))
        : [],
    samples: assignment.samples.map(({ place, practical }) => ({
      place,
      title: PRACTICALS[practical].title,
    })),
    assignment: {
      id,
      classId,
      className,
      opensAt,
      closesAt,
      closedEarlyAt,
      isOver,
      timeZone,
      handIns: rules.handIns,
    },
    givesAway: rules.tellTrueValue || rules.tellInfluences === 'when-closed',
  };
}

export function action({ request, params }: Route.ActionArgs) {
  return tried(async () => {
    const teacher = await requireTeacher(request);
    const field = await fieldsOf(request);
    const assignmentId = idIn(params.assignmentId);
    if (field('do') === 'delete') throw redirect(`/prep/classes/${await deleteAssignment(teacher.id, assignmentId)}`);
    if (field('do') === 'remove-sample') await removeSample(teacher.id, assignmentId, placeIn(field('sample')));
    else await closeAssignment(teacher.id, assignmentId, field('do') === 'close');
    return null;
  });
}

/** How many samples stand where; who has begun none of theirs is one student. */
function counted(table: readonly ClassLine[]) {
  const of = (...states: ClassLine['state'][]) => table.filter((line) => states.includes(line.state)).length;
  const students = new Set(table.map((line) => line.studentId));
  const begun = new Set(table.filter((line) => line.runId !== null).map((line) => line.studentId));
  return {
    notStarted: students.size - begun.size,
    atIt: of('at it'),
    paused: of('paused'),
    handedIn: of('handed in', 'done'),
  };
}

export default function AssignmentPage({
  loaderData: { teacher, title, table, causes, practicals, samples, assignment, givesAway },
  actionData,
}: Route.ComponentProps) {
  useFeed(assignment.id);
  const isKept = useSearchParams()[0].has('kept');
  const { notStarted, ...count } = counted(table);
  const isDue = assignment.closesAt !== null && assignment.closesAt <= new Date();
  return (
    <Page
      wide
      title={title}
      trail={<Link to={`/prep/classes/${assignment.classId}`}>{assignment.className}</Link>}
      who={
        <>
          <span>{teacher.name}</span>
          <LeaveButton role="teacher" />
        </>
      }
    >
      <div className="mb-3 flex flex-wrap items-center gap-x-6 gap-y-2">
        <p aria-live="polite">
          {notStarted} not started · {count.atIt} at it · {count.paused} paused · {count.handedIn} handed in
        </p>
        <p className="text-ink-soft text-sm">
          <Dates {...assignment} zone={assignment.timeZone} />
        </p>
        <Link to={`/prep/assignments/${assignment.id}/settings`} className="ml-auto text-sm">
          Settings, rules and dates
        </Link>
        <Link to={`/prep/assignments/${assignment.id}/pooled`} className="text-sm">
          Pooled results
        </Link>
        {samples.length === 1 && (
          <Link to={`/prep/assignments/${assignment.id}/report`} className="text-sm">
            What the report asks for
          </Link>
        )}
        {isDue ? (
          <Link to={`/prep/assignments/${assignment.id}/settings`} className="text-sm">
            Open again: set another date
          </Link>
        ) : (
          <Grave
            look="quiet"
            label={assignment.isOver ? 'Open again' : 'Close now'}
            title={assignment.isOver ? 'Open it again?' : 'Close it now?'}
            text={
              assignment.isOver
                ? 'Students can work on it and hand in again. Who has been told the true value cannot.'
                : 'Nobody can act at the bench or hand in any more, until you open it again. All that was done is kept.'
            }
            fields={{ do: assignment.isOver ? 'open' : 'close' }}
          />
        )}
        <Grave
          label="Delete"
          name="Delete this assignment"
          title={`Delete “${title}”?`}
          text="All runs, readings, notebooks and hand-ins of it are deleted too. This cannot be undone."
          fields={{ do: 'delete' }}
        />
      </div>
      {!assignment.isOver && givesAway && (
        <p className="text-ink-soft mb-2 text-sm">
          When it is closed, students can be told what gives the true value away. Whoever has read it can hand in no
          more, even if it is opened again.
        </p>
      )}
      {isKept && (
        <p role="status" className="text-reed mb-2 text-sm">
          The settings are kept.
        </p>
      )}
      <FormMistake mistake={actionData?.mistake} />
      {samples.length > 1 && (
        <ol className="mb-4 text-sm" aria-label="Samples">
          {samples.map((sample) => (
            <li key={sample.place} className="border-line flex flex-wrap items-baseline gap-x-6 border-t py-1">
              <span className="grow">{sample.title}</span>
              <Link to={`/prep/assignments/${assignment.id}/report?sample=${sample.place}`}>
                What its report asks for
              </Link>
              {!table.some((line) => line.place === sample.place && line.runId) && (
                <Form method="post">
                  <input type="hidden" name="do" value="remove-sample" />
                  <input type="hidden" name="sample" value={sample.place} />
                  <Button look="quiet" aria-label={`Take out: ${sample.title}`}>
                    Take out
                  </Button>
                </Form>
              )}
            </li>
          ))}
        </ol>
      )}
      <ClassRows table={table} allowed={assignment.handIns} samples={samples.length} />
      {table.length === 0 && <p className="mt-4">Nobody is in this class yet.</p>}
      {practicals.length > 0 && (
        <details className="mt-4 text-sm">
          <summary>Add a sample of another kind for each student</summary>
          <ul className="mt-1 columns-2">
            {practicals.map((practical) => (
              <li key={practical.id}>
                <Link to={`/prep/classes/${assignment.classId}/set/${practical.id}?with=${assignment.id}`}>
                  Add: {practical.title}
                </Link>
              </li>
            ))}
          </ul>
        </details>
      )}
      {causes.some(({ runs, pending }) => runs + pending > 0) && (
        <section className="mt-8">
          <h2 className="text-lg">What moved the results of this class</h2>
          <p className="text-ink-soft mb-3 max-w-[70ch] text-sm">
            Every run was done again, each time with one cause of error switched off. The size of what it changed, over
            the last hand-in of each student.
          </p>
          {causes.map((entry) => (
            <Causes key={entry.title} causes={entry} named={samples.length > 1} />
          ))}
        </section>
      )}
    </Page>
  );
}
