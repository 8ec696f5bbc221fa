import type { Joint } from '@core/practicals/gases/plan';
import type { SeenBath, SeenInjector } from '@core/practicals/gases/view';
import { BULB_NECK_MM, BULB_RADIUS_MM, JAR, PANEL, PLATE } from './layout';

/** What stands at the bench of gases, each drawn by itself. */

const line = { className: 'stroke-ink fill-none', strokeWidth: 1.3, strokeLinejoin: 'round' } as const;

/** A plain panel with a reading: its middle is x = 0, its foot y = 0. */
export function Panel({
  word,
  text,
  unit,
  testid,
  width = PANEL.width,
}: {
  word: string;
  text: string;
  unit: string;
  testid?: string;
  width?: number;
}) {
  return (
    <g>
      <rect
        x={-width / 2}
        y={-PANEL.height}
        width={width}
        height={PANEL.height}
        className="stroke-ink fill-paper"
        strokeWidth={1.3}
      />
      <text x={-width / 2 + 7} y={-PANEL.height + 14} fontSize={11} className="fill-ink-soft">
        {word}
      </text>
      <text
        x={width / 2 - 34}
        y={-9}
        fontSize={19}
        textAnchor="end"
        className="fill-ink font-mono"
        {...(testid && { 'data-testid': testid })}
      >
        {text}
      </text>
      <text x={width / 2 - 31} y={-9} fontSize={11} className="fill-ink-soft">
        {unit}
      </text>
    </g>
  );
}

/** A coil of thin pipe on its feet: the pipe comes in at the left and goes out at the right, both at y = 0. */
export function Coil() {
  return (
    <g {...line}>
      <path d="M-30 40 L-24 14 M30 40 L24 14 M-36 40 H36" className="stroke-ink-soft fill-none" strokeWidth={2} />
      {[0, 1, 2, 3, 4].map((turn) => (
        <ellipse key={turn} cx={-20 + 10 * turn} cy={0} rx={9} ry={23} strokeWidth={1.1} />
      ))}
      {[0, 1, 2, 3, 4].map((turn) => (
        <ellipse key={turn} cx={-17.5 + 10 * turn} cy={0} rx={9} ry={23} strokeWidth={1.1} />
      ))}
    </g>
  );
}

/** Tube of some thickness along a path. */
export const Pipe = ({ d }: { d: string }) => (
  <g fill="none">
    <path d={d} className="stroke-ink" strokeWidth={6} />
    <path d={d} className="stroke-paper" strokeWidth={3.6} />
  </g>
);

/** The bulb, its middle in the origin: neck upwards. */
export function Bulb() {
  const [r, neck] = [BULB_RADIUS_MM, BULB_NECK_MM];
  return (
    <g {...line}>
      <path
        d={`M-5 ${-r - neck} V${-r + 1} A${r} ${r} 0 1 0 5 ${-r + 1} V${-r - neck} M-8 ${-r - neck} H-5 M5 ${-r - neck} H8`}
      />
      <path d={`M-3 ${-r - neck} V${-r + 3} M3 ${-r - neck} V${-r + 3}`} strokeWidth={0.6} />
      <path d={`M-26 -14 Q-20 -28 -8 -33`} strokeWidth={0.7} />
    </g>
  );
}

/** The gauge that sits on the neck with its stopper: the stopper's end is the origin. */
export function NeckGauge({ joint, text, unit }: { joint: Joint; text: string; unit: string }) {
  return (
    <g>
      <path d="M-7 -2 L-5 8 H5 L7 -2 Z" className="stroke-ink fill-ink-soft" strokeWidth={1.1} />
      <Pipe d="M0 -2 V-20" />
      <g transform="translate(0 -18)">
        <Panel word={joint === 'off' ? 'gauge, open' : 'gauge'} text={text} unit={unit} testid="gauge" />
      </g>
    </g>
  );
}

interface BathProps {
  bath: SeenBath;
  width: number;
  waterMm: number;
  rimMm: number;
}

/** A hot plate with its setting; its foot is y = 0, its middle x = 0. */
export function Plate({ heat, width }: { heat: number; width: number }) {
  return (
    <g>
      <path
        d={`M${-width / 2 - 12} 0 V${-PLATE.height + 8} H${width / 2 + 12} V0 Z M${-width / 2} ${-PLATE.height + 8} V${-PLATE.height} H${width / 2} V${-PLATE.height + 8}`}
        className="stroke-ink fill-paper"
        strokeWidth={1.3}
      />
      <path
        d={`M${-width / 2 + 6} ${-PLATE.height + 4} H${width / 2 - 6}`}
        className={heat > 0 ? 'stroke-rust' : 'stroke-line-strong'}
        strokeWidth={heat > 0 ? 1.5 + heat / 6 : 1.5}
      />
      <text x={-width / 2} y={-11} fontSize={12} className="fill-ink-soft">
        hot plate
      </text>
      <text x={width / 2} y={-11} fontSize={14} textAnchor="end" className="fill-ink font-mono">
        {heat > 0 ? heat.toFixed(1) : 'off'}
      </text>
    </g>
  );
}

/** Glass and water of a bath: the foot of the glass is y = 0. What hangs in it is drawn before the water. */
export function BathWater({ bath, width, waterMm, rimMm }: BathProps) {
  const half = width / 2;
  const floats = Math.min(Math.ceil(bath.ice / 5), 9);
  return (
    <g>
      <rect
        x={-half}
        y={-waterMm}
        width={width}
        height={waterMm}
        fill="rgb(31 111 134 / 0.13)"
        data-testid="bath-water"
      />
      <path d={`M${-half} ${-waterMm} H${half}`} className="stroke-water" strokeWidth={1} />
      {Array.from({ length: floats }, (_, i) => (
        <rect
          key={i}
          x={-half + 8 + (i * (width - 32)) / 8}
          y={-waterMm - 5 + 4 * (i % 2)}
          width={16}
          height={13}
          transform={`rotate(${(i % 3) * 7 - 6} ${-half + 16 + (i * (width - 32)) / 8} ${-waterMm})`}
          className="stroke-water fill-white"
          strokeWidth={1}
          data-testid="ice-cube"
        />
      ))}
      {bath.boils &&
        Array.from({ length: 9 }, (_, i) => (
          <circle
            key={i}
            cx={-half + 12 + (i * (width - 24)) / 8}
            cy={-14 - ((i * 47) % (waterMm - 26))}
            r={2 + (i % 3)}
            className="stroke-water fill-none"
            strokeWidth={1}
          />
        ))}
      <path
        d={`M${-half - 4} ${-rimMm - 2} L${-half} ${-rimMm + 4} V0 H${half} V${-rimMm + 4} L${half + 4} ${-rimMm - 2}`}
        {...line}
      />
    </g>
  );
}

/** The wide jar with its cold brine: its foot is y = 0, its middle x = 0. */
export function JarGlass() {
  const { width, height } = JAR;
  const half = width / 2;
  return (
    <g>
      <rect x={-half + 7} y={-height + 24} width={width - 14} height={height - 32} fill="rgb(31 111 134 / 0.22)" />
      <path
        d={`M${-half + 7} ${-height} V-8 H${half - 7} V${-height} M${-half} ${-height} V0 H${half} V${-height} M${-half} ${-height} H${-half + 7} M${half - 7} ${-height} H${half}`}
        {...line}
      />
      {[0, 1, 2, 3, 4].map((i) => (
        <path
          key={i}
          d={`M${-half + 3.5} ${-16 - 26 * i} l-3 -4 m3 4 l3 -4 m-3 4 v-6`}
          className="stroke-water"
          strokeWidth={0.9}
        />
      ))}
    </g>
  );
}

/** The injector, lying: its middle is the origin, its needle to the left. */
export function InjectorDrawing({ seen }: { seen: SeenInjector }) {
  const length = 44 * seen.ml;
  return (
    <g {...line}>
      <path d="M-44 0 H-18 M-18 -2 V2" strokeWidth={1} />
      <rect x={-16} y={-4.5} width={length} height={9} fill="rgb(31 111 134 / 0.22)" stroke="none" />
      <path
        d={`M-16 -5 H34 M-16 5 H34 M-16 -5 Q-19 0 -16 5 M34 -8 V8 M${-16 + length} -4.5 V4.5 M${-16 + length} 0 H${40 + length / 4} m0 -6 v12`}
      />
      {Array.from({ length: 11 }, (_, i) => (
        <path key={i} d={`M${-16 + 4.4 * i} -5 v${i % 5 === 0 ? 4 : 2.5}`} strokeWidth={0.6} />
      ))}
      {seen.isStoppered && (
        <rect
          x={-50}
          y={-4}
          width={16}
          height={8}
          rx={2}
          className="stroke-ink fill-ink-soft"
          data-testid="needle-stopper"
        />
      )}
    </g>
  );
}
