/** A small drawing of what stands on the bench of a practical, in line and wash. */

const WASH = { pink: '#e6a9bd', blue: '#b9d6de', amber: '#e3c48f', grey: '#c3ccc6', white: '#ffffff' } as const;
type Wash = keyof typeof WASH;

const line = { className: 'stroke-ink', strokeWidth: 1.3, strokeLinejoin: 'round', strokeLinecap: 'round' } as const;

interface Placed {
  x: number;
}
/** Feet stand at y = 46; the drawing is 72 wide. */
const BENCH = 46;

const Flask = ({ x, wash }: Placed & { wash: Wash }) => (
  <g transform={`translate(${x} ${BENCH})`} {...line} fill="none">
    <path d="M-8 -6 L8 -6 L11 0 H-11 Z" fill={WASH[wash]} stroke="none" />
    <path d="M-3 -22 V-15 L-11 0 H11 L3 -15 V-22 M-5 -22 H5" />
  </g>
);

const Burette = ({ x, wash }: Placed & { wash: Wash }) => (
  <g transform={`translate(${x} ${BENCH - 24})`} {...line} fill="none">
    <rect x={-2} y={-13} width={4} height={9} fill={WASH[wash]} stroke="none" />
    <path d="M-2 -19 V-3 L0 0 L2 -3 V-19 M-4 -5 H4 M-2 -15 H0 M-2 -11 H0" />
  </g>
);

const Bottle = ({ x, wash }: Placed & { wash: Wash }) => (
  <g transform={`translate(${x} ${BENCH})`} {...line} fill="none">
    <path d="M-7 0 V-12 H7 V0 Z" fill={WASH[wash]} stroke="none" />
    <path d="M-3 -23 V-19 Q-7 -18 -7 -14 V0 H7 V-14 Q7 -18 3 -19 V-23 Z" />
    <rect x={-5} y={-10} width={10} height={6} className="fill-paper stroke-ink" strokeWidth={0.8} />
  </g>
);

const Jar = ({ x }: Placed) => (
  <g transform={`translate(${x} ${BENCH})`} {...line} fill="none">
    <path d="M-7 0 V-6 Q-2 -9 7 -7 V0 Z" fill={WASH.grey} stroke="none" />
    <path d="M-7 -14 V0 H7 V-14 M-8 -17 H8 V-14 H-8 Z" />
  </g>
);

const Probe = ({ x }: Placed) => (
  <g transform={`translate(${x} ${BENCH - 3})`} {...line} fill="none">
    <path d="M0 -34 V-8 M-2 -26 V-6 Q0 -3 2 -6 V-26 Z" className="stroke-ink fill-paper" />
  </g>
);

const Cylinder = ({ x, level, wash, ball = false }: Placed & { level: number; wash: Wash; ball?: boolean }) => (
  <g transform={`translate(${x} ${BENCH})`} {...line} fill="none">
    <rect x={-6} y={-2 - level} width={12} height={level} fill={WASH[wash]} stroke="none" />
    {ball && <circle cx={0} cy={-6} r={3.4} fill={WASH.grey} />}
    <path d="M-6 -34 V-2 H6 V-34 M-10 0 H10 M-6 -28 H-2 M-6 -20 H-2 M-6 -12 H-2" />
  </g>
);

const Block = ({ x }: Placed) => (
  <g transform={`translate(${x} ${BENCH})`} {...line} fill={WASH.grey}>
    <path d="M-9 0 V-12 H9 V0 Z M-9 -12 L-4 -17 H14 L9 -12 M14 -17 V-5 L9 0" />
  </g>
);

const Calliper = ({ x }: Placed) => (
  <g transform={`translate(${x} ${BENCH - 24})`} {...line} fill="none">
    <path d="M-16 0 H18 V-4 H-16 V9 M10 0 V9 M-10 -4 V-2 M-4 -4 V-2 M2 -4 V-2" />
  </g>
);

const DensityBottle = ({ x }: Placed) => (
  <g transform={`translate(${x} ${BENCH})`} {...line} fill="none">
    <path d="M-6 -16 Q-11 -14 -11 -8 V0 H11 V-8 Q11 -14 6 -16 Z" fill={WASH.blue} stroke="none" />
    <path d="M-4 -21 V-16 Q-11 -15 -11 -8 V0 H11 V-8 Q11 -15 4 -16 V-21 Z M-2 -21 V-28 H2 V-21" />
  </g>
);

const Room = ({ x }: Placed) => (
  <g transform={`translate(${x} ${BENCH})`} {...line} fill="none">
    <path d="M-15 -24 L4 -20 V0 L-15 -5 Z M4 -20 L16 -27 V-7 L4 0 M-15 -24 L-3 -31 L16 -27" />
    <path d="M-10 -9 L-1 -15" className="stroke-water" strokeDasharray="2 2" />
    <circle cx={0} cy={-16} r={3.6} fill={WASH.blue} />
  </g>
);

const Cup = ({ x, wash }: Placed & { wash: Wash }) => (
  <g transform={`translate(${x} ${BENCH})`} {...line} fill="none">
    <path d="M-9 0 V-12 H9 V0 Z" fill={WASH[wash]} stroke="none" />
    <path d="M-10 -20 L-9 0 H9 L10 -20 M-12 -20 H12" />
    <path d="M3 -36 V-4" strokeWidth={2} />
  </g>
);

const Basin = ({ x }: Placed) => (
  <g transform={`translate(${x} ${BENCH})`} {...line} fill="none">
    <rect x={-12} y={-18} width={24} height={12} fill={WASH.amber} stroke="none" />
    <path d="M-12 -22 V-6 H12 V-22 M-12 -6 V0 H12 V-6" />
    <rect x={-4} y={-15} width={8} height={8} fill={WASH.grey} />
  </g>
);

const Sealed = ({ x }: Placed) => (
  <g transform={`translate(${x} ${BENCH})`} {...line} fill="none">
    <rect x={-18} y={-24} width={36} height={24} fill={WASH.blue} stroke="none" />
    <path d="M-18 -30 V0 H18 V-30" />
    <path d="M-9 -4 V-20 H7 V-4 Z M-11 -20 H9 V-24 H-11 Z M-3 -24 V-29" fill={WASH.grey} />
  </g>
);

const Lamp = ({ x }: Placed) => (
  <g transform={`translate(${x} ${BENCH})`} {...line} fill="none">
    <path d="M-8 0 Q-10 -9 -3 -13 H3 Q10 -9 8 0 Z" fill={WASH.white} />
    <path d="M0 -13 V-15 M0 -24 Q4 -18 0 -15 Q-4 -18 0 -24 Z" fill={WASH.amber} />
    <path d="M-11 -42 V-28 H11 V-42" />
    <rect x={-11} y={-38} width={22} height={10} fill={WASH.blue} stroke="none" />
  </g>
);

const Tube = ({ x }: Placed) => (
  <g transform={`translate(${x} ${BENCH})`} {...line} fill="none">
    <path d="M-6 -22 V-9 A6 6 0 0 0 6 -9 V-22 Z" fill={WASH.white} stroke="none" />
    <path d="M-7 -40 H-6 V-9 A6 6 0 0 0 6 -9 V-40 H7 M-5 -20 l3 -3 m0 5 l-3 -3 M5 -13 l-3 -3 m0 5 l3 -3" />
  </g>
);

/** A crucible over its flame. */
const Crucible = ({ x, wash }: Placed & { wash: Wash }) => (
  <g transform={`translate(${x} ${BENCH})`} {...line} fill="none">
    <path d="M-9 -36 Q-8 -27 -5 -25 H5 Q8 -27 9 -36 Z" fill={WASH[wash]} />
    <path d="M-11 -25 H11 M-9 -25 L-12 0 M9 -25 L12 0" />
    <path d="M-3 -4 Q-5 -12 0 -19 Q5 -12 3 -4 Z" fill={WASH.amber} />
  </g>
);

/** Three wells of a spot plate, from above. */
const Plate = ({ x }: Placed) => (
  <g transform={`translate(${x} ${BENCH - 12})`} {...line} fill="none">
    <rect x={-19} y={-9} width={38} height={18} rx={2} />
    <circle cx={-11} r={4.6} fill={WASH.white} />
    <circle r={4.6} fill={WASH.amber} />
    <circle cx={11} r={4.6} fill={WASH.blue} />
  </g>
);

/** A funnel with its paper, over a beaker. */
const Funnel = ({ x }: Placed) => (
  <g transform={`translate(${x} ${BENCH})`} {...line} fill="none">
    <path d="M-8 -9 H8 V-1 H-8 Z" fill={WASH.blue} stroke="none" />
    <path d="M-9 -16 V0 H9 V-16 M-12 -38 L-1.5 -24 V-13 M12 -38 L1.5 -24 V-12 M-8 -33 H8" />
    <path d="M-4 -30 H4 L0 -25 Z" fill={WASH.amber} stroke="none" />
  </g>
);

/** A pan with a beaker that fizzes. */
const Fizz = ({ x }: Placed) => (
  <g transform={`translate(${x} ${BENCH})`} {...line} fill="none">
    <path d="M-12 -9 H12 M-14 0 L-11 -6 H11 L14 0 Z" fill={WASH.grey} />
    <path d="M-7 -18 H7 V-10 H-7 Z" fill={WASH.white} stroke="none" />
    <path d="M-8 -27 V-10 H8 V-27" />
    <circle cx={-3} cy={-21} r={1.4} />
    <circle cx={3} cy={-26} r={1.4} />
    <circle cx={0} cy={-33} r={1.4} />
  </g>
);

/** Tubes of a series. */
const Series = ({ x }: Placed) => (
  <g transform={`translate(${x} ${BENCH})`} {...line} fill="none">
    {[6, 13, 8].map((solid, i) => (
      <g key={i} transform={`translate(${12 * i - 12} 0)`}>
        <path d={`M-4 ${-solid} V-4 A4 4 0 0 0 4 -4 V${-solid} Z`} fill={WASH.amber} stroke="none" />
        <path d="M-4 -34 V-4 A4 4 0 0 0 4 -4 V-34 M-4 -24 H4" />
      </g>
    ))}
  </g>
);

/** Rings and discs in a vessel. */
const TwoGases = ({ x }: Placed) => (
  <g transform={`translate(${x} ${BENCH})`} {...line} fill="none">
    <path d="M-18 0 V-38 H18 V-24 M18 -14 V0 H-18" />
    {[
      [-11, -8],
      [2, -30],
      [9, -6],
      [-4, -20],
      [24, -19],
    ].map(([cx, cy]) => (
      <circle key={cx} cx={cx} cy={cy} r={2} className="stroke-water" />
    ))}
    {[
      [-10, -28],
      [6, -15],
      [-6, -11],
    ].map(([cx, cy]) => (
      <circle key={cx} cx={cx} cy={cy} r={3} fill={WASH.amber} />
    ))}
  </g>
);

/** A piston over particles: pinned, hit, or with as many of them as there is room for. */
const Piston = ({
  x,
  at,
  pin = false,
  hit = false,
  many = false,
}: Placed & { at: number; pin?: boolean; hit?: boolean; many?: boolean }) => (
  <g transform={`translate(${x} ${BENCH})`} {...line} fill="none">
    <path d={`M-16 -38 V0 H16 V-38 M-15 ${-at} H15 V${-at - 4} H-15 Z M0 ${-at - 4} V${-at - 10}`} />
    {pin && <path d={`M12 ${-at - 2} H22`} strokeWidth={2.4} />}
    {hit && <path d={`M-4 ${-at + 10} V${-at + 2} M-7 ${-at + 5} L-4 ${-at + 2} L-1 ${-at + 5}`} />}
    {Array.from({ length: many ? 15 : 5 }, (_, i) => (
      <circle
        key={i}
        cx={-12 + ((i * 7) % 25)}
        cy={-4 - ((i * 11) % (at - 8))}
        r={many ? 1.6 : 2.2}
        fill={WASH.amber}
      />
    ))}
  </g>
);

/** A syringe that lies, joined to a gauge. */
const Lying = ({ x }: Placed) => (
  <g transform={`translate(${x} ${BENCH - 20})`} {...line} fill="none">
    <path d="M-28 -6 H-14 V6 H-28 Z M-25 2 L-20 -3" className="stroke-ink fill-paper" />
    <path d="M-14 0 Q-8 0 -8 -5 Q-8 -9 -5 -9 Q-2 -9 -2 0 H2" />
    <path d="M2 -6 V6 M2 -6 H24 M2 6 H24 M14 -6 V6 M17 -6 V6 M17 0 H31 M31 -5 V5 M6 6 v-3 M10 6 v-3" />
  </g>
);

/** Syringes that stand in a bath. */
const Bathed = ({ x, count }: Placed & { count: number }) => (
  <g transform={`translate(${x} ${BENCH})`} {...line} fill="none">
    <rect x={-26} y={-22} width={52} height={20} fill={WASH.blue} stroke="none" />
    <path d="M-26 -26 V-2 H26 V-26 M-29 0 H29" />
    {Array.from({ length: count }, (_, i) => {
      const at = (i - (count - 1) / 2) * 12;
      const up = [8, 12, 10, 3][i] ?? 8;
      return (
        <path
          key={i}
          d={`M${at - 4} -24 V-5 H${at + 4} V-24 M${at - 4} ${-5 - up} H${at + 4} M${at} ${-5 - up} V-34 M${at - 3} -34 H${at + 3}`}
        />
      );
    })}
  </g>
);

/** A gas tube upside down in a jar of water. */
const UpsideDown = ({ x }: Placed) => (
  <g transform={`translate(${x} ${BENCH})`} {...line} fill="none">
    <rect x={-13} y={-20} width={26} height={20} fill={WASH.blue} stroke="none" />
    <path d="M-13 -24 V0 H13 V-24 M-4 -4 V-36 Q-4 -40 0 -40 Q4 -40 4 -36 V-4 M-4 -34 h3 M-4 -28 h3 M-4 -22 h3" />
    <circle cx={0} cy={-8} r={1.2} />
    <circle cx={1} cy={-14} r={1.2} />
  </g>
);

/** A small syringe with a needle. */
const Needle = ({ x }: Placed) => (
  <g transform={`translate(${x} ${BENCH - 22})`} {...line} fill="none">
    <path d="M0 20 V6 M-3 6 H3 V-10 H-3 Z M0 -2 V-18 M-3 -18 H3" className="stroke-ink fill-paper" />
  </g>
);

/** A bulb in a bath, a gauge on its neck. */
const BulbInBath = ({ x }: Placed) => (
  <g transform={`translate(${x} ${BENCH})`} {...line} fill="none">
    <rect x={-17} y={-20} width={34} height={18} fill={WASH.blue} stroke="none" />
    <path d="M-17 -24 V-2 H17 V-24 M-20 0 H20" />
    <circle cx={0} cy={-11} r={7.5} className="stroke-ink fill-paper" />
    <path d="M0 -18.5 V-32 M-12 -32 H12 V-42 H-12 Z M-7 -35 l5 -4" />
  </g>
);

const EMBLEMS: Readonly<Record<string, React.ReactNode>> = {
  'acid-concentration': [<Bottle key={1} x={16} wash="white" />, <Burette key={2} x={48} wash="blue" />, <Flask key={3} x={48} wash="pink" />],
  'base-concentration': [<Bottle key={1} x={16} wash="blue" />, <Burette key={2} x={48} wash="white" />, <Flask key={3} x={48} wash="amber" />],
  'polyprotic-acid': [<Probe key={0} x={58} />, <Burette key={2} x={40} wash="blue" />, <Flask key={3} x={44} wash="pink" />, <Bottle key={1} x={14} wash="white" />],
  'percent-by-mass': [<Jar key={1} x={16} />, <Burette key={2} x={48} wash="blue" />, <Flask key={3} x={48} wash="pink" />],
  'standardised-base': [<Jar key={1} x={12} />, <Bottle key={2} x={32} wash="white" />, <Burette key={3} x={56} wash="blue" />, <Flask key={4} x={56} wash="pink" />],
  'unknown-acid': [<Jar key={1} x={14} />, <Probe key={0} x={58} />, <Burette key={2} x={40} wash="blue" />, <Flask key={3} x={46} wash="white" />],
  'back-titration': [<Jar key={1} x={12} />, <Bottle key={2} x={32} wash="amber" />, <Burette key={3} x={56} wash="blue" />, <Flask key={4} x={56} wash="amber" />],
  'unknown-in-burette': [<Flask key={1} x={24} wash="blue" />, <Burette key={2} x={24} wash="amber" />, <Bottle key={3} x={54} wash="amber" />],
  'reading-a-scale': [<Cylinder key={1} x={24} level={18} wash="blue" />, <Cylinder key={2} x={50} level={11} wash="blue" />],
  'regular-solids': [<Block key={1} x={32} />, <Calliper key={2} x={34} />],
  displacement: [<Cylinder key={1} x={22} level={14} wash="blue" />, <Cylinder key={2} x={50} level={21} wash="blue" ball />],
  'liquid-density': [<DensityBottle key={1} x={22} />, <Cylinder key={2} x={52} level={20} wash="amber" />],
  'two-portions': [<Cup key={1} x={20} wash="blue" />, <Cup key={2} x={50} wash="pink" />],
  'metal-by-heat': [<Basin key={1} x={18} />, <Cup key={2} x={50} wash="blue" />],
  'salt-by-heat': [<Jar key={1} x={18} />, <Cup key={2} x={48} wash="blue" />],
  'acid-with-base': [<Bottle key={1} x={12} wash="white" />, <Bottle key={2} x={32} wash="blue" />, <Cup key={3} x={56} wash="pink" />],
  'acid-by-temperature': [<Burette key={1} x={30} wash="blue" />, <Cup key={2} x={34} wash="amber" />, <Bottle key={3} x={60} wash="amber" />],
  'pellet-in-oxygen': [<Sealed key={1} x={36} />],
  'lamp-fuels': [<Lamp key={1} x={36} />],
  'freezing-point': [<Tube key={1} x={36} />],
  'molar-mass-by-freezing': [<Tube key={1} x={24} />, <Tube key={2} x={48} />],
  'mixture-melting': [<Jar key={1} x={14} />, <Tube key={2} x={38} />, <Jar key={3} x={60} />],
  'water-in-hydrate': <Crucible x={36} wash="blue" />,
  'which-hydrate': [<Jar key={1} x={16} />, <Crucible key={2} x={46} wash="white" />],
  'part-of-hydrate': [<Crucible key={1} x={22} wash="blue" />, <Crucible key={2} x={50} wash="white" />],
  'which-react': [<Bottle key={1} x={10} wash="white" />, <Bottle key={2} x={26} wash="amber" />, <Series key={3} x={52} />],
  'which-bottle': [<Bottle key={1} x={12} wash="white" />, <Bottle key={2} x={28} wash="blue" />, <Plate key={3} x={52} />],
  'solid-yield': [<Bottle key={1} x={10} wash="white" />, <Bottle key={2} x={26} wash="amber" />, <Funnel key={3} x={52} />],
  'solid-found': [<Bottle key={1} x={16} wash="white" />, <Funnel key={2} x={48} />],
  'runs-out': [<Bottle key={1} x={12} wash="white" />, <Jar key={2} x={28} />, <Fizz key={3} x={54} />],
  'pressure-volume': <Lying x={36} />,
  'volume-temperature': <Bathed x={36} count={4} />,
  'pressure-temperature': <BulbInBath x={36} />,
  'vapour-molar-mass': [<Bathed key={1} x={40} count={1} />, <Needle key={2} x={12} />],
  'gas-over-water': <UpsideDown x={34} />,
  'one-particle': <Room x={35} />,
  'light-and-heavy': <TwoGases x={36} />,
  'one-law': <Piston x={36} at={20} pin />,
  'where-pressure-comes-from': <Piston x={36} at={24} hit />,
  'one-to-many': <Piston x={36} at={30} many />,
}; // prettier-ignore

/** @param practical whose bench; nothing is drawn of one that has no drawing yet */
export function Emblem({ practical }: { practical: string }) {
  return (
    <svg viewBox="0 0 72 52" width={72} height={52} aria-hidden className="daylight bg-paper shrink-0 rounded-[3px]">
      <path d="M2 46.5 H70" className="stroke-line-strong" strokeWidth={1} />
      {EMBLEMS[practical]}
    </svg>
  );
}

/** Practicals that have a drawing. */
export const DRAWN = Object.keys(EMBLEMS);
