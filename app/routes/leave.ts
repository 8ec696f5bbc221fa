import { redirect } from 'react-router';
import { fieldsOf, signedOut } from '../session';
import type { Route } from './+types/leave';

/** Signs out one of the two sides. */
export async function action({ request }: Route.ActionArgs) {
  const field = await fieldsOf(request);
  const role = field('role') === 'teacher' ? 'teacher' : 'student';
  return redirect('/', { headers: { 'Set-Cookie': await signedOut(request, role) } });
}

export const loader = () => redirect('/');
