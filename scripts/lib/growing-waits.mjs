/**
 * How long to wait before trying again: twice as long each time, up to half a minute; short again after what was tried has
 * held for a while.
 * @returns {() => number} the next wait, ms
 */
export function growingWaits({ firstMs = 500, mostMs = 30_000, heldMs = 60_000 } = {}) {
  let failures = 0;
  let lastMs = -Infinity;
  return () => {
    const nowMs = performance.now();
    if (nowMs - lastMs > heldMs) failures = 0;
    const waitMs = Math.min(firstMs * 2 ** failures++, mostMs);
    lastMs = nowMs + waitMs;
    return waitMs;
  };
}
