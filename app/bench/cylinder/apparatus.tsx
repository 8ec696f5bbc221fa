import { drawnLarger } from '@core/practicals/drawn-particles';
import { useEffect, useRef, useState } from 'react';
import { PS_PER_S, SLOTS_OF, type Plan, type Slot } from '@core/practicals/cylinder/plan';
import type { View } from '@core/practicals/cylinder/view';
import { psIn } from '@core/practicals/stretches';
import { paint } from '../flying/paint';
import { Beside } from './beside';
import { Flies } from './flies';
import { Gauges } from './gauges';
import { Scene } from './scene';
import type { Shown } from './shown';
import { thingProps, type SceneHands } from '../scene-thing';
import { heard, roomIn, type Thing } from './things';

interface ApparatusProps {
  view: View;
  labels: Plan;
  /** The bench time that shows now. */
  atS: () => number;
  hands: SceneHands<Thing>;
  onPull: (nm: number) => void;
  /** Which counters show something now. */
  onCounters: (slots: readonly Slot[]) => void;
}

/** Pixels of the canvas for a nm; it is shown as large as there is room. */
const PX_PER_NM = 22;
/** How often what stands beside the cylinder is drawn anew while they fly, ms. */
const WRITE_MS = 120;

/** The cylinder with what flies in it, and beside it the pen and the counters. */
export function Apparatus({ view, labels, atS, hands, onPull, onCounters }: ApparatusProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const clock = useRef<HTMLSpanElement>(null);
  const [shown, setShown] = useState<Shown | null>(null);
  const [heightNm, setHeightNm] = useState(view.heightNm);
  const wrote = useRef(0);
  const { edge, top, radius } = roomIn(view, labels);
  const show = (now: Shown) => {
    const context = canvas.current?.getContext('2d');
    if (context)
      paint(context, Math.round(edge * PX_PER_NM), Math.round(top * PX_PER_NM), {
        places: now.places,
        deepNm: edge,
        pxPerNm: PX_PER_NM,
        larger: drawnLarger(labels.gear === 'many'),
        radiusNm: () => radius,
        isRing: () => false,
        marked: labels.gear === 'impacts' && !view.running ? now.hit : null,
      });
    if (clock.current) clock.current.textContent = now.ps.toFixed(1);
    setHeightNm(now.heightNm);
    const ms = performance.now();
    if (ms - wrote.current > WRITE_MS || now.ps >= view.stretch.toPs) {
      wrote.current = ms;
      setShown(now);
    }
  };
  const slots = SLOTS_OF[labels.gear];
  const isLive = view.running && shown !== null;
  const counters = isLive ? shown.counters : view.counters;
  const there = slots.filter((slot) => counters[slot] !== undefined);
  useEffect(() => {
    onCounters(there);
  });
  const uncertainties = isLive ? shown.uncertainties : view.uncertainties;
  return (
    <div className="relative flex h-full min-h-0 items-stretch justify-center gap-4 p-2 max-sm:flex-col">
      <Flies view={view} atS={atS} onShown={show} />
      <div className="min-h-0 min-w-0 grow max-sm:h-[360px] max-sm:shrink-0">
        <Scene
          view={view}
          labels={labels}
          heightNm={heightNm}
          canvas={canvas}
          pxPerNm={PX_PER_NM}
          hands={hands}
          onPull={onPull}
        />
      </div>
      <div className="flex w-[270px] shrink-0 flex-col gap-2 max-xl:w-[225px] max-sm:w-full">
        <Beside labels={labels} shown={shown} />
        <div
          {...thingProps('counters', heard('counters', view, labels), hands)}
          className={`border-ink bg-paper cursor-pointer border px-3 py-1.5 ${hands.selected === 'counters' ? 'outline-water outline-1 outline-dashed' : 'outline-none'}`}
        >
          <p className="text-ink-soft text-xs">means since the last change or stretch</p>
          <Gauges slots={slots} counters={counters} uncertainties={uncertainties} />
          <p className="text-ink-soft mt-1 text-xs">
            <span
              ref={clock}
              className="inline-block h-[1.3em] w-[7.5ch] overflow-hidden align-bottom font-mono tabular-nums [contain:strict]"
              data-testid="flight-time"
            >
              {psIn(view.stretch, view.timeS, PS_PER_S).toFixed(1)}
            </span>{' '}
            ps since the filling
          </p>
        </div>
      </div>
    </div>
  );
}
