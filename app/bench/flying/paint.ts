/** Particles drawn on a canvas, from the side: what lies farther back is smaller and fainter. One kind as rings, the other as discs. */

const RING = '#1f6f86';
const DISC = '#9a6414';
const MARK = '#8a3f73';

interface Flock {
  /** Three numbers for each, nm: across, into the picture, up. */
  places: Float64Array;
  /** How deep the vessel is and how many pixels a nm is. */
  deepNm: number;
  pxPerNm: number;
  /** How many times as large as it is one is drawn. */
  larger: number;
  /** Radius of one, nm, and whether it is drawn as a ring. */
  radiusNm: (body: number) => number;
  isRing: (body: number) => boolean;
  isGone?: (body: number) => boolean;
  /** One that is marked. */
  marked?: number | null;
}

/** Smallest and largest of what lies far and near, as parts of its size, and of its ink. */
const FAR = { size: 0.72, ink: 0.35 };
/** What lies in one of so many layers, from the back to the front, is as large and as faint. */
const LAYERS = 12;

/** @param width of what is drawn on, in its own pixels */
export function paint(context: CanvasRenderingContext2D, width: number, height: number, flock: Flock): void {
  const { places, deepNm, pxPerNm, larger, radiusNm, isRing, isGone, marked } = flock;
  context.clearRect(0, 0, width, height);
  const count = places.length / 3;
  const layers: number[][] = Array.from({ length: LAYERS }, () => []);
  for (let i = 0; i < count; i++) {
    if (isGone?.(i)) continue;
    // The second axis goes into the picture.
    const layer = Math.floor((1 - (places[3 * i + 1] as number) / deepNm) * LAYERS);
    layers[Math.min(Math.max(layer, 0), LAYERS - 1)]?.push(i);
  }
  context.lineWidth = Math.max(1.4, width / 260);
  context.strokeStyle = RING;
  context.fillStyle = DISC;
  const xOf = (i: number) => (places[3 * i] as number) * pxPerNm;
  const yOf = (i: number) => height - (places[3 * i + 2] as number) * pxPerNm;
  let markedPx = 0;
  layers.forEach((bodies, layer) => {
    const near = (layer + 0.5) / LAYERS;
    context.globalAlpha = FAR.ink + (1 - FAR.ink) * near;
    for (const rings of [true, false]) {
      context.beginPath();
      for (const i of bodies) {
        if (isRing(i) !== rings) continue;
        const radius = Math.max(larger * (FAR.size + (1 - FAR.size) * near) * pxPerNm * radiusNm(i), 1.5);
        if (i === marked) markedPx = radius;
        context.moveTo(xOf(i) + radius, yOf(i));
        context.arc(xOf(i), yOf(i), radius, 0, 2 * Math.PI);
      }
      if (rings) context.stroke();
      else context.fill();
    }
  });
  context.globalAlpha = 1;
  if (marked === null || marked === undefined || markedPx === 0) return;
  context.strokeStyle = MARK;
  context.beginPath();
  context.arc(xOf(marked), yOf(marked), markedPx + 5, 0, 2 * Math.PI);
  context.stroke();
}
