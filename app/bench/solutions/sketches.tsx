import type { SeenVessel, MovingVessel } from '@core/practicals/solutions/view';
import { BEAKER, BOTTLE, INSTRUMENT, levelMm, TUBE, WELL } from './layout';
import { hides, liquidWash, solidWash } from './wash';

/** Vessels around their axis, standing on y = 0; a well around its middle. */

interface Shown {
  seen: SeenVessel;
  moving: MovingVessel | undefined;
}

/** Places of grains in a unit square, the same each time. */
const GRAINS = Array.from({ length: 26 }, (_, i) => ({ x: (i * 0.7549) % 1, y: (i * 0.5698 + 0.2) % 1, turn: i % 3 }));

/** What is afloat or lies there, in a box: clots, dust, flocks or crystals. */
function Grains({
  seen,
  x,
  y,
  width,
  height,
  part,
}: {
  seen: SeenVessel;
  x: number;
  y: number;
  width: number;
  height: number;
  part: number;
}) {
  const { solid } = seen;
  if (!solid || height <= 0 || part <= 0) return null;
  const wash = solidWash(solid);
  const count = Math.ceil(GRAINS.length * Math.min(part, 1));
  return (
    <g fill={wash} className="stroke-ink-soft" strokeWidth={0.25} strokeOpacity={0.6}>
      {GRAINS.slice(0, count).map((grain, i) => {
        const [cx, cy] = [x + grain.x * width, y + grain.y * height];
        if (solid.form === 'crystals')
          return (
            <path
              key={i}
              d={`M${cx} ${cy - 1.3} L${cx + 0.8} ${cy} L${cx} ${cy + 1.3} L${cx - 0.8} ${cy} Z`}
              transform={`rotate(${grain.turn * 40} ${cx} ${cy})`}
            />
          );
        if (solid.form === 'fine') return <circle key={i} cx={cx} cy={cy} r={0.35} />;
        return (
          <circle
            key={i}
            cx={cx}
            cy={cy}
            r={solid.form === 'curdy' ? 1.1 : 1.6}
            fillOpacity={solid.form === 'curdy' ? 1 : 0.6}
          />
        );
      })}
    </g>
  );
}

const BUBBLES = [[-4, 3], [2, 8], [5, 14], [-2, 19], [0, 26], [4, 31]] as const; // prettier-ignore

/** Liquid, what is afloat in it and what lies on its ground, in straight walls. */
function Filling({ seen, moving, inner, most }: Shown & { inner: number; most: number }) {
  if (seen.ml === 0) return null;
  const r = inner / 2;
  const level = Math.min(levelMm(inner, seen.ml), most);
  const afloat = seen.solid ? (moving?.afloat ?? 0) : 0;
  const layer = seen.solid ? Math.min(seen.solid.much * 3.5 * (1 - afloat / 10), 0.6 * level) : 0;
  const solid = seen.solid && solidWash(seen.solid);
  return (
    <g>
      <rect x={-r} y={-level} width={inner} height={level} fill={liquidWash(seen.colour)} />
      {seen.solid && solid && (
        <>
          <rect x={-r} y={-level} width={inner} height={level} fill={solid} opacity={hides(seen.solid.much, afloat)} />
          <Grains seen={seen} x={-r + 1} y={-level + 1} width={inner - 2} height={level - 2} part={afloat / 10} />
          <rect
            x={-r}
            y={-layer}
            width={inner}
            height={layer}
            fill={solid}
            className="stroke-ink-soft"
            strokeWidth={layer > 0 ? 0.4 : 0}
          />
          <Grains seen={seen} x={-r + 1} y={-layer} width={inner - 2} height={layer - 0.5} part={layer > 1 ? 0.7 : 0} />
        </>
      )}
      <path d={`M${-r} ${-level} H${r}`} className="stroke-ink-soft" strokeWidth={0.6} />
      {moving?.bubbles &&
        BUBBLES.filter(([, y]) => y < level).map(([x, y], i) => (
          <circle key={i} cx={(x * r) / 8} cy={-y} r={1} fill="none" className="stroke-ink" strokeWidth={0.5} />
        ))}
    </g>
  );
}

/** A label's words in lines that fit on it. */
function linesOf(says: string): string[] {
  const [name = '', what = ''] = says.split(/, (?=[\d.]+ mol|to be)/u);
  const lines: string[] = [];
  for (const word of name.split(' ')) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + word.length < 13) lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return [...lines.slice(0, 2), what];
}

/** A dropper bottle, or one with a stopper where it holds more; its letter and what its label says. */
export function BottleDrawing({
  seen,
  name,
  isWater,
  isLarge,
  fullMl,
}: {
  seen: SeenVessel;
  name: string;
  isWater: boolean;
  isLarge: boolean;
  /** What it holds when it is full, mL. */
  fullMl: number;
}) {
  const { width, height } = BOTTLE;
  const w = width / 2;
  const full = Math.min(seen.ml / fullMl, 1);
  const depth = 0.62 * height * full;
  const isNamed = seen.says.includes(', ');
  return (
    <g>
      <rect x={-w + 1} y={-depth - 1.5} width={width - 2} height={depth} rx={2} fill={liquidWash(seen.colour)} />
      <path
        d={`M-6 ${-height + 8} V${-height + 16} Q${-w} ${-height + 20} ${-w} ${-height + 30} V-3 Q${-w} 0 ${-w + 3} 0 H${w - 3} Q${w} 0 ${w} -3 V${-height + 30} Q${w} ${-height + 20} 6 ${-height + 16} V${-height + 8}`}
        className="stroke-ink"
        strokeWidth={1.3}
        fill="none"
      />
      <path
        d={
          isLarge || isWater
            ? `M-8 ${-height + 8} V${-height} H8 V${-height + 8} Z`
            : `M-7 ${-height + 8} H7 V${-height + 3} H3 Q4 ${-height - 6} 0 ${-height - 7} Q-4 ${-height - 6} -3 ${-height + 3} H-7 Z`
        }
        className="stroke-ink fill-paper"
        strokeWidth={1.2}
      />
      <rect x={-w + 3} y={-34} width={width - 6} height={27} className="stroke-ink fill-paper" strokeWidth={0.7} />
      <text
        y={isNamed ? -27 : -22}
        textAnchor="middle"
        fontSize={isWater || isNamed ? 8 : 12}
        className="fill-ink font-serif"
        fontWeight={600}
      >
        {isWater ? 'water' : name}
      </text>
      {seen.label !== '' && (
        <text y={-11.5} textAnchor="middle" fontSize={5} className="fill-heather">
          {seen.label.slice(0, 12)}
        </text>
      )}
      {seen.label === '' &&
        isNamed &&
        linesOf(seen.says).map((words, i) => (
          <text key={i} y={-21.5 + 5 * i} textAnchor="middle" fontSize={4.4} className="fill-ink">
            {words}
          </text>
        ))}
      {seen.label === '' && !isNamed && (
        <>
          <text y={-14.5} textAnchor="middle" fontSize={7} className="fill-ink font-mono">
            {seen.says.replace(' mol/L', '')}
          </text>
          {seen.says !== '' && (
            <text y={-9} textAnchor="middle" fontSize={5} className="fill-ink">
              mol/L
            </text>
          )}
        </>
      )}
    </g>
  );
}

export function TubeDrawing({ seen, moving, name }: Shown & { name: string }) {
  const { inner, height } = TUBE;
  const r = inner / 2;
  return (
    <g>
      <clipPath id={`tube-${name}`}>
        <path d={`M${-r} ${-height} V${-r} Q${-r} 0 0 0 Q${r} 0 ${r} ${-r} V${-height} Z`} />
      </clipPath>
      <g clipPath={`url(#tube-${name})`}>
        <Filling seen={seen} moving={moving} inner={inner} most={height} />
      </g>
      <path
        d={`M${-r - 2} ${-height} H${-r} V${-r} Q${-r} 0 0 0 Q${r} 0 ${r} ${-r} V${-height} H${r + 2}`}
        className="stroke-ink"
        strokeWidth={1.1}
        fill="none"
      />
    </g>
  );
}

export function BeakerDrawing({ seen, moving, name }: Shown & { name: string }) {
  const { inner, height } = BEAKER;
  const r = inner / 2;
  return (
    <g>
      <Filling seen={seen} moving={moving} inner={inner} most={height} />
      <path
        d={`M${-r - 4} ${-height - 1} Q${-r} ${-height} ${-r} ${-height + 5} V-3 Q${-r} 0 ${-r + 4} 0 H${r - 4} Q${r} 0 ${r} -3 V${-height} h3`}
        className="stroke-ink"
        strokeWidth={1.3}
        fill="none"
      />
      <text
        y={-height + 14}
        textAnchor="middle"
        fontSize={8}
        className={seen.label === '' ? 'fill-ink-soft' : 'fill-heather'}
      >
        {seen.label === '' ? name : seen.label.slice(0, 10)}
      </text>
    </g>
  );
}

/** Half a circle, to the left or to the right. */
const half = (r: number, sweep: 0 | 1) => `M0 ${-r} A${r} ${r} 0 0 ${sweep} 0 ${r} Z`;
const DARK_TILE = '#464c4a';

/** A well of the plate from above: half of its ground is white, so that colours show, and half dark, so that white does. */
export function WellDrawing({ seen, moving, radius = WELL.radius }: Shown & { radius?: number }) {
  const fill = seen.ml === 0 ? 0 : Math.min(0.5 + 0.5 * Math.sqrt(seen.ml), 0.96);
  const r = radius * fill;
  return (
    <g>
      <path d={half(radius, 0)} fill="#ffffff" />
      <path d={half(radius, 1)} fill={DARK_TILE} />
      {seen.ml > 0 && (
        <>
          <path d={half(r, 0)} fill={liquidWash(seen.colour)} />
          <path d={half(r, 1)} fill={liquidWash(seen.colour)} opacity={0.22} />
          {seen.solid && (
            <>
              <circle r={0.88 * r} fill={solidWash(seen.solid)} opacity={hides(seen.solid.much, 10)} />
              <Grains
                seen={seen}
                x={-0.6 * r}
                y={-0.6 * r}
                width={1.2 * r}
                height={1.2 * r}
                part={seen.solid.much / 4}
              />
            </>
          )}
          <circle r={r} fill="none" className="stroke-ink-soft" strokeWidth={0.5} />
          {moving?.bubbles &&
            [
              [-0.4, -0.2],
              [0.3, -0.4],
              [0.1, 0.35],
              [-0.2, 0.5],
              [0.5, 0.2],
            ].map(([x = 0, y = 0], i) => (
              <circle
                key={i}
                cx={x * r}
                cy={y * r}
                r={0.08 * radius}
                fill="#ffffff"
                className="stroke-ink"
                strokeWidth={0.5}
              />
            ))}
        </>
      )}
      <circle r={radius} className="stroke-ink-soft" fill="none" strokeWidth={0.9} />
    </g>
  );
}

/** A plain panel with a reading. */
export function PanelDrawing({ title, shown, unit }: { title: string; shown: string; unit: string }) {
  return (
    <g>
      <rect
        x={0}
        y={-46}
        width={INSTRUMENT.width}
        height={46}
        rx={2}
        className="fill-paper stroke-ink"
        strokeWidth={1.2}
      />
      <rect x={4} y={-40} width={58} height={20} className="fill-mist stroke-line-strong" strokeWidth={0.8} />
      <text x={59} y={-26} textAnchor="end" fontSize={10} className="fill-ink font-mono">
        {shown}
        {unit && ` ${unit}`}
      </text>
      <text x={33} y={-8} textAnchor="middle" fontSize={6.6} className="fill-ink-soft">
        {title}
      </text>
    </g>
  );
}
