import { vernierMark } from '@core/instruments/length';
import type { Held } from '@core/practicals/measuring/bench';
import type { View } from '@core/practicals/measuring/view';
import { SOLID_WASH } from '../washes';

/** What is held in a tool, large enough to be read. */
export function ToolLoupe({ view, held, unnumbered }: { view: View; held: Held; unnumbered: boolean }) {
  const look = view.lots[held.lot]?.look ?? 'grey metal';
  return held.tool === 'calliper' ? (
    <Calliper gapMm={held.toMm} wash={held.along === 'zero' ? null : SOLID_WASH[look]} unnumbered={unnumbered} />
  ) : (
    <Ruler fromMm={held.fromMm} toMm={held.toMm} wash={SOLID_WASH[look]} unnumbered={unnumbered} />
  );
}

/** Units to the millimetre. */
const PX = 20;

/** The main scale of a calliper with its vernier: twenty divisions over nineteen millimetres. */
function Calliper({ gapMm, wash, unnumbered }: { gapMm: number; wash: string | null; unnumbered: boolean }) {
  const from = Math.floor(gapMm) - 2;
  const x = (mm: number) => (mm - from) * PX;
  const main = Array.from({ length: 26 }, (_, i) => from + i).filter((mm) => mm >= 0);
  const vernier = Array.from({ length: 21 }, (_, k) => k);
  const mark = vernierMark(gapMm);
  const whole = Math.floor(gapMm + (mark === 20 ? 0.02 : 0));
  const place = whole < 0 ? 'a little before the 0 mm mark' : `at or just after the ${whole} mm mark`;
  const words = `Calliper: the zero of the vernier stands ${place}. Mark ${mark % 20} of its 20 is in line with a mark of the main scale.`;
  return (
    <svg
      viewBox="0 -74 500 150"
      className="size-full"
      role="img"
      aria-label={words}
      preserveAspectRatio="xMidYMid meet"
    >
      <rect x={1} y={-72} width={498} height={146} rx={10} className="fill-paper stroke-ink" strokeWidth={1.5} />
      <svg x={4} y={-72} width={492} height={146} viewBox="4 -72 492 146" aria-hidden>
        {wash && <rect x={0} y={-66} width={500} height={14} fill={wash} />}
        <text x={250} y={-55} textAnchor="middle" fontSize={11} className="fill-ink">
          {wash ? 'between the jaws' : 'jaws closed'}
        </text>
        {main.map((mm) => (
          <g key={mm}>
            <line
              x1={x(mm)}
              x2={x(mm)}
              y1={mm % 10 === 0 ? -34 : mm % 5 === 0 ? -26 : -18}
              y2={0}
              className="stroke-ink"
              strokeWidth={1.1}
            />
            {mm % 10 === 0 && !unnumbered && (
              <text x={x(mm)} y={-38} textAnchor="middle" fontSize={15} className="fill-ink font-mono">
                {mm}
              </text>
            )}
          </g>
        ))}
        <line x1={0} x2={500} y1={0} y2={0} className="stroke-ink" strokeWidth={1.2} />
        {vernier.map((k) => {
          const at = x(gapMm + 0.95 * k);
          return (
            <g key={k}>
              <line
                x1={at}
                x2={at}
                y1={0}
                y2={k % 4 === 0 ? 28 : k % 2 === 0 ? 21 : 15}
                className="stroke-ink"
                strokeWidth={1.1}
              />
              {k % 4 === 0 && !unnumbered && (
                <text x={at} y={44} textAnchor="middle" fontSize={14} className="fill-ink font-mono">
                  {k / 2}
                </text>
              )}
            </g>
          );
        })}
        <text x={492} y={66} textAnchor="end" fontSize={12} className="fill-ink-soft">
          0.05 mm
        </text>
      </svg>
    </svg>
  );
}

/** Both ends of a piece along a ruler; they need not lie on a mark. */
function Ruler({
  fromMm,
  toMm,
  wash,
  unnumbered,
}: {
  fromMm: number;
  toMm: number;
  wash: string;
  unnumbered: boolean;
}) {
  const window = (centre: number, left: number, isStart: boolean) => {
    const SCALE = 21;
    const first = Math.floor(centre) - 6;
    const x = (mm: number) => left + 115 + (mm - centre) * SCALE;
    const end = isStart ? fromMm : toMm;
    return (
      <svg x={left} y={-72} width={240} height={146} viewBox={`${left} -72 240 146`} aria-hidden>
        <rect
          x={isStart ? x(end) : left - 40}
          y={-58}
          width={isStart ? 400 : x(end) - left + 40}
          height={56}
          fill={wash}
          className="stroke-ink"
          strokeWidth={1.2}
        />
        <line x1={left} x2={left + 240} y1={0} y2={0} className="stroke-ink" strokeWidth={1.2} />
        {Array.from({ length: 14 }, (_, i) => first + i)
          .filter((mm) => mm >= 0)
          .map((mm) => (
            <g key={mm}>
              <line
                x1={x(mm)}
                x2={x(mm)}
                y1={0}
                y2={mm % 10 === 0 ? 34 : mm % 5 === 0 ? 26 : 18}
                className="stroke-ink"
                strokeWidth={1.1}
              />
              {mm % 5 === 0 && !unnumbered && (
                <text x={x(mm)} y={52} textAnchor="middle" fontSize={15} className="fill-ink font-mono">
                  {mm}
                </text>
              )}
            </g>
          ))}
      </svg>
    );
  };
  const at = (mm: number) => `${Math.floor(mm + 1e-9)} mm and ${Math.round((mm - Math.floor(mm + 1e-9)) * 10)} tenths`;
  const before = `${Math.round(-fromMm * 10)} tenths of a millimetre before the 0 mark`;
  const words = `Ruler: the near end lies ${fromMm < -0.05 ? before : `at ${at(Math.max(fromMm, 0))}`}, the far end at ${at(toMm)}.`;
  return (
    <svg
      viewBox="0 -74 500 150"
      className="size-full"
      role="img"
      aria-label={words}
      preserveAspectRatio="xMidYMid meet"
    >
      <rect x={1} y={-72} width={498} height={146} rx={10} className="fill-paper stroke-ink" strokeWidth={1.5} />
      {window(Math.max(fromMm, 0) + 2.5, 6, true)}
      {window(toMm, 254, false)}
      <text x={490} y={68} textAnchor="end" fontSize={12} className="fill-ink-soft">
        mm
      </text>
      <line x1={250} x2={250} y1={-72} y2={72} className="stroke-ink" strokeDasharray="4 4" />
    </svg>
  );
}
