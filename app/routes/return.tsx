import { Form, Link, redirect, useSearchParams } from 'react-router';
import { returnToClass } from '@server/students';
import { Button, Field, FormMistake } from '@app/ui/form';
import { Page } from '@app/ui/page';
import { fieldsOf, signedIn, tried, trierOf } from '../session';
import type { Route } from './+types/return';

export function action({ request, context }: Route.ActionArgs) {
  return tried(async () => {
    const field = await fieldsOf(request);
    const trier = await trierOf(request, context.address);
    const studentId = await returnToClass(field('code'), field('name'), field('words'), trier);
    throw redirect('/work', { headers: await signedIn(request, { studentId }, studentId, context.secure) });
  });
}

export default function Return({ actionData }: Route.ComponentProps) {
  const mistake = actionData?.mistake;
  const gone = useSearchParams()[0].has('gone');
  return (
    <Page title="Come back to your class">
      {gone && (
        <p role="status" className="text-sedge mb-4">
          You are signed out here: your teacher gave you new return words, or the class was deleted.
        </p>
      )}
      <Form method="post" className="max-w-[360px]" noValidate>
        <Field
          label="Class code"
          name="code"
          autoComplete="off"
          autoCapitalize="characters"
          spellCheck={false}
          mistake={mistake}
        />
        <Field label="Your name" name="name" autoComplete="off" mistake={mistake} />
        <Field label="Your three return words" name="words" autoComplete="off" spellCheck={false} mistake={mistake} />
        <FormMistake mistake={mistake} />
        <Button look="main">Come back</Button>
      </Form>
      <p className="mt-6">
        <Link to="/join">I am new here and have a class code</Link>
      </p>
    </Page>
  );
}
