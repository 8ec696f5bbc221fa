/**
 * What a value takes up in memory, bytes, near enough to bound it: lists by what their first and last entries take, since those
 * of a bench are alike.
 */
export function sizeOf(value: unknown, depth = 0): number {
  if (typeof value === 'string') return 16 + 2 * value.length;
  if (typeof value !== 'object' || value === null) return 8;
  if (ArrayBuffer.isView(value)) return 64 + value.byteLength;
  if (depth > 6) return 64;
  if (Array.isArray(value)) {
    if (value.length === 0) return 16;
    const each = Math.max(sizeOf(value[0], depth + 1), sizeOf(value.at(-1), depth + 1));
    return 16 + value.length * (8 + each);
  }
  if ('kept' in value && typeof value.kept === 'function') return sizeOf(value.kept(), depth + 1);
  let size = 32;
  for (const key in value) size += 16 + sizeOf((value as Record<string, unknown>)[key], depth + 1);
  return size;
}
