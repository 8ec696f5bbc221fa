import { download } from '@app/ui/download';

/** Styles that a drawing takes from the page and that have to go with it. */
const STYLES = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'font-family',
  'font-size',
  'font-style',
  'text-anchor',
  'opacity',
] as const;

/** A drawing with its styles written out, so that it stands by itself. */
function standalone(svg: SVGSVGElement): SVGSVGElement {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const [from, to] = [svg.querySelectorAll('*'), copy.querySelectorAll('*')];
  from.forEach((element, i) => {
    const style = getComputedStyle(element);
    const target = to[i] as SVGElement;
    for (const name of STYLES) target.style.setProperty(name, style.getPropertyValue(name));
  });
  copy.querySelectorAll('[data-testid="graph-hand"]').forEach((element) => element.remove());
  const { width, height } = svg.getBoundingClientRect();
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('width', String(width));
  copy.setAttribute('height', String(height));
  const ground = document.createElementNS('http://www.w3.org/2000/svg', 'rect');
  ground.setAttribute('width', '100%');
  ground.setAttribute('height', '100%');
  ground.style.fill = getComputedStyle(document.documentElement).getPropertyValue('--paper');
  copy.prepend(ground);
  return copy;
}

const textOf = (svg: SVGSVGElement) => new XMLSerializer().serializeToString(standalone(svg));

export function saveSvg(svg: SVGSVGElement | null, name: string): void {
  if (svg) download(new Blob([textOf(svg)], { type: 'image/svg+xml' }), `${name}.svg`);
}

/** At twice the size on the screen, for paper. */
export async function savePng(svg: SVGSVGElement | null, name: string): Promise<void> {
  if (!svg) return;
  const { width, height } = svg.getBoundingClientRect();
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(textOf(svg))}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [2 * width, 2 * height];
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
  canvas.toBlob((blob) => blob && download(blob, `${name}.png`), 'image/png');
}
