import { Link, redirect } from 'react-router';
import { Page } from '@app/ui/page';
import { studentIn, teacherIn } from '../session';
import type { Route } from './+types/home';

export async function loader({ request }: Route.LoaderArgs) {
  const [teacher, student] = await Promise.all([teacherIn(request), studentIn(request)]);
  if (student && !teacher) throw redirect('/work');
  return { teacher: teacher?.name, student: student?.name };
}

function Door({ to, title, children }: { to: string; title: string; children: React.ReactNode }) {
  return (
    <li className="border-line border-t py-4">
      <Link to={to} className="font-serif text-lg">
        {title}
      </Link>
      <p className="text-ink-soft">{children}</p>
    </li>
  );
}

export default function Home({ loaderData: { teacher, student } }: Route.ComponentProps) {
  return (
    <Page title="A bench for every student">
      <p className="mb-6 max-w-[60ch] font-serif">
        In Fen a class does bench experiments on simulated glassware that behaves as glassware does. Everyone is given a
        sample of their own, reads the instruments themselves, and finds out what it is.
      </p>
      <ul>
        {student && (
          <Door to="/work" title="My work">
            Go on as {student}.
          </Door>
        )}
        <Door to="/join" title="I have a class code">
          Join your class for the first time. No e-mail address is needed.
        </Door>
        <Door to="/return" title="I have been here before">
          Come back with your three return words.
        </Door>
        <Door to="/prep" title={teacher ? `Prep room of ${teacher}` : 'I am a teacher'}>
          Classes, practicals and results.
        </Door>
        <Door to="/data-book" title="Data book">
          Constants, indicators and glassware, with their sources.
        </Door>
      </ul>
    </Page>
  );
}
