import { data, Form, Link } from 'react-router';
import { z } from 'zod';
import { OUTLIER_RULE } from '@core/analysis/pooled';
import { leaveOut, setPool, teacherPool } from '@server/pools';
import { DotPlot, PoolNumbers } from '@app/pooled/dot-plot';
import { Button, FormMistake, INPUT } from '@app/ui/form';
import { LeaveButton } from '@app/ui/leave-button';
import { Page } from '@app/ui/page';
import { formIn, found, idIn, placeIn, requireTeacher, tried } from '../../session';
import type { Route } from './+types/pooled';

export async function loader({ request, params }: Route.LoaderArgs) {
  const teacher = await requireTeacher(request);
  const wanted = placeIn(new URL(request.url).searchParams.get('sample'));
  const pool = await found(teacherPool(teacher.id, idIn(params.assignmentId), wanted));
  const { assignment, ...rest } = pool;
  return { teacher, assignment: { id: assignment.id, className: assignment.className }, ...rest };
}

const leaveSchema = z.object({
  run: z.uuid(),
  key: z.string().max(40),
  reason: z.string().max(200).optional(),
});

export function action({ request, params }: Route.ActionArgs) {
  return tried(async () => {
    const teacher = await requireTeacher(request);
    const assignmentId = idIn(params.assignmentId);
    const form = await formIn(request);
    if (form.get('do') === 'rules') {
      const other = z.uuid().safeParse(form.get('with'));
      await found(
        setPool(teacher.id, assignmentId, placeIn(new URL(request.url).searchParams.get('sample')), {
          shown: form.has('shown'),
          named: form.has('named'),
          withAssignment: other.success ? other.data : null,
        }),
      );
      return data({ done: true });
    }
    const sent = leaveSchema.safeParse(Object.fromEntries(form));
    if (!sent.success) throw data(null, { status: 400 });
    const { run, key, reason } = sent.data;
    await found(
      leaveOut(teacher.id, assignmentId, {
        runId: run,
        key,
        reason: form.get('do') === 'leave' ? (reason ?? '') : null,
      }),
    );
    return data({ done: true });
  });
}

export const meta: Route.MetaFunction = () => [{ title: 'Pooled results · Fen' }];

type Data = Route.ComponentProps['loaderData'];

/** Who sees it, and with which other class it is taken together. */
function Rules({ rules, others }: Pick<Data, 'rules' | 'others'>) {
  return (
    <Form method="post" className="bg-mist mb-6 flex flex-wrap items-end gap-x-6 gap-y-2 p-3 text-sm">
      <label className="flex items-center gap-2">
        <input type="checkbox" name="shown" defaultChecked={rules.shown} />
        Students see it when they can hand in no more
      </label>
      <label className="flex items-center gap-2">
        <input type="checkbox" name="named" defaultChecked={rules.named} />
        with names
      </label>
      {others.length > 0 && (
        <label className="flex items-center gap-2">
          Together with
          <select name="with" defaultValue={rules.withAssignment ?? ''} className={`${INPUT} h-8`}>
            <option value="">no other class</option>
            {others.map((other) => (
              <option key={other.id} value={other.id}>
                {other.className}, set {other.opensAt.toISOString().slice(0, 10)}
              </option>
            ))}
          </select>
        </label>
      )}
      <Button name="do" value="rules">
        Keep this
      </Button>
    </Form>
  );
}

function Values({ group }: { group: Data['groups'][number] }) {
  const points = [...group.points].sort((a, b) => a.value - b.value);
  return (
    <details className="mt-2 text-sm">
      <summary>The values, and leaving one out</summary>
      <table className="[&_td]:border-line mt-1 w-full border-collapse [&_td]:border-t [&_td]:py-1 [&_td]:pr-4">
        <tbody>
          {points.map((point) => (
            <tr key={`${point.runId} ${point.key}`} className={point.leftOut ? 'text-ink-soft' : ''}>
              <td>
                <Link to={`/prep/runs/${point.runId}`}>{point.name}</Link>
              </td>
              <td>{point.className}</td>
              <td className="text-right font-mono">
                {point.text} {group.unit}
              </td>
              <td>{point.isOutlier && <span className="text-rust">outlier</span>}</td>
              <td>
                <Form method="post" className="flex items-center gap-2">
                  <input type="hidden" name="run" value={point.runId} />
                  <input type="hidden" name="key" value={point.key} />
                  {point.leftOut === null ? (
                    <>
                      <input
                        name="reason"
                        aria-label={`Why the value of ${point.name} is left out`}
                        placeholder="why?"
                        className={`${INPUT} h-7 w-40`}
                        maxLength={200}
                      />
                      <Button name="do" value="leave" className="!min-h-7" aria-label={`Leave out ${point.name}`}>
                        Leave out
                      </Button>
                    </>
                  ) : (
                    <>
                      <span>left out: {point.leftOut}</span>
                      <Button name="do" value="take" className="!min-h-7" aria-label={`Take ${point.name} in again`}>
                        Take in again
                      </Button>
                    </>
                  )}
                </Form>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}

export default function PooledPage({ loaderData, actionData }: Route.ComponentProps) {
  const { teacher, assignment, title, groups, rules, others, places, place } = loaderData;
  return (
    <Page
      title="Pooled results"
      trail={
        <Link to={`/prep/assignments/${assignment.id}`}>
          {title}, {assignment.className}
        </Link>
      }
      who={
        <>
          <span>{teacher.name}</span>
          <LeaveButton role="teacher" />
        </>
      }
    >
      {places.length > 1 && (
        <p className="mb-3 flex flex-wrap gap-4 text-sm">
          {places.map((one) =>
            one.place === place ? (
              <strong key={one.place}>{one.title}</strong>
            ) : (
              <Link key={one.place} to={`?sample=${one.place}`}>
                {one.title}
              </Link>
            ),
          )}
        </p>
      )}
      <Rules key={JSON.stringify(rules)} rules={rules} others={others} />
      <FormMistake mistake={actionData && 'mistake' in actionData ? actionData.mistake : undefined} />
      {groups.map((group) => (
        <section key={`${group.title} ${group.unit}`} className="mb-8" aria-label={group.title}>
          <h2 className="text-lg first-letter:uppercase">{group.title}</h2>
          <DotPlot {...group} dots={group.points.map((point) => ({ ...point, own: false }))} />
          <PoolNumbers {...group} left={group.points.filter((point) => point.leftOut).length} />
          <Values group={group} />
        </section>
      ))}
      {groups.length === 0 && <p>Nobody has handed in a number yet.</p>}
      <p className="text-ink-soft max-w-[70ch] text-sm">{OUTLIER_RULE}</p>
    </Page>
  );
}
