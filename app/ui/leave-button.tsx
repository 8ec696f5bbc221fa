import { Form } from 'react-router';
import { forgetPages } from './offline';

/** Signs out, from a page's upper edge. */
export function LeaveButton({ role }: { role: 'teacher' | 'student' }) {
  return (
    <Form method="post" action="/leave" onSubmit={forgetPages}>
      <input type="hidden" name="role" value={role} />
      <button className="text-water underline underline-offset-3">Sign out</button>
    </Form>
  );
}
