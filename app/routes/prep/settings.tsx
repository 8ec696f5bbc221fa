import { data, Form, Link, redirect } from 'react-router';
import { PRACTICALS } from '@core/practicals/registry';
import { assignmentOf, changeRules, rulesSchema, titleOf } from '@server/assignments';
import { DateRows, datesIn, typedDate } from '@app/prep/dates';
import { readSettings, settingFields, settingText, standingAt, type SettingMistakes } from '@app/prep/settings';
import { SettingRows } from '@app/prep/settings-form';
import { Button, Wrong } from '@app/ui/form';
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
    assignment: { id, className, timeZone, title: titleOf(assignment) },
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

export async function action({ request, params }: Route.ActionArgs) {
  const teacher = await requireTeacher(request);
  const assignment = await found(assignmentOf(teacher.id, idIn(params.assignmentId)));
  const form = await formIn(request);
  const rules = readSettings(rulesSchema, form);
  const { opensAt, closesAt, mistakes: wrongDates } = datesIn(form, assignment.timeZone, assignment.opensAt);
  if ('mistakes' in rules || Object.keys(wrongDates).length > 0) {
    const mistakes: SettingMistakes = { ...('mistakes' in rules ? rules.mistakes : {}), ...wrongDates };
    return data({ mistakes }, { status: 422 });
  }
  await changeRules(teacher.id, assignment.id, rules.value, { opensAt, closesAt });
  throw redirect(`/prep/assignments/${assignment.id}`);
}

export const meta: Route.MetaFunction = () => [{ title: 'Settings, rules and dates · Fen' }];

export default function Settings({
  loaderData: { teacher, assignment, dates, rules, samples },
  actionData,
}: Route.ComponentProps) {
  const mistakes: SettingMistakes = actionData?.mistakes ?? {};
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
        <Form method="post" noValidate>
          <h2 className="mb-1 text-lg">Rules and dates</h2>
          <p className="text-ink-soft mb-2 text-sm">
            They hold from now on, for runs that have begun too. More hand-ins open a run again whose hand-ins were used
            up, unless its student has been told what gives the true value away.
          </p>
          {Object.keys(mistakes).length > 0 && <Wrong>Nothing was changed yet. Mend what is marked below.</Wrong>}
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
