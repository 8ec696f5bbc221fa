import { Form, Link, redirect } from 'react-router';
import { assignmentsOfClass, titleOf } from '@server/assignments';
import { classOf, deleteClass, renewCode, setTimeZone } from '@server/classes';
import { removeStudent, renewWords, studentsOf } from '@server/students';
import { offered } from '@core/practicals/offered';
import { PracticalList } from '@app/prep/practical-list';
import { Grave } from '@app/prep/grave';
import { NewWords, useNewWords } from '@app/prep/new-words';
import { Button, FormMistake, INPUT, Wrong } from '@app/ui/form';
import { LeaveButton } from '@app/ui/leave-button';
import { Page } from '@app/ui/page';
import { Dates } from '@app/prep/assignment-dates';
import { fieldsOf, found, idIn, requireTeacher, tried } from '../../session';
import type { Route } from './+types/class';

const OFFERED = offered();

export async function loader({ request, params }: Route.LoaderArgs) {
  const teacher = await requireTeacher(request);
  const classId = idIn(params.classId);
  const klass = await found(classOf(teacher.id, classId));
  const [students, assignments] = await Promise.all([
    studentsOf(teacher.id, classId),
    assignmentsOfClass(teacher.id, classId),
  ]);
  return {
    teacher,
    klass,
    students,
    practicals: OFFERED,
    zones: Intl.supportedValuesOf('timeZone'),
    assignments: assignments.map((assignment) => {
      const { id, opensAt, closesAt, closedEarlyAt, isOver } = assignment;
      return { id, opensAt, closesAt, closedEarlyAt, isOver, title: titleOf(assignment) };
    }),
  };
}

export function action({ request, params }: Route.ActionArgs) {
  return tried(async () => {
    const teacher = await requireTeacher(request);
    const classId = idIn(params.classId);
    const field = await fieldsOf(request);
    switch (field('do')) {
      case 'renew-code':
        await renewCode(teacher.id, classId);
        return null;
      case 'renew-words':
        return {
          renewed: { studentId: field('student'), ...(await renewWords(teacher.id, classId, idIn(field('student')))) },
        };
      case 'remove-student':
        await removeStudent(teacher.id, classId, idIn(field('student')));
        return null;
      case 'time-zone':
        await setTimeZone(teacher.id, classId, field('timeZone'));
        return null;
      case 'delete-class':
        await deleteClass(teacher.id, classId);
        throw redirect('/prep');
    }
    return null;
  });
}

export default function ClassPage({ loaderData, actionData }: Route.ComponentProps) {
  const { teacher, klass, students, assignments, practicals, zones } = loaderData;
  const { words, putAway } = useNewWords(actionData && 'renewed' in actionData ? actionData.renewed : undefined);
  const mistake = actionData && 'mistake' in actionData ? actionData.mistake : undefined;
  return (
    <Page
      wide
      title={klass.name}
      trail={<Link to="/prep">Prep room</Link>}
      who={
        <>
          <span>{teacher.name}</span>
          <LeaveButton role="teacher" />
        </>
      }
    >
      <FormMistake mistake={mistake} />
      <div className="grid gap-10 lg:grid-cols-[3fr_2fr]">
        <section>
          <h2 className="mb-2 text-lg">Assignments</h2>
          <ul className="mb-6">
            {assignments.map((entry) => (
              <li key={entry.id} className="border-line flex flex-wrap items-baseline gap-x-6 border-t py-2">
                <Link to={`/prep/assignments/${entry.id}`}>{entry.title}</Link>
                <span className="text-ink-soft text-sm">
                  <Dates {...entry} zone={klass.timeZone} />
                </span>
              </li>
            ))}
          </ul>
          <PracticalList practicals={practicals} to={(id) => `/prep/classes/${klass.id}/set/${id}`} />
        </section>
        <section>
          <div className="bg-mist mb-5 flex items-center gap-4 p-3">
            <div>
              Class code <strong className="ml-1 font-mono text-xl">{klass.code}</strong>
            </div>
            <Grave
              look="quiet"
              label="New code"
              title="A new class code?"
              text="The old code stops working at once. Nobody who is in the class needs the new one to stay signed in."
              fields={{ do: 'renew-code' }}
            />
          </div>
          <h2 className="mb-2 text-lg">Students</h2>
          {students.length === 0 && (
            <p>Nobody has joined yet. Students go to the first page and type the class code.</p>
          )}
          <ul>
            {students.map((student) => (
              <li
                key={student.id}
                data-student={student.id}
                className="border-line flex flex-wrap items-center gap-2 border-t py-1"
              >
                <bdi className="grow">{student.name}</bdi>
                <Grave
                  look="quiet"
                  label="New words"
                  name={`New return words for ${student.name}`}
                  title={`New return words for ${student.name}?`}
                  text="The old words stop working, and the student is signed out everywhere. Their work is kept."
                  fields={{ do: 'renew-words', student: student.id }}
                />
                <Grave
                  label="Remove"
                  name={`Remove ${student.name}`}
                  title={`Remove ${student.name}?`}
                  text="Their runs, readings and hand-ins are removed too. This cannot be undone."
                  fields={{ do: 'remove-student', student: student.id }}
                />
                {words[student.id] && (
                  <NewWords name={student.name} words={words[student.id] ?? ''} onPutAway={() => putAway(student.id)} />
                )}
              </li>
            ))}
          </ul>
          <Form method="post" className="mt-6 flex items-end gap-2 text-sm">
            <input type="hidden" name="do" value="time-zone" />
            <label className="grow">
              Dates are by the clock of
              <input
                name="timeZone"
                list="time-zones"
                defaultValue={klass.timeZone}
                autoComplete="off"
                className={`${INPUT} block w-full`}
              />
            </label>
            <datalist id="time-zones">
              {zones.map((zone) => (
                <option key={zone} value={zone} />
              ))}
            </datalist>
            <Button look="quiet">Keep</Button>
          </Form>
          {mistake?.field === 'timeZone' && <Wrong>{mistake.sentence}</Wrong>}
          <div className="mt-8">
            <Grave
              label="Delete class"
              title={`Delete ${klass.name}?`}
              text="Its students, assignments and all their runs are deleted. This cannot be undone."
              fields={{ do: 'delete-class' }}
            />
          </div>
        </section>
      </div>
    </Page>
  );
}
