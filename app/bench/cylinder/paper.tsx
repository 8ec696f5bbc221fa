import { ticksIn } from '@core/notebook/axis-range';

/** The paper that pen and bars are drawn on, with its scale. */

export const [WIDTH, HEIGHT] = [280, 130];
export const EDGE = { left: 40, right: 12, top: 20, bottom: 17 };

/** Where a value stands. @param most the value at the top */
export const heightOf = (value: number, most: number): number =>
  HEIGHT - EDGE.bottom - (value / most) * (HEIGHT - EDGE.top - EDGE.bottom);

interface PaperProps {
  /** The value at the top. */
  most: number;
  caption: string;
  testId: string;
  children: React.ReactNode;
}

export const Paper = ({ most, caption, testId, children }: PaperProps) => (
  <svg
    viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
    className="border-ink bg-paper w-full border"
    aria-hidden
    data-testid={testId}
  >
    {ticksIn([0, most], 4).map((tick) => (
      <g key={tick}>
        <path
          d={`M${EDGE.left} ${heightOf(tick, most)} H${WIDTH - EDGE.right}`}
          className="stroke-line"
          strokeWidth={1}
        />
        <text
          x={EDGE.left - 4}
          y={heightOf(tick, most) + 4}
          textAnchor="end"
          fontSize={11}
          className="fill-ink font-mono"
        >
          {tick}
        </text>
      </g>
    ))}
    {children}
    <text x={6} y={13} fontSize={11} className="fill-ink-soft font-sans">
      {caption}
    </text>
  </svg>
);
