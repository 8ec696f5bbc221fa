/** Between two lines of a scale, in units of a loupe whose glass is 236 across: two numbered lines are always in view. */
export const LINE = 20;
/** Each so many lines have a number. */
export const NUMBERED_EACH = 5;
const EACH_WAY = 6;

/** Lines of a scale that are in view, by their number. @param at where the eye looks, in lines @param most the last line */
export const linesNear = (at: number, { least = -Infinity, most = Infinity } = {}): number[] =>
  Array.from({ length: 2 * EACH_WAY + 1 }, (_, i) => Math.round(at) - EACH_WAY + i).filter(
    (line) => line >= least && line <= most,
  );

/** A number as it is printed on glass: what runs behind it is broken off around it. */
export const ON_GLASS = {
  className: 'fill-ink stroke-paper font-mono',
  strokeWidth: 4,
  paintOrder: 'stroke',
} as const;
