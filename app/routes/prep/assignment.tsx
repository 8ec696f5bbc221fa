import { fixed } from '@core/analysis/quantity';
import { Form, Link } from 'react-router';
import { PRACTICALS } from '@core/practicals/registry';
import { closeAssignment, removeSample, SAMPLES_AT_MOST } from '@server/assignments';
import { classTable, type ClassLine } from '@server/class-table';
import { StepStrip } from '@app/prep/step-strip';
import { useFeed } from '@app/prep/use-feed';
import { Button, FormMistake } from '@app/ui/form';
import { LeaveButton } from '@app/ui/leave-button';
import { Page } from '@app/ui/page';
import { When } from '@app/ui/when';
import { fieldsOf, found, idIn, placeIn, requireTeacher, tried } from '../../session';
import type { Route } from './+types/assignment';

export async function loader({ request, params }: Route.LoaderArgs) {
  const teacher = await requireTeacher(request);
  const { assignment, table, causes, title } = await found(classTable(teacher.id, idIn(params.assignmentId)));
  const { id, classId, className, opensAt, closesAt, rules } = assignment;
  const isClosed = closesAt !== null && closesAt <= new Date();
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
    assignment: { id, classId, className, opensAt, closesAt, isClosed, handIns: rules.handIns },
  };
}

export function action({ request, params }: Route.ActionArgs) {
  return tried(async () => {
    const teacher = await requireTeacher(request);
    const field = await fieldsOf(request);
    const assignmentId = idIn(params.assignmentId);
    if (field('do') === 'remove-sample')
      await removeSample(teacher.id, assignmentId, placeIn(field('sample')));
    else await closeAssignment(teacher.id, assignmentId, field('do') === 'close');
    return null;
  });
}

const STATES: Record<ClassLine['state'], { sign: string; tone: string }> = {
  'not started': { sign: '○', tone: 'text-ink-soft' },
  'at it': { sign: '●', tone: 'text-water font-medium' },
  paused: { sign: '◐', tone: 'text-sedge' },
  'handed in': { sign: '◆', tone: 'text-reed' },
  done: { sign: '◆', tone: 'text-reed font-medium' },
};

function Row({ line, allowed, samples }: { line: ClassLine; allowed: number; samples: number }) {
  const { sign, tone } = STATES[line.state];
  return (
    <tr className={line.place > 1 ? '[&>td]:!border-transparent' : ''}>
      {line.place === 1 && (
        <th scope="row" rowSpan={samples} className="align-top font-medium">
          {samples === 1 && line.runId ? <Link to={`/prep/runs/${line.runId}`}>{line.name}</Link> : line.name}
        </th>
      )}
      {samples > 1 && (
        <td className="whitespace-nowrap">
          {line.runId ? <Link to={`/prep/runs/${line.runId}`}>{line.title}</Link> : line.title}
        </td>
      )}
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
  'State',
  'Steps',
  'Sample',
  'What it is',
  'True value',
  'Handed in',
  'Difference',
  'Band',
  'Results that count',
];

/** Which causes of error cost the class most, over the last hand-ins. */
function Causes({
  causes,
  named,
}: {
  causes: Route.ComponentProps['loaderData']['causes'][number];
  named: boolean;
}) {
  const told = causes.causes.filter((cause) => cause.largestFor > 0 || cause.mostPercent >= 0.05);
  if (causes.runs === 0 && causes.pending === 0) return null;
  return (
    <section className="mb-6 max-w-[760px]">
      {named && <h3 className="font-medium">{causes.title}</h3>}
      {causes.pending > 0 && (
        <p className="text-ink-soft text-sm">Being worked out for {causes.pending} more.</p>
      )}
      <table className="[&_tr]:border-line w-full border-collapse text-sm [&_td]:px-2 [&_td]:py-[2px] [&_th]:py-[2px] [&_th]:text-left [&_tr]:border-t">
        <thead>
          <tr className="text-ink-soft">
            <th scope="col">Cause</th>
            <th scope="col" colSpan={2}>
              largest for
            </th>
            <th scope="col" className="!text-right">
              median
            </th>
            <th scope="col" className="!text-right">
              most
            </th>
          </tr>
        </thead>
        <tbody>
          {told.map((cause) => (
            <tr key={cause.key}>
              <th scope="row" className="font-normal">
                {cause.label}
              </th>
              <td className="font-mono whitespace-nowrap">
                {cause.largestFor} of {causes.runs}
              </td>
              <td className="w-[26%]">
                <svg viewBox="0 0 100 10" preserveAspectRatio="none" className="h-2 w-full" aria-hidden>
                  <rect width={(100 * cause.largestFor) / causes.runs} height={10} className="fill-heather" />
                </svg>
              </td>
              <td className="text-right font-mono">{fixed(cause.medianPercent, 2)} %</td>
              <td className="text-right font-mono">{fixed(cause.mostPercent, 2)} %</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

export default function AssignmentPage({
  loaderData: { teacher, title, table, causes, practicals, samples, assignment },
  actionData,
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
        <Link to={`/prep/assignments/${assignment.id}/pooled`} className="ml-auto text-sm">
          Pooled results
        </Link>
        {samples.length === 1 && (
          <Link to={`/prep/assignments/${assignment.id}/report`} className="text-sm">
            What the report asks for
          </Link>
        )}
        <Form method="post">
          <input type="hidden" name="do" value={assignment.isClosed ? 'open' : 'close'} />
          <Button look="quiet">{assignment.isClosed ? 'Open again' : 'Close now'}</Button>
        </Form>
      </div>
      <FormMistake mistake={actionData?.mistake} />
      {samples.length > 1 && (
        <ol className="mb-4 text-sm" aria-label="Samples">
          {samples.map((sample) => (
            <li
              key={sample.place}
              className="border-line flex flex-wrap items-baseline gap-x-6 border-t py-1"
            >
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
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Class table">
        <table className="[&_td]:border-line [&_tbody_th]:border-line w-full border-collapse text-sm [&_.num]:text-right [&_.num]:font-mono [&_.num]:whitespace-nowrap [&_tbody_th]:border-t [&_tbody_th]:whitespace-nowrap [&_td]:border-t [&_td]:px-2 [&_td]:py-[3px] [&_th]:px-2 [&_th]:py-[3px] [&_th]:text-left">
          <thead className="bg-paper sticky top-0">
            <tr>
              {['Student', ...(samples.length > 1 ? ['Asked of'] : []), ...HEAD].map((cell) => (
                <th key={cell} scope="col" className="text-ink-soft">
                  {cell}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {table.map((line) => (
              <Row
                key={`${line.studentId} ${line.place}`}
                line={line}
                allowed={assignment.handIns}
                samples={samples.length}
              />
            ))}
          </tbody>
        </table>
      </div>
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
            Every run was done again, each time with one cause of error switched off. The size of what it
            changed, over the last hand-in of each student.
          </p>
          {causes.map((entry) => (
            <Causes key={entry.title} causes={entry} named={samples.length > 1} />
          ))}
        </section>
      )}
    </Page>
  );
}
