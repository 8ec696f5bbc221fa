import type { Rgb } from '@core/chemistry/colour';

/** A colour of transmitted light as a flat wash: clear liquid is all but transparent, with a trace of water's own. */
export function washOf([red, green, blue]: Rgb): string {
  const depth = 1 - Math.min(red, green, blue) / 255;
  if (depth < 0.02) return 'rgb(31 111 134 / 0.08)';
  const solid = (channel: number) => Math.round(255 - (255 - channel) / Math.max(depth, 0.25));
  return `rgb(${solid(red)} ${solid(green)} ${solid(blue)} / ${Math.max(depth, 0.25).toFixed(3)})`;
}
