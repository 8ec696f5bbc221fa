import { createHash } from 'node:crypto';
import { data, Form, Link, redirect } from 'react-router';
import { PRACTICALS } from '@core/practicals/registry';
import { assignmentOf, changeRules, titleOf } from '@server/assignments';
import { rulesSchema } from '@server/rules';
import { DateRows, datesIn, typedDate } from '@app/prep/dates';
import { readSettings, settingFields, settingText, standingAt, type SettingMistakes } from '@app/prep/settings';
import { MistakesTold } from '@app/prep/mistakes-told';
import { SettingRows } from '@app/prep/settings-form';
import { useFirstMistake } from '@app/prep/use-first-mistake';
import { Button, INPUT, Wrong } from '@app/ui/form';
import { LeaveButton } from '@app/ui/leave-button';
import { Page } from '@app/ui/page';
import { formIn, found, idIn, requireTeacher } from '../../session';
import type { Route } from './+types/settings';

export async function loader({ request, params }: Route.LoaderArgs) {
  const teacher = await requireTeacher(request);
  const assignment = await found(assignmentOf(teacher.id, idIn(params.assignmentId)));
  const { id, className, opensAt, closesAt, timeZone, rules, samples } = assignment;
  return {
    teacher,
    assignment: { id, className, timeZone, title: titleOf(assignment), name: assignment.name ?? '' },
    stands: standing(assignment),
    dates: { opens: typedDate(opensAt, timeZone), closes: typedDate(closesAt, timeZone) },
    rules: standingAt(settingFields(rulesSchema), rules),
    samples: samples.map(({ place, practical, setup }) => ({
      place,
      title: PRACTICALS[practical].title,
      settings: standingAt(settingFields(PRACTICALS[practical].setup), setup).map((field) => ({
        label: field.label,
        text: settingText(field, field.value),
      })),
    })),
  };
}

/** What stands, in a few letters: another tab that has changed it meanwhile is noticed by them. */
function standing({ rules, opensAt, closesAt, name }: Awaited<ReturnType<typeof assignmentOf>>): string {
  const text = JSON.stringify([standingAt(settingFields(rulesSchema), rules), opensAt, closesAt, name]);
  return createHash('sha256').update(text).digest('base64url').slice(0, 16);
}

export async function action({ request, params }: Route.ActionArgs) {
  const teacher = await requireTeacher(request);
  const assignment = await found(assignmentOf(teacher.id, idIn(params.assignmentId)));
  const form = await formIn(request);
  const rules = readSettings(rulesSchema, form);
  const { opensAt, closesAt, mistakes: wrongDates } = datesIn(form, assignment.timeZone, assignment.opensAt);
  if ('mistakes' in rules || Object.keys(wrongDates).length > 0) {
    const mistakes: SettingMistakes = { ...('mistakes' in rules ? rules.mistakes : {}), ...wrongDates };
    return data({ mistakes, overtaken: false }, { status: 422 });
  }
  const stood = form.get('stands');
  if (stood !== null && stood !== standing(assignment) && form.get('do') !== 'mine')
    return data({ mistakes: {} as SettingMistakes, overtaken: true }, { status: 409 });
  const typedName = form.get('name');
  const name = typeof typedName === 'string' && typedName.trim() !== '' ? typedName.trim().slice(0, 80) : null;
  await changeRules(teacher.id, assignment.id, rules.value, { opensAt, closesAt }, name);
  throw redirect(`/prep/assignments/${assignment.id}?kept`);
}

const NONE: SettingMistakes = {};

export const meta: Route.MetaFunction = () => [{ title: 'Settings, rules and dates · Fen' }];

export default function Settings({
  loaderData: { teacher, assignment, dates, rules, samples, stands },
  actionData,
}: Route.ComponentProps) {
  const mistakes: SettingMistakes = actionData?.mistakes ?? NONE;
  const form = useFirstMistake<HTMLFormElement>(mistakes);
  return (
    <Page
      wide
      title="Settings, rules and dates"
      trail={
        <Link to={`/prep/assignments/${assignment.id}`}>
          {assignment.className}: {assignment.title}
        </Link>
      }
      who={
        <>
          <span>{teacher.name}</span>
          <LeaveButton role="teacher" />
        </>
      }
    >
      <div className="grid gap-x-12 gap-y-8 lg:grid-cols-2">
        <Form method="post" noValidate ref={form}>
          <input type="hidden" name="stands" value={stands} />
          <h2 className="mb-1 text-lg">Rules and dates</h2>
          <p className="text-ink-soft mb-2 text-sm">
            They hold from now on, for runs that have begun too. More hand-ins open a run again whose hand-ins were used
            up, unless its student has been told what gives the true value away.
          </p>
          <div className="mb-3">
            <MistakesTold mistakes={mistakes} nothing="Nothing was changed yet." />
          </div>
          {actionData?.overtaken && (
            <div className="border-sedge mb-3 border-l-4 pl-3">
              <Wrong>These settings were changed in another tab meanwhile. Yours are below, and not kept yet.</Wrong>
              <p className="mt-2 flex flex-wrap gap-3">
                <Button name="do" value="mine">
                  Keep mine all the same
                </Button>
                <Link to="" reloadDocument className="self-center text-sm">
                  Take those that stand now
                </Link>
              </p>
            </div>
          )}
          <label className="mb-3 block">
            <span className="font-medium">Name of the assignment</span>
            <input
              name="name"
              defaultValue={assignment.name}
              maxLength={80}
              autoComplete="off"
              placeholder="Empty: called by its practical"
              className={`${INPUT} block w-full`}
            />
          </label>
          <SettingRows fields={rules} mistakes={mistakes} />
          <DateRows mistakes={mistakes} timeZone={assignment.timeZone} {...dates} emptyOpens="Empty: as it is." />
          <Button look="main">Keep these</Button>
        </Form>
        <div>
          {samples.map((sample) => (
            <section key={sample.place} className="mb-6">
              <h2 className="mb-1 text-lg">{sample.title}</h2>
              <dl className="text-sm">
                {sample.settings.map((setting) => (
                  <div key={setting.label} className="border-line grid grid-cols-[200px_1fr] gap-x-6 border-t py-1">
                    <dt className="text-ink-soft">{setting.label}</dt>
                    <dd>{setting.text}</dd>
                  </div>
                ))}
              </dl>
            </section>
          ))}
          <p className="text-ink-soft text-sm">
            What the bench holds stays as it was set, since samples are drawn from it.
          </p>
        </div>
      </div>
    </Page>
  );
}
