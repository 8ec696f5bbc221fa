import { Form, Link, redirect } from 'react-router';
import { signUpTeacher } from '@server/teachers';
import { Button, Field, FormMistake } from '@app/ui/form';
import { Page } from '@app/ui/page';
import { fieldsOf, signedIn, tried } from '../../session';
import type { Route } from './+types/sign-up';

export function action({ request, context }: Route.ActionArgs) {
  return tried(async () => {
    const field = await fieldsOf(request);
    const email = field('email').trim().toLowerCase();
    const teacherId = await signUpTeacher(field('name'), email, field('password'), context.address);
    throw redirect('/prep', { headers: await signedIn(request, { teacherId }, email, context.secure) });
  });
}

export default function SignUp({ actionData }: Route.ComponentProps) {
  const mistake = actionData?.mistake;
  return (
    <Page title="A prep room of your own">
      <Form method="post" className="max-w-[360px]" noValidate>
        <Field label="Your name" name="name" autoComplete="name" mistake={mistake} />
        <Field label="E-mail address" name="email" type="email" autoComplete="username" mistake={mistake} />
        <Field
          label="Password"
          name="password"
          type="password"
          autoComplete="new-password"
          help="At least 10 characters."
          mistake={mistake}
        />
        <FormMistake mistake={mistake} />
        <Button look="main">Open the prep room</Button>
      </Form>
      <p className="mt-6">
        <Link to="/prep/sign-in">I have an account</Link>
      </p>
    </Page>
  );
}
