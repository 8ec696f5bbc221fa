import { Dialog } from 'radix-ui';
import { useEffect, useState } from 'react';
import type { AnyView } from '@core/practicals/registry';
import { drawingOf, loadDrawing } from '@app/bench/every-drawing';
import { Button } from '@app/ui/form';
import { benchClock } from '@app/ui/bench-clock';
import { useRun } from './run-context';

type Moment = { act: number; atS: number } | { reading: number };

/** Moments that were fetched: what was seen then does not change. */
const seen = new Map<string, Promise<AnyView>>();

function fetchMoment(runId: string, query: string): Promise<AnyView> {
  const key = `${runId} ${query}`;
  const known = seen.get(key);
  if (known) return known;
  const asked = fetch(`/runs/${runId}/moment?${query}`).then(async (response) => {
    if (!response.ok) throw new Error(String(response.status));
    const { view } = (await response.json()) as { view: AnyView };
    await loadDrawing(view.family);
    return view;
  });
  asked.catch(() => seen.delete(key));
  seen.set(key, asked);
  return asked;
}

type MomentState = { view: AnyView } | 'loading' | 'not reached';

/** The bench as it was at a moment of this run. */
export function useMoment(moment: Moment | null): MomentState {
  const { runId } = useRun();
  const query =
    moment === null ? null : 'reading' in moment ? `reading=${moment.reading}` : `act=${moment.act}&at=${moment.atS}`;
  const [state, setState] = useState<{ query: string; is: MomentState } | null>(null);
  useEffect(() => {
    if (query === null) return;
    let gone = false;
    fetchMoment(runId, query)
      .then((view) => !gone && setState({ query, is: { view } }))
      .catch(() => !gone && setState({ query, is: 'not reached' }));
    return () => {
      gone = true;
    };
  }, [runId, query]);
  return state && state.query === query ? state.is : 'loading';
}

/** The bench drawn from a view that stands still. */
export function StillBench({ view }: { view: AnyView }) {
  const { labels, sampleNumber } = useRun();
  const { Still } = drawingOf(view.family);
  return (
    <div inert className="daylight bg-paper text-ink relative h-full">
      <Still view={view} labels={labels} sampleNumber={sampleNumber} />
    </div>
  );
}

/** The loupe at a moment; without its numbers where they are to be drawn. */
export function StillLoupe({ view, unnumbered = false }: { view: AnyView; unnumbered?: boolean }) {
  const { Loupe } = drawingOf(view.family);
  return (
    <div inert className="daylight bg-paper text-ink relative h-full">
      <Loupe view={view} unnumbered={unnumbered} />
    </div>
  );
}

/** Opens the bench as it stood when a reading was taken. */
export function MomentButton({ moment }: { moment: Moment }) {
  const [open, setOpen] = useState(false);
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger className="text-water min-h-6 underline">the bench then</Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="bg-paper border-line-strong fixed top-1/2 left-1/2 z-50 w-[min(860px,94vw)] -translate-x-1/2 -translate-y-1/2 border p-4"
        >
          {open && <MomentContent moment={moment} />}
          <Dialog.Close asChild>
            <Button type="button" look="quiet" className="mt-3">
              Close
            </Button>
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function MomentContent({ moment }: { moment: Moment }) {
  const state = useMoment(moment);
  const isThere = typeof state === 'object';
  return (
    <>
      <Dialog.Title className="font-serif text-lg">
        {isThere ? `The bench at ${benchClock(state.view.timeS)}` : 'The bench at that moment'}
      </Dialog.Title>
      {state === 'loading' && <p>Looking it up…</p>}
      {state === 'not reached' && <p className="text-rust">The server cannot be reached just now.</p>}
      {isThere && (
        <div className="mt-2 grid grid-cols-[3fr_2fr] gap-4" data-testid="moment">
          <div className="h-[440px] overflow-hidden">
            <StillBench view={state.view} />
          </div>
          <div className="aspect-square">
            <StillLoupe view={state.view} />
            <p className="text-ink-soft mt-1 text-sm">{drawingOf(state.view.family).loupeCaption}</p>
          </div>
        </div>
      )}
    </>
  );
}
