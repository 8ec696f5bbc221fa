import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import type { AnyLabels, AnyView } from '@core/practicals/registry';
import type { ShownScene } from '@core/practicals/shown';
import { drawingOf } from '@app/bench/every-drawing';
import { capital } from '@app/ui/capital';
import { Button } from '@app/ui/form';
import { PointingHand } from './hand';
import { thingsIn, touched } from './touched';
import type { ShownHere } from './use-shown';

/** So long for the way of the hand, and for looking at what it did, ms. */
const TICK_MS = { slowly: 2_200, quickly: 900 } as const;
type Pace = keyof typeof TICK_MS;

function Still({ view, labels }: { view: AnyView; labels: AnyLabels }) {
  const { Still: Drawn } = drawingOf(view.family);
  return (
    <div inert className="daylight bg-paper text-ink relative h-full">
      <Drawn view={view} labels={labels} sampleNumber="another" />
    </div>
  );
}

const time = (seconds: number) => (seconds < 90 ? `${Math.round(seconds)} s` : `${Math.round(seconds / 60)} minutes`);

function captionOf({ did, waitedS, more }: ShownScene<AnyView>): string {
  const waited = waitedS >= 2 ? `Waited ${time(waitedS)}${did === null ? '' : ', then '}` : '';
  const again = more ? ` (and the same ${more} times before)` : '';
  return `${capital(waited + (did ?? ''))}${again}.`;
}

/**
 * Plays what was done. Each scene has two ticks: on odd ones the hand goes to what it will touch, on even ones that is done.
 */
export function Player({ shown: { scenes, labels } }: { shown: ShownHere }) {
  const [tick, setTick] = useState(0);
  const [goes, setGoes] = useState(true);
  const [pace, setPace] = useState<Pace>('slowly');
  const last = 2 * (scenes.length - 1);
  const isOver = tick >= last;
  useEffect(() => {
    if (!goes || isOver) return;
    const timer = setTimeout(() => setTick(tick + 1), TICK_MS[pace]);
    return () => clearTimeout(timer);
  }, [goes, isOver, tick, pace]);

  const after = Math.ceil(tick / 2);
  const isOnTheWay = tick % 2 === 1;
  const scene = scenes[after] as ShownScene<AnyView>;
  const before = scenes[Math.max(after - 1, 0)] as ShownScene<AnyView>;
  const go = (to: number) => {
    setGoes(false);
    setTick(Math.max(0, Math.min(last, to)));
  };
  return (
    <>
      <Stage
        now={isOnTheWay ? before.view : scene.view}
        other={isOnTheWay ? scene.view : before.view}
        labels={labels}
        did={tick === 0 ? null : (scene.did ?? '')}
        isOnTheWay={isOnTheWay}
        loupe={scene.reads === true}
      />
      <div className="border-line border-t px-4 py-2">
        <div role="status" className="min-h-12">
          <p className="font-serif">
            <span className="text-ink-soft mr-2 font-mono text-sm">
              {after} of {scenes.length - 1}
            </span>
            {after === 0 ? 'This is the bench before the step.' : captionOf(scene)}
          </p>
          {!isOnTheWay && scene.note && <p className="text-sedge text-sm">{scene.note}</p>}
        </div>
        <div className="flex flex-wrap items-center gap-2">
          {isOver ? (
            <Button
              type="button"
              look="main"
              onClick={() => {
                setTick(0);
                setGoes(true);
              }}
            >
              See it again
            </Button>
          ) : (
            <Button type="button" look="main" onClick={() => setGoes(!goes)}>
              {goes ? 'Stop' : 'Go on'}
            </Button>
          )}
          <Button type="button" onClick={() => go(2 * (after - 1))} disabled={after === 0}>
            One back
          </Button>
          <Button type="button" onClick={() => go(2 * (after + (isOnTheWay ? 0 : 1)))} disabled={isOver}>
            One on
          </Button>
          <label className="ml-auto flex items-center gap-2 text-sm">
            <input
              type="checkbox"
              checked={pace === 'quickly'}
              onChange={(event) => setPace(event.target.checked ? 'quickly' : 'slowly')}
            />
            quickly
          </label>
        </div>
      </div>
    </>
  );
}

interface StageProps {
  now: AnyView;
  /** The bench before or after, by which is seen what the act touches. */
  other: AnyView;
  labels: AnyLabels;
  /** What is done, in words; null where nothing is. */
  did: string | null;
  isOnTheWay: boolean;
  /** Whether a scale is read, and seen close up. */
  loupe: boolean;
}

/** A bench needs so much breadth, px; where there is less, all of it is drawn smaller. */
const BREADTH = 740;

function useScale(box: React.RefObject<HTMLDivElement | null>): React.CSSProperties {
  const [size, setSize] = useState<React.CSSProperties>({ width: '100%', height: '100%' });
  useEffect(() => {
    const room = box.current;
    if (!room) return;
    const observer = new ResizeObserver(() => {
      const scale = Math.min(room.clientWidth / BREADTH, 1);
      setSize({
        width: room.clientWidth / scale,
        height: room.clientHeight / scale,
        transform: `scale(${scale})`,
      });
    });
    observer.observe(room);
    return () => observer.disconnect();
  }, [box]);
  return size;
}

/** The bench with the hand at what the act touches: on the way at the first of it, then at the last. */
function Stage({ now, other, labels, did, isOnTheWay, loupe }: StageProps) {
  const { Loupe } = drawingOf(now.family);
  const box = useRef<HTMLDivElement>(null);
  const size = useScale(box);
  const [seen, unseen] = [useRef<HTMLDivElement>(null), useRef<HTMLDivElement>(null)];
  const [hand, setHand] = useState<{ x: number; y: number } | null>(null);
  useLayoutEffect(() => {
    const [room, here, there] = [box.current, seen.current, unseen.current];
    if (!room || !here || !there || did === null) return setHand(null);
    const [first, second] = [thingsIn(here), thingsIn(there)];
    const names = isOnTheWay ? touched(first, second, did) : touched(second, first, did);
    const present = names.slice(0, 2).filter((name) => first.has(name));
    const name = isOnTheWay ? present[0] : present.at(-1);
    const element = name === undefined ? null : here.querySelector(`[data-thing="${CSS.escape(name)}"]`);
    if (!element) return;
    const { left, top } = room.getBoundingClientRect();
    const at = (element.querySelector(':scope > rect') ?? element).getBoundingClientRect();
    setHand({ x: at.left + at.width / 2 - left, y: at.top + at.height * 0.6 - top });
  }, [now, other, did, isOnTheWay, seen, unseen, size]);
  return (
    <div ref={box} className="relative min-h-0 grow overflow-hidden" data-testid="shown-bench">
      <div ref={seen} className="absolute top-0 left-0 origin-top-left" style={size}>
        <Still view={now} labels={labels} />
      </div>
      <div ref={unseen} className="invisible absolute top-0 left-0 origin-top-left" style={size} aria-hidden>
        <Still view={other} labels={labels} />
      </div>
      {loupe && (
        <div inert className="daylight bg-paper text-ink absolute top-2 right-2 aspect-square w-2/5 max-w-56">
          <Loupe view={now} unnumbered={false} />
        </div>
      )}
      {hand && (
        <div
          data-testid="shown-hand"
          className="pointer-events-none absolute top-0 left-0 z-10 transition-transform duration-700 motion-reduce:transition-none"
          style={{ transform: `translate(${hand.x}px, ${hand.y}px)` }}
        >
          <PointingHand />
        </div>
      )}
    </div>
  );
}
