import { useId } from 'react';
import { LINE, linesNear, NUMBERED_EACH, ON_GLASS } from './lines-in-loupe';

interface ThermometerLoupeProps {
  tempC: number;
  /** Between two lines of its scale, °C. */
  divisionC?: number;
  unnumbered: boolean;
}

/** The top of a thermometer's column. */
export function ThermometerLoupe({ tempC, divisionC = 1, unnumbered }: ThermometerLoupeProps) {
  const glass = useId();
  const lines = tempC / divisionC;
  const decimals = divisionC < 1 ? 1 : 0;
  const y = (line: number) => (lines - line) * LINE;
  const below = Math.floor(lines + 1e-9);
  const at = (line: number) => (line * divisionC).toFixed(decimals);
  const words = `Thermometer: the column ends ${Math.round((lines - below) * 10)} tenths of the way from ${at(below)} to ${at(below + 1)} °C.`;
  return (
    <svg viewBox="-120 -120 240 240" className="size-full" role="img" aria-label={words}>
      <circle r={118} className="fill-paper stroke-ink" strokeWidth={1.5} />
      <clipPath id={glass}>
        <circle r={116} />
      </clipPath>
      <g clipPath={`url(#${glass})`}>
        <rect x={-5} y={0} width={10} height={130} className="fill-rust/80" />
        <path d="M-5 -130 V130 M5 -130 V130 M-24 -130 V130 M24 -130 V130" className="stroke-ink" strokeWidth={1.2} />
        {!unnumbered && (
          <text x={32} y={-70} fontSize={13} className="fill-ink-soft">
            °C
          </text>
        )}
        {linesNear(lines).map((line) => (
          <g key={line}>
            <line
              x1={8}
              x2={line % NUMBERED_EACH === 0 ? 24 : 17}
              y1={y(line)}
              y2={y(line)}
              className="stroke-ink"
              strokeWidth={1.2}
            />
            {line % NUMBERED_EACH === 0 && !unnumbered && (
              <text x={32} y={y(line) + 6} fontSize={18} {...ON_GLASS}>
                {Math.round(line * divisionC)}
              </text>
            )}
          </g>
        ))}
      </g>
    </svg>
  );
}
