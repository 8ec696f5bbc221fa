import { useEffect, useMemo, useState } from 'react';
import { data, Link, useFetcher } from 'react-router';
import { PRACTICALS } from '@core/practicals/registry';
import { misfit } from '@core/report/fits';
import { assignmentOf, composeReport, sampleAt } from '@server/assignments';
import { unitExists } from '@server/units';
import { runsBegun } from '@server/runs';
import { AskCard } from '@app/prep/ask-card';
import { MistakesTold } from '@app/prep/mistakes-told';
import { useFirstMistake } from '@app/prep/use-first-mistake';
import { draftOf, KINDS, newDraft, reportFrom, type AskDraft, type DraftMistakes } from '@app/prep/report-draft';
import { Button, Wrong } from '@app/ui/form';
import { LeaveButton } from '@app/ui/leave-button';
import { shortId } from '@app/ui/new-id';
import { Page } from '@app/ui/page';
import { useKept } from '@app/ui/use-kept';
import { found, idIn, jsonIn, placeIn, requireTeacher } from '../../session';
import type { Route } from './+types/compose';

/** Which of an assignment's samples the report is for: the first unless the address names another. */
const placeOf = (request: Request) => placeIn(new URL(request.url).searchParams.get('sample'));

export async function loader({ request, params }: Route.LoaderArgs) {
  const teacher = await requireTeacher(request);
  const assignment = await found(assignmentOf(teacher.id, idIn(params.assignmentId)));
  const sample = await found(Promise.resolve(assignment).then((entry) => sampleAt(entry, placeOf(request))));
  const practical = PRACTICALS[sample.practical];
  const own = practical.asks(sample.setup);
  return {
    teacher,
    assignmentId: assignment.id,
    place: sample.place,
    className: assignment.className,
    title: practical.title,
    own,
    asks: sample.report ?? own,
    isOwn: sample.report === null,
    quantities: practical.quantities(sample.setup),
    begun: await runsBegun(assignment.id, sample.place),
  };
}

export async function action({ request, params }: Route.ActionArgs) {
  const teacher = await requireTeacher(request);
  const assignmentId = idIn(params.assignmentId);
  const place = placeOf(request);
  await found(assignmentOf(teacher.id, assignmentId).then((assignment) => sampleAt(assignment, place)));
  const sent: unknown = await jsonIn(request);
  if (sent === 'own') {
    await composeReport(teacher.id, assignmentId, place, null);
    return data({ saved: true, mistakes: {} as DraftMistakes });
  }
  const wrong = { form: 'This was not a report. Load the page again.' } as DraftMistakes;
  if (!Array.isArray(sent)) return data({ saved: false, mistakes: wrong }, { status: 400 });
  let composed: ReturnType<typeof reportFrom>;
  try {
    composed = reportFrom(sent as AskDraft[]);
  } catch {
    return data({ saved: false, mistakes: wrong }, { status: 400 });
  }
  const mistakes: DraftMistakes = 'mistakes' in composed ? composed.mistakes : {};
  for (const [i, ask] of ('report' in composed ? composed.report : []).entries())
    if (ask.kind === 'number' && !unitExists(ask.unit))
      mistakes[`${i}.unit`] = `“${ask.unit}” is not a unit that Fen knows.`;
  const sample = sampleAt(await assignmentOf(teacher.id, assignmentId), place);
  const quantities = PRACTICALS[sample.practical].quantities(sample.setup);
  for (const [i, ask] of ('report' in composed ? composed.report : []).entries()) {
    const found = misfit(ask, quantities);
    if (found) mistakes[`${i}.${found.field}`] ??= found.sentence;
  }
  if ('mistakes' in composed || Object.keys(mistakes).length > 0)
    return data({ saved: false, mistakes }, { status: 422 });
  await composeReport(teacher.id, assignmentId, place, composed.report);
  return data({ saved: true, mistakes });
}

const NONE: DraftMistakes = {};

export const meta: Route.MetaFunction = () => [{ title: 'Compose a report · Fen' }];

/** Drafts as this tab keeps them; undefined when there are none, or they are of no use. */
function keptDrafts(text: string): AskDraft[] | undefined {
  try {
    const kept: unknown = JSON.parse(text || 'null');
    // What was kept is what this page put there.
    return Array.isArray(kept) ? (kept as AskDraft[]) : undefined;
  } catch {
    return undefined;
  }
}

export default function Compose({ loaderData }: Route.ComponentProps) {
  const { teacher, quantities, begun } = loaderData;
  // What is not saved yet stays in this tab, across leaving the page and loading it again.
  const [unsaved, keep] = useKept(`fen-compose ${loaderData.assignmentId} ${loaderData.place}`, '', 'tab');
  const drafts = useMemo(() => keptDrafts(unsaved) ?? loaderData.asks.map(draftOf), [unsaved, loaderData.asks]);
  const touched = unsaved !== '';
  const [shown, setShown] = useState(false);
  const fetcher = useFetcher<typeof action>();
  const isSaved = fetcher.state === 'idle' && fetcher.data?.saved === true;
  useEffect(() => {
    if (isSaved) keep('');
  }, [isSaved, fetcher.data, keep]);
  const mistakes = (shown && fetcher.data?.mistakes) || NONE;
  const list = useFirstMistake<HTMLOListElement>(mistakes);
  const change = (next: AskDraft[]) => {
    setShown(false);
    keep(JSON.stringify(next));
  };
  const send = (body: AskDraft[] | 'own') => {
    setShown(true);
    void fetcher.submit(JSON.stringify(body), { method: 'post', encType: 'application/json' });
  };
  const move = (from: number, to: number) => {
    const next = [...drafts];
    const [moved] = next.splice(from, 1);
    if (moved) next.splice(to, 0, moved);
    change(next);
  };
  const state =
    fetcher.state !== 'idle'
      ? 'Saving…'
      : touched
        ? 'Not saved yet. It stays in this tab.'
        : fetcher.data?.saved
          ? 'Saved.'
          : '';
  return (
    <Page
      wide
      title="What the report asks for"
      trail={
        <Link to={`/prep/assignments/${loaderData.assignmentId}`}>
          {loaderData.className}: {loaderData.title}
        </Link>
      }
      who={
        <>
          <span>{teacher.name}</span>
          <LeaveButton role="teacher" />
        </>
      }
    >
      <div className="border-line bg-paper sticky top-0 z-10 mb-4 flex flex-wrap items-center gap-3 border-y py-3">
        <Button type="button" look="main" onClick={() => send(drafts)} disabled={fetcher.state !== 'idle'}>
          Save
        </Button>
        <Button type="button" onClick={() => change([])}>
          Begin empty
        </Button>
        <Button type="button" onClick={() => change(loaderData.own.map(draftOf))}>
          The practical’s own
        </Button>
        <span role="status" className="text-ink-soft text-sm">
          {state}
        </span>
        {begun > 0 && (
          <span className="text-sedge text-sm">
            {begun === 1 ? 'One student has' : `${begun} students have`} begun. What they have answered stays with its
            question.
          </span>
        )}
      </div>
      {mistakes['form'] ? (
        <Wrong>{mistakes['form']}</Wrong>
      ) : (
        <MistakesTold mistakes={mistakes} nothing="Nothing was saved yet." />
      )}
      {drafts.length === 0 && <p className="mb-4">Nothing is asked yet. Add the first question below.</p>}
      <ol ref={list}>
        {drafts.map((draft, i) => (
          <AskCard
            key={draft.key}
            draft={draft}
            number={i + 1}
            quantities={quantities}
            mistakeAt={(field) => mistakes[`${i}.${field}`]}
            onChange={(part) =>
              change(drafts.map((entry) => (entry.key === draft.key ? { ...entry, ...part } : entry)))
            }
            onUp={i > 0 ? () => move(i, i - 1) : undefined}
            onDown={i < drafts.length - 1 ? () => move(i, i + 1) : undefined}
            onRemove={() => change(drafts.filter((entry) => entry.key !== draft.key))}
          />
        ))}
      </ol>
      <div className="flex flex-wrap items-center gap-2" role="toolbar" aria-label="Add a question">
        <span>Ask for</span>
        {KINDS.map(({ kind, label }) => (
          <Button key={kind} type="button" onClick={() => change([...drafts, newDraft(kind, shortId(), quantities)])}>
            {label}
          </Button>
        ))}
      </div>
    </Page>
  );
}
