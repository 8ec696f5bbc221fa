import { CarryLabel } from './bench-parts';
import { lazyPiece } from '@app/ui/lazy-piece';
import type { Hands } from './use-hands';

/** The frame of a bench, the same for all: the task, the scene with its loupe, the tray, the verbs, what a hand carries. */

const NamesShown = lazyPiece(() => import('./names-shown').then((module) => module.NamesShown), null);

export const prefetchNames = NamesShown.prefetch;

interface FrameProps<Thing extends string> {
  hands: Pick<Hands<Thing, string, never>, 'carrying' | 'nameOf' | 'names'>;
  area: React.RefObject<HTMLDivElement | null>;
  onKeyDown: (event: React.KeyboardEvent) => void;
  task: string | null;
  /** More that stands under the task. */
  underTask?: React.ReactNode;
  /** Whether the task lies over the scene, in its corner, not above it. */
  isTaskOver?: boolean;
  /** Whether things are carried here, by mouse or finger. */
  isCarried?: boolean;
  scene: React.ReactNode;
  loupe?: React.ReactNode;
  tray?: React.ReactNode;
  verbs: React.ReactNode;
}

const TASK = 'border-line-strong px-3 py-1';

export function BenchFrame<Thing extends string>({
  hands,
  area,
  onKeyDown,
  task,
  underTask,
  isTaskOver = false,
  isCarried = true,
  scene,
  loupe,
  tray,
  verbs,
}: FrameProps<Thing>) {
  const { carry, lift, near } = hands.carrying;
  const { names } = hands;
  const told = task && (
    <div
      data-keep-clear
      className={`${TASK} ${isTaskOver ? 'bg-paper absolute top-3 left-3 border' : 'shrink-0 border-b text-sm'}`}
    >
      <p className="font-serif" data-testid="task">
        {task}
      </p>
      {underTask}
    </div>
  );
  return (
    <div ref={area} className="daylight bg-paper text-ink relative flex h-full min-h-0 flex-col" onKeyDown={onKeyDown}>
      {names.shown && <NamesShown area={area} nameOf={(thing) => hands.nameOf(thing as Thing)} />}
      <div
        className={`relative min-h-0 grow overflow-hidden ${isCarried ? '[container-type:size] touch-none' : ''}`}
        data-testid="bench"
        onPointerDown={isCarried ? near(lift) : undefined}
        onContextMenu={isCarried ? (event) => event.preventDefault() : undefined}
      >
        <div className="flex h-full flex-col">
          {!isTaskOver && told}
          <div className={`min-h-0 grow ${isCarried ? '' : 'overflow-y-auto'}`}>{scene}</div>
          {isTaskOver && told}
        </div>
        {loupe}
      </div>
      {/* Over the right end of the verbs, which seldom reach so far. */}
      <div className="relative order-1 h-0">
        <button
          type="button"
          aria-pressed={names.shown}
          className="text-water absolute top-px right-2 z-[6] min-h-6 text-xs underline"
          onClick={names.turn}
        >
          {names.shown ? 'names away' : 'names'}
        </button>
      </div>
      {/* Before the verbs for who goes on by Tab, under them for the eye. */}
      {tray}
      {verbs}
      {carry && <CarryLabel carry={carry} nameOf={hands.nameOf} />}
    </div>
  );
}
