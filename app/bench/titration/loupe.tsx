import { useId } from 'react';
import { ON_GLASS } from '../lines-in-loupe';
import type { View } from '@core/practicals/titration/view';

/** Loupe units: 100 to the millilitre, so a division is 10. */
const PER_ML = 100;
const RADIUS = 118;
const TUBE = 56;

/** Where the meniscus lies between two divisions, in words: the scale for those who do not see it. */
function levelInWords(levelMl: number): string {
  if (levelMl < 0) return 'The meniscus stands above the 0 mark.';
  if (levelMl > 50) return 'The meniscus stands below the 50 mark.';
  const division = Math.floor(levelMl * 10 + 1e-9);
  const tenths = Math.round((levelMl * 10 - division) * 10);
  const [above, below] = [(division / 10).toFixed(1), ((division + 1) / 10).toFixed(1)];
  if (tenths === 0) return `The bottom of the meniscus lies on the mark ${above} mL.`;
  if (tenths === 10) return `The bottom of the meniscus lies on the mark ${below} mL.`;
  return `The bottom of the meniscus lies between the marks ${above} and ${below} mL, ${tenths} tenths of the way down.`;
}

/**
 * The close look at the burette's scale. It shows what an eye would see; the number is for the student to tell.
 * Unnumbered, it is a ground for drawing on. */
export function Loupe({ view, unnumbered = false }: { view: View; unnumbered?: boolean }) {
  const glass = useId();
  const { levelMl, empty } = view;
  const isOff = empty || levelMl > 51 || levelMl < -4;
  const centre = Math.round(levelMl * 4) / 4;
  const y = (ml: number) => (ml - centre) * PER_ML;
  const first = Math.max(0, Math.ceil((centre - 1.3) * 10));
  const last = Math.min(500, Math.floor((centre + 1.3) * 10));
  const marks = Array.from({ length: Math.max(last - first + 1, 0) }, (_, i) => first + i);
  const level = y(levelMl);
  return (
    <svg
      viewBox="-120 -120 240 240"
      className="size-full"
      role="img"
      aria-label={isOff ? 'Loupe: no meniscus on the scale.' : levelInWords(levelMl)}
    >
      <clipPath id={glass}>
        <circle r={RADIUS} />
      </clipPath>
      <circle r={RADIUS} className="fill-paper" />
      <g clipPath={`url(#${glass})`}>
        {!isOff && (
          <>
            <path
              d={`M${-TUBE} ${level - 13} C${-TUBE + 12} ${level - 1} ${-20} ${level} 0 ${level} S${TUBE - 12} ${level - 1} ${TUBE} ${level - 13} V140 H${-TUBE} Z`}
              fill="rgb(31 111 134 / 0.14)"
            />
            <path
              d={`M${-TUBE} ${level - 13} C${-TUBE + 12} ${level - 1} ${-20} ${level} 0 ${level} S${TUBE - 12} ${level - 1} ${TUBE} ${level - 13} C${TUBE - 14} ${level - 7} 22 ${level - 5} 0 ${level - 5} S${-TUBE + 14} ${level - 7} ${-TUBE} ${level - 13} Z`}
              className="fill-ink/75"
            />
          </>
        )}
        <line x1={-TUBE} x2={-TUBE} y1={-120} y2={120} className="stroke-ink" strokeWidth={2} />
        <line x1={TUBE} x2={TUBE} y1={-120} y2={120} className="stroke-ink" strokeWidth={2} />
        {marks.map((tenth) => {
          const length = tenth % 10 === 0 ? 62 : tenth % 5 === 0 ? 40 : 26;
          return (
            <g key={tenth}>
              <line
                x1={-TUBE}
                x2={-TUBE + length}
                y1={y(tenth / 10)}
                y2={y(tenth / 10)}
                className="stroke-ink"
                strokeWidth={1}
              />
              {tenth % 10 === 0 && !unnumbered && (
                // On the glass, as they are printed: two of them are always in view, and nothing runs through one.
                <text x={14} y={y(tenth / 10) + 7} fontSize={20} {...ON_GLASS}>
                  {tenth / 10}
                </text>
              )}
            </g>
          );
        })}
      </g>
      <circle r={RADIUS} fill="none" className="stroke-ink" strokeWidth={1.5} />
    </svg>
  );
}
