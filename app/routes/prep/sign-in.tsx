import { Form, Link, redirect } from 'react-router';
import { signInTeacher } from '@server/teachers';
import { Button, Field, FormMistake } from '@app/ui/form';
import { Page } from '@app/ui/page';
import { fieldsOf, safeWay, signedIn, tried, trierOf } from '../../session';
import type { Route } from './+types/sign-in';

export function action({ request, context }: Route.ActionArgs) {
  return tried(async () => {
    const field = await fieldsOf(request);
    const email = field('email').trim().toLowerCase();
    const trier = await trierOf(request, context.address);
    const teacherId = await signInTeacher(email, field('password'), trier);
    const to = safeWay(new URL(request.url).searchParams.get('to'), '/prep');
    throw redirect(to, { headers: await signedIn(request, { teacherId }, email, context.secure) });
  });
}

export default function SignIn({ actionData }: Route.ComponentProps) {
  const mistake = actionData?.mistake;
  return (
    <Page title="Sign in to the prep room">
      <Form method="post" className="max-w-[360px]" noValidate>
        <Field label="E-mail address" name="email" type="email" autoComplete="username" mistake={mistake} />
        <Field label="Password" name="password" type="password" autoComplete="current-password" mistake={mistake} />
        <FormMistake mistake={mistake} />
        <Button look="main">Sign in</Button>
      </Form>
      <p className="mt-6">
        <Link to="/prep/sign-up">I have no account yet</Link>
      </p>
    </Page>
  );
}
