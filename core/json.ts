/** JSON from outside: read only when it is not too deep, and with every string made fit to be kept. */

/**
 * How deep arrays and objects stand in one another in a JSON text, without parsing it.
 * @returns the depth, or a number above `most` as soon as it is passed
 */
export function jsonDepth(text: string, most = Infinity): number {
  let depth = 0;
  let deepest = 0;
  let inString = false;
  for (let i = 0; i < text.length && deepest <= most; i++) {
    const sign = text.charCodeAt(i);
    if (inString) {
      if (sign === BACKSLASH) i++;
      else if (sign === QUOTE) inString = false;
    } else if (sign === QUOTE) inString = true;
    else if (sign === OPEN_ARRAY || sign === OPEN_OBJECT) deepest = Math.max(deepest, ++depth);
    else if (sign === CLOSE_ARRAY || sign === CLOSE_OBJECT) depth--;
  }
  return deepest;
}

const [QUOTE, BACKSLASH, OPEN_ARRAY, CLOSE_ARRAY, OPEN_OBJECT, CLOSE_OBJECT] = [34, 92, 91, 93, 123, 125];

/** Nothing that Fen sends is deeper. */
const DEPTH = 24;

/**
 * Text that any store can keep: no NUL, and no half of a pair of code units, which a cut at a length limit leaves.
 * A half is left out, since nothing can be told of the sign that it was.
 */
export const cleanText = (text: string): string =>
  text.replace(/\0|[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/g, '');

/** @returns undefined for what is no JSON, or is deeper than Fen's own */
export function readJson(text: string): unknown {
  if (jsonDepth(text, DEPTH) > DEPTH) return undefined;
  try {
    return JSON.parse(text, (_key, value: unknown) =>
      typeof value === 'string' ? cleanText(value) : cleanKeys(value),
    );
  } catch {
    return undefined;
  }
}

function cleanKeys(value: unknown): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  const entries = Object.entries(value);
  if (entries.every(([key]) => cleanText(key) === key)) return value;
  return Object.fromEntries(entries.map(([key, entry]) => [cleanText(key), entry]));
}
