import { useId } from 'react';
import { DIVISION_ML, SYRINGE_ML } from '@core/practicals/gases/pieces';
import { LINE, linesNear, NUMBERED_EACH, ON_GLASS } from '../lines-in-loupe';
import { GasTubeLoupe, RulerLoupe } from './tube-loupe';
import type { View } from '@core/practicals/gases/view';

const RADIUS = 118;

/** Where a plunger stands on its scale, in words: for those who do not see it. */
function plungerInWords(ml: number): string {
  const lines = ml / DIVISION_ML;
  const below = Math.floor(lines + 1e-9);
  const tenths = Math.round((lines - below) * 10);
  if (tenths === 0 || tenths === 10)
    return `The front of the plunger lies on the line ${(below + tenths / 10) * DIVISION_ML} mL.`;
  return `The front of the plunger lies ${tenths} tenths of the way from the line ${below} to ${below + 1} mL.`;
}

/** The front of a plunger in its barrel, close up: volumes go upwards. */
export function SyringeLoupe({ ml, unnumbered }: { ml: number; unnumbered: boolean }) {
  const glass = useId();
  const lines = ml / DIVISION_ML;
  const y = (line: number) => (lines - line) * LINE;
  const marks = linesNear(lines, { least: 0, most: SYRINGE_ML / DIVISION_ML });
  return (
    <svg viewBox="-120 -120 240 240" className="size-full" role="img" aria-label={plungerInWords(ml)}>
      <circle r={RADIUS} className="fill-paper stroke-ink" strokeWidth={1.5} />
      <clipPath id={glass}>
        <circle r={RADIUS - 2} />
      </clipPath>
      <g clipPath={`url(#${glass})`}>
        <rect x={-62} y={-130} width={124} height={130} className="fill-ink-soft" opacity={0.28} />
        <path d="M-62 0 H62" className="stroke-ink" strokeWidth={2.4} />
        <path d="M-62 -130 V130 M62 -130 V130 M-70 -130 V130 M70 -130 V130" className="stroke-ink" strokeWidth={1.4} />
        {marks.map((line) => (
          <g key={line}>
            <path
              d={`M-62 ${y(line)} h${line % 10 === 0 ? 74 : line % NUMBERED_EACH === 0 ? 58 : 42}`}
              className="stroke-ink"
              strokeWidth={1.3}
            />
            {(line % NUMBERED_EACH === 0 || marks.length < 8) && !unnumbered && (
              <text x={54} y={y(line) + 6} fontSize={18} textAnchor="end" {...ON_GLASS}>
                {line * DIVISION_ML}
              </text>
            )}
          </g>
        ))}
        {!unnumbered && (
          <text x={-100} y={-20} fontSize={13} className="fill-ink-soft">
            mL
          </text>
        )}
      </g>
    </svg>
  );
}

/** What was to be read at a moment: each syringe, or what the gauge showed. */
export function Loupe({ view, unnumbered }: { view: View; unnumbered: boolean }) {
  const [only, ...more] = view.plungers;
  if (view.tube && only !== undefined)
    return (
      <div className="grid size-full grid-cols-2">
        <GasTubeLoupe ml={only} unnumbered={unnumbered} />
        <RulerLoupe mm={view.tube.heightMm} unnumbered={unnumbered} />
      </div>
    );
  if (only === undefined) return <p className="text-center font-mono text-lg">{view.gauge}</p>;
  if (more.length === 0) return <SyringeLoupe ml={only} unnumbered={unnumbered} />;
  return (
    <div className="grid size-full grid-cols-2">
      {view.plungers.map((ml, i) => (
        <SyringeLoupe key={i} ml={ml} unnumbered={unnumbered} />
      ))}
    </div>
  );
}
