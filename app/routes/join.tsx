import { Form, Link, redirect } from 'react-router';
import { joinClass } from '@server/students';
import { Button, Field, FormMistake } from '@app/ui/form';
import { Page } from '@app/ui/page';
import { fieldsOf, signedIn, studentIn, tried, wordsShown, wordsToShow, wordsWritten } from '../session';
import type { Route } from './+types/join';

/** Whoever has just joined sees their words here until they have written them down. */
export async function loader({ request }: Route.LoaderArgs) {
  const words = await wordsShown(request);
  const student = words === undefined ? undefined : await studentIn(request);
  return { joined: words && student ? { words, name: student.name, className: student.className } : null };
}

export function action({ request, context }: Route.ActionArgs) {
  return tried(async () => {
    const field = await fieldsOf(request);
    if (field('do') === 'written') throw redirect('/work', { headers: { 'Set-Cookie': await wordsWritten() } });
    const { studentId, words } = await joinClass(field('code'), field('name'), context.address);
    const headers = await signedIn(request, { studentId }, studentId, context.secure);
    headers.append('Set-Cookie', await wordsToShow(studentId, words, context.secure));
    throw redirect('/join', { headers });
  });
}

export default function Join({ loaderData: { joined }, actionData }: Route.ComponentProps) {
  const mistake = actionData?.mistake;
  if (joined) {
    return (
      <Page title={`Welcome to ${joined.className}, ${joined.name}`}>
        <p>
          These three words bring you back on any other machine. Write them down: Fen shows them until you say that you
          have, and never again.
        </p>
        <p data-testid="return-words" className="border-line text-heather my-5 border-y py-4 font-mono text-xl">
          {joined.words}
        </p>
        <p className="text-ink-soft mb-5">If you lose them, your teacher can give you new ones.</p>
        <Form method="post">
          <Button look="main" name="do" value="written">
            I have written them down: to my work
          </Button>
        </Form>
      </Page>
    );
  }
  return (
    <Page title="Join your class">
      <Form method="post" className="max-w-[360px]" noValidate>
        <Field
          label="Class code"
          name="code"
          autoComplete="off"
          autoCapitalize="characters"
          spellCheck={false}
          mistake={mistake}
        />
        <Field label="Your name" name="name" autoComplete="off" help="As your teacher knows you." mistake={mistake} />
        <FormMistake mistake={mistake} />
        <Button look="main">Join</Button>
      </Form>
      <p className="mt-6">
        <Link to="/return">I have been here before</Link>
      </p>
    </Page>
  );
}
