import { useEffect } from 'react';
import { Form, Link, useRevalidator } from 'react-router';
import { closeAssignment } from '@server/assignments';
import { classTable, type ClassLine } from '@server/class-table';
import { StepStrip } from '@app/prep/step-strip';
import { Button } from '@app/ui/form';
import { LeaveButton } from '@app/ui/leave-button';
import { Page } from '@app/ui/page';
import { When } from '@app/ui/when';
import { fieldsOf, found, idIn, requireTeacher, tried } from '../../session';
import type { Route } from './+types/assignment';

export async function loader({ request, params }: Route.LoaderArgs) {
  const teacher = await requireTeacher(request);
  const { assignment, table, title } = await found(classTable(teacher.id, idIn(params.assignmentId)));
  const { id, classId, className, opensAt, closesAt, rules } = assignment;
  const isClosed = closesAt !== null && closesAt <= new Date();
  return {
    teacher,
    title,
    table,
    assignment: { id, classId, className, opensAt, closesAt, isClosed, handIns: rules.handIns },
  };
}

export function action({ request, params }: Route.ActionArgs) {
  return tried(async () => {
    const teacher = await requireTeacher(request);
    const field = await fieldsOf(request);
    await closeAssignment(teacher.id, idIn(params.assignmentId), field('do') === 'close');
    return null;
  });
}

/** Looks again whenever the server says that something moved. */
function useFeed(assignmentId: string) {
  const { revalidate } = useRevalidator();
  useEffect(() => {
    const source = new EventSource(`/prep/assignments/${assignmentId}/feed`);
    source.onmessage = () => void revalidate();
    return () => source.close();
  }, [assignmentId, revalidate]);
}

const STATES: Record<ClassLine['state'], { sign: string; tone: string }> = {
  'not started': { sign: '○', tone: 'text-ink-soft' },
  'at it': { sign: '●', tone: 'text-water font-medium' },
  paused: { sign: '◐', tone: 'text-sedge' },
  'handed in': { sign: '◆', tone: 'text-reed' },
  done: { sign: '◆', tone: 'text-reed font-medium' },
};

function Row({ line, allowed }: { line: ClassLine; allowed: number }) {
  const { sign, tone } = STATES[line.state];
  return (
    <tr>
      <th scope="row" className="font-medium">
        {line.runId ? <Link to={`/prep/runs/${line.runId}`}>{line.name}</Link> : line.name}
      </th>
      <td className={`whitespace-nowrap ${tone}`}>
        <span aria-hidden>{sign}</span> {line.state}
        {line.handIns > 0 && ` (${line.handIns} of ${allowed})`}
      </td>
      <td>
        <StepStrip steps={line.steps} />
      </td>
      <td className="font-mono">{line.sampleNumber}</td>
      <td>{line.truth}</td>
      <td className="num">{line.trueValue}</td>
      <td className="num">{line.value}</td>
      <td className="num">{line.difference}</td>
      <td className="whitespace-nowrap">
        {line.value &&
          (line.bandPercent === null ? (
            <span className="text-rust">outside</span>
          ) : (
            `within ${line.bandPercent} %`
          ))}
      </td>
      <td className="font-mono text-xs">{line.results.join(', ')}</td>
    </tr>
  );
}

const HEAD = [
  'Student',
  'State',
  'Steps',
  'Sample',
  'Acid',
  'True value',
  'Handed in',
  'Difference',
  'Band',
  'Titres that count',
];

export default function AssignmentPage({
  loaderData: { teacher, title, table, assignment },
}: Route.ComponentProps) {
  useFeed(assignment.id);
  const count = (state: ClassLine['state']) => table.filter((line) => line.state === state).length;
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
      {/* prettier-ignore */}
      <div className="mb-3 flex flex-wrap items-center gap-x-6 gap-y-2">
        <p aria-live="polite">
          {count('not started')} not started · {count('at it')} at it · {count('paused')} paused ·{' '}
          {count('handed in') + count('done')} handed in
        </p>
        <p className="text-sm text-ink-soft">
          open from <When at={assignment.opensAt} />
          {assignment.closesAt && (
            <>
              {assignment.isClosed ? ', closed ' : ', until '}
              <When at={assignment.closesAt} />
            </>
          )}
        </p>
        <Link to={`/prep/assignments/${assignment.id}/report`} className="ml-auto text-sm">
          What the report asks for
        </Link>
        <Form method="post">
          <input type="hidden" name="do" value={assignment.isClosed ? 'open' : 'close'} />
          <Button look="quiet">{assignment.isClosed ? 'Open again' : 'Close now'}</Button>
        </Form>
      </div>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Class table">
        <table className="[&_td]:border-line [&_tbody_th]:border-line w-full border-collapse text-sm [&_.num]:text-right [&_.num]:font-mono [&_.num]:whitespace-nowrap [&_tbody_th]:border-t [&_tbody_th]:whitespace-nowrap [&_td]:border-t [&_td]:px-2 [&_td]:py-[3px] [&_th]:px-2 [&_th]:py-[3px] [&_th]:text-left">
          <thead className="bg-paper sticky top-0">
            <tr>
              {HEAD.map((cell) => (
                <th key={cell} scope="col" className="text-ink-soft">
                  {cell}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {table.map((line) => (
              <Row key={line.studentId} line={line} allowed={assignment.handIns} />
            ))}
          </tbody>
        </table>
      </div>
      {table.length === 0 && <p className="mt-4">Nobody is in this class yet.</p>}
    </Page>
  );
}
