import { data, Form, Link } from 'react-router';
import { joinClass } from '@server/students';
import { Button, Field, FormMistake } from '@app/ui/form';
import { Page } from '@app/ui/page';
import { fieldsOf, signedIn, tried } from '../session';
import type { Route } from './+types/join';

export function action({ request, context }: Route.ActionArgs) {
  return tried(async () => {
    const field = await fieldsOf(request);
    const joined = await joinClass(field('code'), field('name'), context.address);
    const cookie = await signedIn(request, { studentId: joined.studentId }, context.secure);
    return data(
      { joined: { words: joined.words, name: joined.name, className: joined.className } },
      { headers: { 'Set-Cookie': cookie } },
    );
  });
}

export default function Join({ actionData }: Route.ComponentProps) {
  const joined = actionData && 'joined' in actionData ? actionData.joined : undefined;
  const mistake = actionData && 'mistake' in actionData ? actionData.mistake : undefined;
  if (joined) {
    return (
      <Page title={`Welcome to ${joined.className}, ${joined.name}`}>
        <p>
          These three words bring you back on any other machine. Write them down; Fen shows them only now.
        </p>
        <p
          data-testid="return-words"
          className="border-line text-heather my-5 border-y py-4 font-mono text-xl"
        >
          {joined.words}
        </p>
        <p className="text-ink-soft mb-5">If you lose them, your teacher can give you new ones.</p>
        <Link to="/work">I have written them down: to my work</Link>
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
        <Field
          label="Your name"
          name="name"
          autoComplete="off"
          help="As your teacher knows you."
          mistake={mistake}
        />
        <FormMistake mistake={mistake} />
        <Button look="main">Join</Button>
      </Form>
      <p className="mt-6">
        <Link to="/return">I have been here before</Link>
      </p>
    </Page>
  );
}
