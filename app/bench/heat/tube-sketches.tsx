import { useId } from 'react';
import type { SeenTube } from '@core/practicals/heat/freezing/seen-tube';
import type { View } from '@core/practicals/heat/view';
import { LIQUID_WASH } from '../washes';
import { Bath } from './apparatus';
import { BATH, BENCH_Y, type Layout } from './layout';
import type { Thing } from './things';
import type { DrawThing } from '../scene-thing';

/** A test tube from its foot on y = 0 upwards, around x = 0. */

const R = 12.5;
const HEIGHT = 150;
const FOOT = 4;
/** What is frozen: whiter than what it froze from. */
const FROZEN = '#fbfaf4';

const inside = (top: number, r: number) => `M${-r} ${-top} V${-FOOT - r} A${r} ${r} 0 0 0 ${r} ${-FOOT - r} V${-top} Z`;

function TubeDrawing({ tube }: { tube: SeenTube }) {
  const level = tube.levelMm + FOOT;
  const isThere = tube.levelMm > 0;
  // Crystals grow from the wall inwards: what is molten is left in the middle.
  const left = (R - 2) * (1 - tube.frozen / 10);
  return (
    <g>
      {tube.jacket && (
        <path
          d={`M${-R - 8} -118 V-8 A${R + 8} ${R + 8} 0 0 0 ${R + 8} -8 V-118`}
          className="stroke-ink fill-none"
          strokeWidth={1.1}
          data-testid="jacket"
        />
      )}
      {isThere && (
        <path d={inside(level, R - 1.5)} fill={tube.frozen > 0 ? FROZEN : LIQUID_WASH.clear} data-testid="contents" />
      )}
      {isThere && tube.frozen > 0 && tube.frozen < 10 && left > 0.5 && (
        <path d={inside(level, left)} fill={LIQUID_WASH.clear} />
      )}
      {isThere && tube.frozen > 0 && (
        <g className="stroke-ink" strokeWidth={0.8} data-testid="crystals">
          {Array.from({ length: tube.frozen }, (_, i) => (
            <path
              key={i}
              d={`M${i % 2 === 0 ? -R + 2 : R - 2} ${-FOOT - 6 - ((level - 12) / 10) * i} l${i % 2 === 0 ? 4 : -4} -4 m0 4 l${i % 2 === 0 ? -3 : 3} -2`}
            />
          ))}
        </g>
      )}
      {tube.lying && (
        <path
          d={`M-7 ${-FOOT - 3} q7 -8 14 0`}
          fill="#efece1"
          className="stroke-ink"
          strokeWidth={0.9}
          data-testid="lying"
        />
      )}
      <path
        d={`M${-R - 2} ${-HEIGHT} Q${-R} ${-HEIGHT + 2} ${-R} ${-HEIGHT + 5} V${-R - FOOT} A${R} ${R} 0 0 0 ${R} ${-R - FOOT} V${-HEIGHT + 5} Q${R} ${-HEIGHT + 2} ${R + 2} ${-HEIGHT}`}
        className="stroke-ink fill-none"
        strokeWidth={1.3}
      />
      <path d={`M-5 ${-HEIGHT - 26} V-14`} className="stroke-ink" strokeWidth={1.4} />
      <ellipse cx={-3} cy={-13} rx={6} ry={1.8} className="stroke-ink fill-none" strokeWidth={1.2} />
      {tube.stir === 'motor' && (
        <rect
          x={-15}
          y={-HEIGHT - 40}
          width={20}
          height={15}
          rx={2}
          className="fill-paper stroke-ink"
          strokeWidth={1.3}
        />
      )}
      {tube.stir !== 'off' && (
        <path
          d={`M-14 ${-HEIGHT - 12} q9 7 18 0 m0 0 l-1 -5 m1 5 l-5 0`}
          className="stroke-water fill-none"
          strokeWidth={1.6}
          data-testid="stirring"
        />
      )}
    </g>
  );
}

/** What is in the tube, close up: how far it has frozen from the wall inwards can be judged by eye. */
export function TubeLoupe({ tube }: { tube: SeenTube }) {
  const middle = -FOOT - Math.max(tube.levelMm / 2, R);
  const half = Math.max(tube.levelMm / 2 + 4, R + 6);
  const words =
    tube.levelMm === 0
      ? 'Loupe: nothing is in the tube.'
      : `Loupe: ${tube.frozen === 0 ? 'nothing of it is frozen' : tube.frozen === 10 ? 'all of it is frozen' : `about ${tube.frozen} tenths of it are frozen`}.`;
  const glass = useId();
  return (
    <svg viewBox="-120 -120 240 240" className="size-full" role="img" aria-label={words}>
      <clipPath id={glass}>
        <circle r={117} />
      </clipPath>
      <circle r={118} className="fill-paper stroke-ink" strokeWidth={1.5} />
      <g clipPath={`url(#${glass})`}>
        <g
          transform={`scale(${112 / half}) translate(0 ${-middle})`}
          className="[&_*]:[vector-effect:non-scaling-stroke]"
        >
          <TubeDrawing tube={tube} />
        </g>
      </g>
    </svg>
  );
}

/** The cold bath, the tube's own stand, and the tube wherever it is. */
export function TubeScene({
  view,
  at,
  thing,
  tubeAt,
}: {
  view: View;
  at: Layout;
  thing: DrawThing<Thing>;
  tubeAt: { x: number; y: number };
}) {
  if (!view.tube) return null;
  return (
    <>
      {thing(
        'cold',
        {
          x: at.cold - BATH.width / 2 - 3,
          y: BENCH_Y - BATH.baseMm - BATH.height + 8,
          width: BATH.width + 6,
          height: BATH.baseMm + BATH.height - 4,
        },
        <Bath x={at.cold} setC={view.cold.setC} word="cold" />,
      )}
      <path
        d={`M${at.tube + 26} ${BENCH_Y} V${BENCH_Y - 176} M${at.tube - 14} ${BENCH_Y} H${at.tube + 34} M${at.tube + 26} ${BENCH_Y - 112} H${at.tube - 14}`}
        className="stroke-ink fill-none"
        strokeWidth={1.8}
      />
      {thing(
        'tube',
        { x: tubeAt.x - 24, y: tubeAt.y - HEIGHT - 12, width: 48, height: HEIGHT + 16 },
        <g transform={`translate(${tubeAt.x} ${tubeAt.y})`}>
          <TubeDrawing tube={view.tube} />
        </g>,
      )}
    </>
  );
}
