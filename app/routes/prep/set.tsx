import { data, Form, Link, redirect } from 'react-router';
import { PRACTICALS, type PracticalId } from '@core/practicals/registry';
import { addSample, assignmentOf, setAssignment, titleOf } from '@server/assignments';
import { rulesSchema } from '@server/rules';
import { classOf } from '@server/classes';
import { tryPractical } from '@server/runs';
import { readSettings, settingFields, type SettingMistakes } from '@app/prep/settings';
import { DateRows, datesIn } from '@app/prep/dates';
import { MistakesTold } from '@app/prep/mistakes-told';
import { SettingRows } from '@app/prep/settings-form';
import { useFirstMistake } from '@app/prep/use-first-mistake';
import { useKeptForm } from '@app/prep/use-kept-form';
import { Button, FormMistake } from '@app/ui/form';
import { LeaveButton } from '@app/ui/leave-button';
import { Page } from '@app/ui/page';
import { formIn, found, idIn, requireTeacher, tried } from '../../session';
import type { Route } from './+types/set';

function practicalIn(param: string) {
  if (!Object.hasOwn(PRACTICALS, param)) throw data(null, { status: 404 });
  return PRACTICALS[param as PracticalId];
}

/** The assignment of this class that a sample is to be added to, if the address names one. */
async function withAssignment(request: Request, teacherId: string, classId: string) {
  const id = new URL(request.url).searchParams.get('with');
  if (id === null) return null;
  const assignment = await found(assignmentOf(teacherId, idIn(id)));
  if (assignment.classId !== classId) throw data(null, { status: 404 });
  return { id: assignment.id, title: titleOf(assignment) };
}

export async function loader({ request, params }: Route.LoaderArgs) {
  const teacher = await requireTeacher(request);
  const klass = await found(classOf(teacher.id, idIn(params.classId)));
  const { title, summary, setup } = practicalIn(params.practical);
  const fields = settingFields(setup);
  const joins = await withAssignment(request, teacher.id, klass.id);
  return { teacher, klass, title, summary, fields, joins, rules: joins ? [] : settingFields(rulesSchema) };
}

/** What was chosen, or a sentence for each setting at fault: by its schema, then by what the tray can tell apart. */
function chosenSetup({ setup: schema, objections }: ReturnType<typeof practicalIn>, form: FormData) {
  const setup = readSettings(schema, form);
  if ('mistakes' in setup) return setup;
  const against = objections(setup.value).map(({ field, sentence }) => [field, sentence]);
  return against.length > 0 ? { mistakes: Object.fromEntries(against) as SettingMistakes } : setup;
}

export async function action({ request, params }: Route.ActionArgs) {
  const teacher = await requireTeacher(request);
  const klass = await found(classOf(teacher.id, idIn(params.classId)));
  const practical = practicalIn(params.practical);
  const form = await formIn(request);
  const setup = chosenSetup(practical, form);
  const joins = await withAssignment(request, teacher.id, klass.id);
  if (joins)
    return addTo({ assignmentId: joins.id, classId: klass.id }, teacher.id, practical.id as PracticalId, setup, form);
  const rules = readSettings(rulesSchema, form);
  const mistakes: SettingMistakes = {
    ...('mistakes' in setup ? setup.mistakes : {}),
    ...('mistakes' in rules ? rules.mistakes : {}),
  };
  const { opensAt, closesAt, mistakes: wrongDates } = datesIn(form, klass.timeZone, new Date());
  Object.assign(mistakes, wrongDates);
  if ('mistakes' in setup || 'mistakes' in rules || Object.keys(wrongDates).length > 0)
    return data({ mistakes }, { status: 422 });
  if (form.get('do') === 'try') {
    const runId = await tryPractical(teacher.id, practical.id as PracticalId, setup.value, rules.value);
    throw redirect(`/runs/${runId}?class=${klass.id}`);
  }
  const dates = { opensAt: opensAt ?? new Date(), closesAt };
  const id = await setAssignment(klass.id, practical.id as PracticalId, setup.value, rules.value, dates);
  throw redirect(`/prep/assignments/${id}`);
}

/** One more sample for an assignment that is set: its rules and dates stay. */
async function addTo(
  { assignmentId, classId }: { assignmentId: string; classId: string },
  teacherId: string,
  practical: PracticalId,
  setup: ReturnType<typeof readSettings>,
  form: FormData,
) {
  if ('mistakes' in setup) return data({ mistakes: setup.mistakes }, { status: 422 });
  if (form.get('do') === 'try') {
    const runId = await tryPractical(teacherId, practical, setup.value, rulesSchema.parse({}));
    throw redirect(`/runs/${runId}?class=${classId}&with=${assignmentId}`);
  }
  return tried(async () => {
    await addSample(teacherId, assignmentId, practical, setup.value);
    throw redirect(`/prep/assignments/${assignmentId}`);
  });
}

const NONE: SettingMistakes = {};

export default function SetPractical({
  loaderData: { teacher, klass, title, summary, fields, joins, rules },
  actionData,
}: Route.ComponentProps) {
  const mistakes: SettingMistakes = actionData && 'mistakes' in actionData ? actionData.mistakes : NONE;
  const page = useFirstMistake<HTMLDivElement>(mistakes);
  const form = useKeptForm(`set ${klass.id} ${title} ${joins?.id ?? ''}`);
  const refused = actionData && 'mistake' in actionData ? actionData.mistake : undefined;
  return (
    <Page
      wide
      title={title}
      trail={<Link to={`/prep/classes/${klass.id}`}>{klass.name}</Link>}
      who={
        <>
          <span>{teacher.name}</span>
          <LeaveButton role="teacher" />
        </>
      }
    >
      <p className="mb-4 max-w-[70ch]">{summary}</p>
      <Form method="post" noValidate ref={form}>
        <div className="border-line bg-paper sticky top-0 z-10 mb-4 flex items-center gap-3 border-y py-3">
          <Button look="main" name="do" value="set">
            {joins ? 'Add it to the assignment' : `Set it for ${klass.name}`}
          </Button>
          <Button name="do" value="try">
            Try it
          </Button>
          <span className="text-ink-soft text-sm">
            A try is a run of your own, with a sample that counts for nothing.
          </span>
        </div>
        <FormMistake mistake={refused} />
        <MistakesTold mistakes={mistakes} nothing="Nothing was set yet." />
        <div ref={page} className="grid gap-x-12 lg:grid-cols-[3fr_2fr]">
          <section>
            <h2 className="mb-1 text-lg">What the bench holds</h2>
            <SettingRows fields={fields} mistakes={mistakes} />
          </section>
          {joins && (
            <p>
              Each student is given this sample besides: {joins.title}. Rules and dates are those of the assignment.
            </p>
          )}
          <section hidden={joins !== null}>
            <h2 className="mb-1 text-lg">Rules</h2>
            <SettingRows fields={rules} mistakes={mistakes} />
            <DateRows mistakes={mistakes} timeZone={klass.timeZone} emptyOpens="Empty: now." />
          </section>
        </div>
      </Form>
    </Page>
  );
}
