import { useId } from 'react';
import { LINE, linesNear, NUMBERED_EACH, ON_GLASS } from '../lines-in-loupe';
import { TUBE_DIVISION_ML, TUBE_ML } from '@core/practicals/gases/pieces';

const RADIUS = 118;

const shown = (line: number) => (line * TUBE_DIVISION_ML).toFixed(1);

/** Where the water stands on the tube's scale, in words: for those who do not see it. */
function surfaceInWords(ml: number): string {
  const lines = ml / TUBE_DIVISION_ML;
  const below = Math.floor(lines + 1e-9);
  const tenths = Math.round((lines - below) * 10);
  if (tenths === 0 || tenths === 10)
    return `The lowest point of the meniscus lies on the line ${shown(below + tenths / 10)} mL.`;
  return `The lowest point of the meniscus lies ${tenths} tenths of the way from the line ${shown(below)} to ${shown(below + 1)} mL.`;
}

interface GlassProps {
  words: string;
  children: React.ReactNode;
}

function Glass({ words, children }: GlassProps) {
  const glass = useId();
  return (
    <svg viewBox="-120 -120 240 240" className="size-full" role="img" aria-label={words}>
      <circle r={RADIUS} className="fill-paper stroke-ink" strokeWidth={1.5} />
      <clipPath id={glass}>
        <circle r={RADIUS - 2} />
      </clipPath>
      <g clipPath={`url(#${glass})`}>{children}</g>
    </svg>
  );
}

/** The surface in a tube that stands upside down: volumes go downwards. */
export function GasTubeLoupe({ ml, unnumbered }: { ml: number; unnumbered: boolean }) {
  const lines = ml / TUBE_DIVISION_ML;
  const marks = linesNear(lines, { least: 0, most: TUBE_ML / TUBE_DIVISION_ML });
  return (
    <Glass words={surfaceInWords(ml)}>
      <path d="M-56 -12 C-40 -2 -20 0 0 0 S40 -2 56 -12 V130 H-56 Z" fill="rgb(31 111 134 / 0.2)" />
      <path d="M-56 -12 C-40 -2 -20 0 0 0 S40 -2 56 -12" className="stroke-ink fill-none" strokeWidth={1.6} />
      <path d="M-56 -130 V130 M56 -130 V130 M-64 -130 V130 M64 -130 V130" className="stroke-ink" strokeWidth={1.4} />
      {marks.map((line) => (
        <g key={line}>
          <path
            d={`M-56 ${(line - lines) * LINE} h${line % NUMBERED_EACH === 0 ? 62 : 40}`}
            className="stroke-ink"
            strokeWidth={1.2}
          />
          {line % NUMBERED_EACH === 0 && !unnumbered && (
            <text x={50} y={(line - lines) * LINE + 6} fontSize={18} textAnchor="end" {...ON_GLASS}>
              {(line * TUBE_DIVISION_ML).toFixed(0)}
            </text>
          )}
        </g>
      ))}
      {!unnumbered && (
        <text x={-100} y={-20} fontSize={13} className="fill-ink-soft">
          mL
        </text>
      )}
    </Glass>
  );
}

/** How the water in the tube stands against a ruler, in words. */
function heightInWords(mm: number): string {
  const whole = Math.round(mm);
  if (whole === 0) return 'The water stands as high inside as outside: 0 mm.';
  return `The water stands ${Math.abs(whole)} mm ${whole > 0 ? 'higher' : 'lower'} inside than outside.`;
}

/** The level inside against the ruler, whose nought is the level outside. */
export function RulerLoupe({ mm, unnumbered }: { mm: number; unnumbered: boolean }) {
  const near = Math.round(mm);
  return (
    <Glass words={heightInWords(mm)}>
      <rect x={8} y={-130} width={82} height={260} className="stroke-ink fill-paper" strokeWidth={1.2} />
      <path d="M-90 0 H8" className="stroke-water" strokeWidth={2.4} />
      <rect x={-90} y={0} width={98} height={130} fill="rgb(31 111 134 / 0.2)" />
      {Array.from({ length: 17 }, (_, i) => near - 8 + i).map((line) => (
        <g key={line}>
          <path
            d={`M8 ${(mm - line) * 16} h${line % 10 === 0 ? 40 : line % NUMBERED_EACH === 0 ? 30 : 18}`}
            className="stroke-ink"
            strokeWidth={1.2}
          />
          {line % NUMBERED_EACH === 0 && !unnumbered && (
            <text x={86} y={(mm - line) * 16 + 6} fontSize={16} textAnchor="end" className="fill-ink font-mono">
              {String(line).replace('-', '−')}
            </text>
          )}
        </g>
      ))}
      {!unnumbered && (
        <text x={-84} y={-20} fontSize={13} className="fill-ink-soft">
          mm
        </text>
      )}
    </Glass>
  );
}
