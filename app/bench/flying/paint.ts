/** Particles drawn on a canvas, from the side: what lies farther back is smaller and fainter. One kind as rings, the other as discs. */

/** They are drawn so many times as large as they are, or they could hardly be seen; many of them less, or they would hide one another. */
const LARGER = 2.4;
const OF_MANY = { count: 400, larger: 1.5 } as const;
const RING = '#1f6f86';
const DISC = '#9a6414';
const MARK = '#8a3f73';

export interface Flock {
  /** Three numbers for each, nm: across, into the picture, up. */
  places: Float64Array;
  /** How deep the vessel is and how many pixels a nm is. */
  deepNm: number;
  pxPerNm: number;
  /** Radius of one, nm, and whether it is drawn as a ring. */
  radiusNm: (body: number) => number;
  isRing: (body: number) => boolean;
  isGone?: (body: number) => boolean;
  /** One that is marked. */
  marked?: number | null;
}

/** Smallest and largest of what lies far and near, as parts of its size, and of its ink. */
const FAR = { size: 0.72, ink: 0.35 };

/** @param width of what is drawn on, in its own pixels */
export function paint(context: CanvasRenderingContext2D, width: number, height: number, flock: Flock): void {
  const { places, deepNm, pxPerNm, radiusNm, isRing, isGone, marked } = flock;
  context.clearRect(0, 0, width, height);
  const order = Array.from({ length: places.length / 3 }, (_, i) => i).filter((i) => !isGone?.(i));
  // From the back to the front: the second axis goes into the picture.
  order.sort((a, b) => (places[3 * b + 1] ?? 0) - (places[3 * a + 1] ?? 0));
  const larger = order.length > OF_MANY.count ? OF_MANY.larger : LARGER;
  context.lineWidth = Math.max(1.4, width / 260);
  for (const i of order) {
    const near = 1 - (places[3 * i + 1] ?? 0) / deepNm;
    const part = FAR.size + (1 - FAR.size) * near;
    const [x, y] = [(places[3 * i] ?? 0) * pxPerNm, height - (places[3 * i + 2] ?? 0) * pxPerNm];
    const radius = Math.max(larger * part * pxPerNm * radiusNm(i), 1.5);
    context.globalAlpha = FAR.ink + (1 - FAR.ink) * near;
    context.beginPath();
    context.arc(x, y, radius, 0, 2 * Math.PI);
    if (isRing(i)) {
      context.strokeStyle = RING;
      context.stroke();
    } else {
      context.fillStyle = DISC;
      context.fill();
    }
    if (i === marked) {
      context.globalAlpha = 1;
      context.strokeStyle = MARK;
      context.beginPath();
      context.arc(x, y, radius + 5, 0, 2 * Math.PI);
      context.stroke();
    }
  }
  context.globalAlpha = 1;
}
