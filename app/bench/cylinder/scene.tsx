import { useRef } from 'react';
import { short } from '@core/analysis/quantity';
import { volumeOf, type Plan } from '@core/practicals/cylinder/plan';
import type { View } from '@core/practicals/cylinder/view';
import { thingProps, type SceneHands } from '../scene-thing';
import { heard, roomIn, type Thing } from './things';

/** The cylinder in section, in nm: what holds what is seen on it. */

/** Around the inner walls: ruler, valve and jacket, load and rod, ground. */
const ROOM = { left: 8.5, right: 7, top: 11.5, bottom: 4 };
const WALL = 0.7;
const JACKET = 2.6;
const PLATE = 1.4;

interface SceneProps {
  view: View;
  labels: Plan;
  /** How high the room of their middles is now, nm. */
  heightNm: number;
  canvas: React.RefObject<HTMLCanvasElement | null>;
  /** Pixels of the canvas for a nm. */
  pxPerNm: number;
  hands: SceneHands<Thing>;
  /** The piston was taken by hand to a height, nm. */
  onPull: (nm: number) => void;
}

/** The plates of a load: one for each doubling from 5 kPa on. */
const platesOf = (kPa: number): number => Math.max(1, Math.min(8, Math.round(Math.log2(kPa / 5))));

export function Scene({ view, labels, heightNm, canvas, pxPerNm, hands, onPull }: SceneProps) {
  const { fitted } = view;
  const { edge, top, radius } = roomIn(view, labels);
  const gap = 2 * radius;
  const [width, height] = [edge + ROOM.left + ROOM.right, top + ROOM.top + ROOM.bottom];
  const svg = useRef<SVGSVGElement>(null);
  const ground = ROOM.top + top;
  /** Where something stands that is so high above the ground. */
  const yOf = (nm: number) => ground - nm;
  const under = yOf(heightNm + gap);
  const [left, right] = [ROOM.left, ROOM.left + edge];
  const part = (name: Thing) => ({
    ...thingProps(name, heard(name, view, labels), hands),
    className: 'cursor-pointer outline-none',
  });
  const chosen = (name: Thing) => (hands.selected === name ? 'stroke-water' : 'stroke-ink');
  const pull = (event: React.PointerEvent<SVGGElement>) => {
    hands.onSelect('piston');
    const box = svg.current?.getBoundingClientRect();
    if (!box || hands.selected === null) return;
    const target = event.currentTarget;
    const perNm = box.height / height;
    const [fromY, fromNm] = [event.clientY, heightNm];
    let moved = 0;
    target.setPointerCapture(event.pointerId);
    const move = (now: PointerEvent) => {
      moved = (fromY - now.clientY) / perNm;
      target.style.transform = `translateY(${-Math.max(Math.min(moved, labels.topNm - fromNm), 4 - fromNm)}px)`;
    };
    const end = () => {
      target.removeEventListener('pointermove', move);
      target.removeEventListener('pointerup', end);
      target.removeEventListener('pointercancel', end);
      target.style.transform = '';
      if (Math.abs(moved) > 0.4) onPull(Math.max(Math.min(fromNm + moved, labels.topNm), 4));
    };
    target.addEventListener('pointermove', move);
    target.addEventListener('pointerup', end);
    target.addEventListener('pointercancel', end);
  };
  const perTick = 5000;
  const ticks = Array.from({ length: Math.floor(volumeOf(labels, labels.topNm) / 1000) + 1 }, (_, i) => 1000 * i);
  const plates = fitted.loadKPa === null ? 0 : platesOf(fitted.loadKPa);
  const pinY = fitted.pinNm === null ? null : yOf(fitted.pinNm + gap) - PLATE / 2;
  const percent = (nm: number, of: number) => `${(100 * nm) / of}%`;
  return (
    <div className="[container-type:size] grid size-full place-items-center">
      <div
        className="relative"
        style={{ aspectRatio: `${width} / ${height}`, width: `min(100cqw, calc(100cqh * ${width / height}))` }}
      >
        <canvas
          ref={canvas}
          width={Math.round(edge * pxPerNm)}
          height={Math.round(top * pxPerNm)}
          className="pointer-events-none absolute"
          style={{
            left: percent(left, width),
            top: percent(ROOM.top, height),
            width: percent(edge, width),
            height: percent(top, height),
          }}
          data-testid="flying"
          aria-hidden
        />
        <svg
          ref={svg}
          viewBox={`0 0 ${width} ${height}`}
          className="absolute inset-0 size-full select-none"
          strokeWidth={0.16}
        >
          <g {...part('jacket')}>
            {/* Open above: a channel around the sides and below the ground. */}
            <path
              d={`M${left - WALL - JACKET} ${ROOM.top} V${ground + WALL + JACKET} H${right + WALL + JACKET} V${ROOM.top} H${right + WALL} V${ground + WALL} H${left - WALL} V${ROOM.top} Z`}
              className={
                fitted.jacketK === null
                  ? `fill-transparent ${hands.selected === 'jacket' ? 'stroke-water' : 'stroke-line-strong'}`
                  : `fill-water/20 ${chosen('jacket')}`
              }
              strokeDasharray={fitted.jacketK === null ? '0.6 0.6' : undefined}
            />
          </g>
          <g {...part('cylinder')}>
            <rect x={left} y={ROOM.top} width={edge} height={top} className="fill-transparent" stroke="none" />
            <path
              d={`M${left - WALL} ${ROOM.top} V${ground + WALL} H${right + WALL} V${ROOM.top} M${left} ${ROOM.top} V${ground} H${right} V${ROOM.top}`}
              className={`fill-none ${chosen('cylinder')}`}
            />
            {/* The stop: a rim that the piston cannot pass. */}
            <path
              d={`M${left} ${ROOM.top - 0.4} h0.9 M${right} ${ROOM.top - 0.4} h-0.9`}
              className="stroke-ink"
              strokeWidth={0.5}
            />
          </g>
          <g className="pointer-events-none" aria-hidden>
            {ticks.map((nm3) => {
              const y = yOf(nm3 / labels.edgeNm / labels.edgeNm + gap);
              const isLong = nm3 % perTick === 0;
              return (
                <g key={nm3}>
                  <path
                    d={`M${left - WALL - JACKET - 0.5} ${y} h${isLong ? -1.4 : -0.7}`}
                    className="stroke-ink"
                    strokeWidth={0.1}
                  />
                  {isLong && (
                    <text
                      x={left - WALL - JACKET - 2.2}
                      y={y + 0.45}
                      textAnchor="end"
                      fontSize={1.3}
                      className="fill-ink font-mono"
                    >
                      {nm3 / 1000}
                    </text>
                  )}
                </g>
              );
            })}
            <text
              x={left - WALL - JACKET - 0.4}
              y={ROOM.top - 1.4}
              textAnchor="end"
              fontSize={1.2}
              className="fill-ink-soft font-sans"
            >
              10³ nm³
            </text>
          </g>
          {pinY !== null && (
            <g className="pointer-events-none" aria-hidden data-testid="pin">
              <path
                d={`M${right - 2.2} ${pinY} H${right + WALL + JACKET + 1.6}`}
                className="stroke-ink"
                strokeWidth={0.55}
              />
              <circle
                cx={right + WALL + JACKET + 2}
                cy={pinY}
                r={0.75}
                className="fill-paper stroke-ink"
                strokeWidth={0.2}
              />
            </g>
          )}
          <g
            {...part('piston')}
            onPointerDown={pull}
            className="cursor-ns-resize touch-none outline-none"
            data-testid="piston"
          >
            <path
              d={`M${left + edge / 2 - 0.7} ${under - PLATE} V${under - PLATE - 4} h1.4 V${under - PLATE}`}
              className={`fill-paper ${chosen('piston')}`}
            />
            <rect
              x={left + 0.08}
              y={under - PLATE}
              width={edge - 0.16}
              height={PLATE}
              className={`fill-mist ${chosen('piston')}`}
              strokeWidth={hands.selected === 'piston' ? 0.3 : 0.16}
            />
            {Array.from({ length: plates }, (_, i) => (
              <rect
                key={i}
                x={left + edge / 2 - 4}
                y={under - PLATE - 4 - 0.55 * (i + 1)}
                width={8}
                height={0.5}
                className="fill-ink stroke-paper"
                strokeWidth={0.08}
              />
            ))}
            {fitted.loadKPa !== null && (
              <text
                x={left + edge / 2 + 4.6}
                y={under - PLATE - 4}
                fontSize={1.5}
                className="fill-ink font-mono"
                data-testid="load"
              >
                {short(fitted.loadKPa)} kPa
              </text>
            )}
          </g>
          <g {...part('valve')}>
            <rect
              x={right + WALL}
              y={ground - 4.2}
              width={ROOM.right - WALL - 0.4}
              height={3.2}
              className="fill-transparent"
              stroke="none"
            />
            <path d={`M${right} ${ground - 3} h5.4 M${right} ${ground - 2} h5.4`} className={chosen('valve')} />
            <rect x={right} y={ground - 2.95} width={5.4} height={0.9} className="fill-paper" stroke="none" />
            <path
              d={`M${right + 2.1} ${ground - 3.9} l2.4 2.8 h-2.4 l2.4 -2.8 Z`}
              className={`fill-paper ${chosen('valve')}`}
            />
          </g>
          {fitted.jacketK !== null && (
            <text
              x={left}
              y={ground + WALL + JACKET - 0.7}
              fontSize={1.5}
              className="fill-ink pointer-events-none font-mono"
              data-testid="jacket"
            >
              {short(fitted.jacketK)} K
            </text>
          )}
        </svg>
      </div>
    </div>
  );
}
