import { useRef, useState } from 'react';
import { particleRadiusNm } from '@core/databook/particle-sizes';
import { drawnLarger } from '@core/practicals/drawn-particles';
import { DRAWN_RADIUS_NM } from '@core/practicals/film';
import type { Picture } from '@core/practicals/spheres/film';
import { psIn } from '@core/practicals/stretches';
import { countsOf, HOLE_NM, PS_PER_S, SLOT_IDS, SLOTS, type Plan } from '@core/practicals/spheres/plan';
import type { View } from '@core/practicals/spheres/view';
import type { Seen } from '../flying/film-hand';
import { Lost } from '../flying/lost';
import { paint } from '../flying/paint';
import { useFilm } from '../flying/use-film';
import { thingProps, type SceneHands } from '../scene-thing';
import { heard, type Thing } from './things';

interface VesselProps {
  view: View;
  labels: Plan;
  /** The bench time that shows now. */
  atS: () => number;
  hands: SceneHands<Thing>;
}

/** Pixels of the canvas across; it is shown as large as there is room. */
const PIXELS = 760;
/** How often counters are written anew while they go, ms. */
const WRITE_MS = 250;
/** Of helium, and of the other, whichever it is. */
const RADII = [particleRadiusNm('helium'), DRAWN_RADIUS_NM] as const;

/** The vessel in section with both gases, its jacket, the hole, and the counters beside it. */
export function Vessel({ view, labels, atS, hands }: VesselProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const clock = useRef<HTMLSpanElement>(null);
  const [live, setLive] = useState<View['counters']>(null);
  const wrote = useRef(0);
  const [helium] = countsOf(labels, view.of);
  const isHelium = (body: number) => body < helium;
  const show = ({ ps, picture, places }: Seen<Picture>) => {
    const context = canvas.current?.getContext('2d');
    if (context)
      paint(context, PIXELS, PIXELS, {
        places,
        deepNm: labels.edgeNm,
        pxPerNm: PIXELS / labels.edgeNm,
        larger: drawnLarger(false),
        radiusNm: (i) => RADII[isHelium(i) ? 0 : 1],
        isRing: isHelium,
        isGone: (i) => Number.isNaN(places[3 * i]),
      });
    if (clock.current) clock.current.textContent = ps.toFixed(1);
    const now = performance.now();
    if (now - wrote.current > WRITE_MS || ps >= view.run.toPs) {
      wrote.current = now;
      setLive(picture.counters);
    }
  };
  const isLost = useFilm<Picture>({
    still: view.still,
    stretch: view.run,
    running: view.running,
    psPerS: PS_PER_S,
    atS,
    onShown: show,
  });
  const counters = view.running ? live : (view.counters ?? live);
  const thing = (name: Thing, className: string) => ({
    ...thingProps(name, heard(name, view), hands),
    className: `cursor-pointer ${className} ${hands.selected === name ? 'outline-dashed outline-1 outline-water' : 'outline-none'}`,
  });
  const holePart = (200 * HOLE_NM) / labels.edgeNm;
  return (
    <div className="relative flex h-full min-h-0 items-center justify-center gap-4 p-4 max-sm:flex-col">
      <Lost isLost={isLost} />
      <div className="relative aspect-square h-full max-h-[420px] min-h-0 max-sm:h-auto max-sm:w-full">
        <div
          {...thing('jacket', 'absolute inset-0')}
          style={{ background: view.jacketK === null ? 'transparent' : 'rgb(31 111 134 / 0.14)' }}
        />
        {view.jacketK !== null && (
          <span className="bg-paper pointer-events-none absolute -top-2 left-4 px-1 text-xs" data-testid="jacket">
            jacket, <span className="font-mono">{view.jacketK}</span> K
          </span>
        )}
        <div {...thing('vessel', 'absolute inset-5 border-2 border-ink bg-paper')}>
          <canvas ref={canvas} width={PIXELS} height={PIXELS} className="size-full" data-testid="flying" aria-hidden />
        </div>
        <div
          {...thing('hole', 'absolute right-2 w-6')}
          style={{ top: `calc(50% - ${holePart / 2}%)`, height: `${holePart}%` }}
        >
          <span
            className={`mx-auto block h-full w-[7px] ${view.isOpen ? 'border-ink bg-paper border-y-2' : 'bg-ink'}`}
          />
        </div>
      </div>
      <div {...thing('counters', 'border-ink bg-paper shrink-0 border px-3 py-2')}>
        <p className="text-ink-soft text-xs">means of the stretch</p>
        <dl className="grid grid-cols-[auto_auto_auto] items-baseline gap-x-2 text-sm" data-testid="counters">
          {SLOT_IDS.map((slot) => (
            <div key={slot} className="contents">
              <dt>{SLOTS[slot].short}</dt>
              <dd className="text-right font-mono tabular-nums" data-testid={`counter-${slot}`}>
                {counters?.[slot] ?? '–'}
              </dd>
              <dd className="text-ink-soft">{SLOTS[slot].unit}</dd>
            </div>
          ))}
        </dl>
        <p className="text-ink-soft mt-2 text-xs">
          <span
            ref={clock}
            className="inline-block h-[1.3em] w-[7.5ch] overflow-hidden align-bottom font-mono tabular-nums [contain:strict]"
            data-testid="flight-time"
          >
            {psIn(view.run, view.timeS, PS_PER_S).toFixed(1)}
          </span>{' '}
          ps since the filling
        </p>
      </div>
    </div>
  );
}
