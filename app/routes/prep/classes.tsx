import { Form, Link, redirect } from 'react-router';
import { classesOf, makeClass } from '@server/classes';
import { Button, Field } from '@app/ui/form';
import { LeaveButton } from '@app/ui/leave-button';
import { BrowserZone } from '@app/ui/browser-zone';
import { Page } from '@app/ui/page';
import { counted } from '@core/analysis/quantity';
import { fieldsOf, requireTeacher, tried } from '../../session';
import type { Route } from './+types/classes';

export async function loader({ request }: Route.LoaderArgs) {
  const teacher = await requireTeacher(request);
  return { teacher, classes: await classesOf(teacher.id) };
}

export function action({ request }: Route.ActionArgs) {
  return tried(async () => {
    const teacher = await requireTeacher(request);
    const field = await fieldsOf(request);
    throw redirect(`/prep/classes/${await makeClass(teacher.id, field('name'), field('timeZone'))}`);
  });
}

export default function Classes({ loaderData: { teacher, classes }, actionData }: Route.ComponentProps) {
  return (
    <Page
      title="Prep room"
      who={
        <>
          <span>{teacher.name}</span>
          <LeaveButton role="teacher" />
        </>
      }
    >
      <ul className="mb-8">
        {classes.map((entry) => (
          <li key={entry.id} className="border-line flex items-baseline gap-6 border-t py-3">
            <Link to={`/prep/classes/${entry.id}`} className="w-56 font-serif text-lg">
              {entry.name}
            </Link>
            <span>
              code <span className="font-mono">{entry.code}</span>
            </span>
            <span className="text-ink-soft">
              {counted(entry.students, 'student')}, {counted(entry.assignments, 'assignment')}
            </span>
          </li>
        ))}
      </ul>
      <Form method="post" className="flex max-w-[420px] items-start gap-3" noValidate>
        <BrowserZone />
        <Field label="A new class" name="name" className="grow" mistake={actionData?.mistake} />
        <Button className="mt-[27px]">Make it</Button>
      </Form>
    </Page>
  );
}
