import type { Shown } from './fly.worker';

/** Two gases drawn on a canvas: helium as rings, the other as discs; what lies farther back is smaller and fainter. */

/** They are drawn so many times as large as they are, or they could hardly be seen. */
const LARGER = 2.4;
const RING = '#1f6f86';
const DISC = '#9a6414';

export interface Look {
  edgeNm: number;
  /** Radii of both, nm. */
  radii: readonly [number, number];
}

/** Smallest and largest of what lies far and near, as parts of its size, and of its ink. */
const FAR = { size: 0.72, ink: 0.35 };

/** @param size of the square that is drawn on, in its own pixels */
export function paint(context: CanvasRenderingContext2D, size: number, shown: Shown, { edgeNm, radii }: Look): void {
  const { places, kind, isGone } = shown;
  context.clearRect(0, 0, size, size);
  const order = Array.from({ length: kind.length }, (_, i) => i).filter((i) => !isGone[i]);
  // From the back to the front: the second axis goes into the picture.
  order.sort((a, b) => (places[3 * b + 1] ?? 0) - (places[3 * a + 1] ?? 0));
  const scale = size / edgeNm;
  context.lineWidth = Math.max(1.4, size / 260);
  for (const i of order) {
    const near = 1 - (places[3 * i + 1] ?? 0) / edgeNm;
    const part = FAR.size + (1 - FAR.size) * near;
    const isRing = kind[i] === 0;
    const radius = LARGER * part * scale * (radii[isRing ? 0 : 1] ?? 0.2);
    context.globalAlpha = FAR.ink + (1 - FAR.ink) * near;
    context.beginPath();
    context.arc(
      (places[3 * i] ?? 0) * scale,
      size - (places[3 * i + 2] ?? 0) * scale,
      Math.max(radius, 1.5),
      0,
      2 * Math.PI,
    );
    if (isRing) {
      context.strokeStyle = RING;
      context.stroke();
    } else {
      context.fillStyle = DISC;
      context.fill();
    }
  }
  context.globalAlpha = 1;
}
