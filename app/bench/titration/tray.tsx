import { indicatorOf } from '@core/databook/indicators';
import type { Plan } from '@core/practicals/titration/plan';
import type { View } from '@core/practicals/titration/view';
import type { Act } from '@core/practicals/titration/acts';
import { Tray } from '../tray';
import type { Hands } from '../use-hands';
import { indicatorIn, isIndicator, thingsOf, type Thing } from './things';
import type { Amount } from './verb-props';

/** Pixels to the millimetre: as on the bench above. */
const SCALE = 0.66;

interface TrayProps {
  view: View;
  labels: Plan;
  hands: Hands<Thing, Amount, Act>;
}

/** Lies on the tray at full length: 520 mm. */
function PipetteDrawing({ full }: { full: boolean }) {
  const fill = full ? 'rgb(31 111 134 / 0.22)' : 'none';
  return (
    <svg
      viewBox="0 0 520 24"
      width={520 * SCALE}
      height={24 * SCALE}
      aria-hidden
      className="stroke-ink"
      strokeWidth={1.8}
      fill={fill}
    >
      <path d="M2 11 L70 9 H205 Q214 2 228 2 H318 Q332 2 341 9 H518 V15 H341 Q332 22 318 22 H228 Q214 22 205 15 H70 L2 13 Z" />
      <path d="M420 6 V18" stroke="var(--rust)" strokeWidth={2.4} />
    </svg>
  );
}

function IndicatorDrawing({ id }: { id: string }) {
  const [r, g, b] = (indicatorOf(id).forms.at(id === 'phenolphthalein' ? 1 : 0) ?? { srgb: [255, 255, 255] as const })
    .srgb;
  const isClear = indicatorOf(id).forms[0]?.name === 'colourless';
  return (
    <svg
      viewBox="0 0 36 76"
      width={36 * SCALE}
      height={76 * SCALE}
      aria-hidden
      className="stroke-ink"
      strokeWidth={1.8}
      fill="none"
    >
      <rect
        x={4}
        y={40}
        width={28}
        height={33}
        fill={isClear ? 'rgb(31 111 134 / 0.08)' : `rgb(${r} ${g} ${b} / 0.75)`}
        stroke="none"
      />
      <path d="M13 24 V31 Q3 34 3 42 V71 Q3 74 6 74 H30 Q33 74 33 71 V42 Q33 34 23 31 V24" />
      <path d="M11 24 H25 M14 24 V10 Q14 2 18 2 Q22 2 22 10 V24" className="fill-paper" />
    </svg>
  );
}

/** The electrode on its stand, and the meter's display. */
function ProbeDrawing({ pH, away }: { pH: string | null; away: boolean }) {
  return (
    <svg viewBox="0 0 76 50" width={68} height={45} className="stroke-ink" fill="none" strokeWidth={1.2} aria-hidden>
      <rect x={20} y={12} width={54} height={34} rx={3} className="fill-paper" />
      <text x={47} y={35} fontSize={14.5} textAnchor="middle" className="fill-ink font-mono" stroke="none">
        {pH ?? '–'}
      </text>
      {!away && <path d="M8 4 V38 Q8 46 11 46 Q14 46 14 38 V4 Z M8 40 H14" className="fill-paper" />}
      <path d="M11 4 Q16 -2 26 12" strokeDasharray={away ? '2 3' : undefined} />
    </svg>
  );
}

/** A volumetric flask with its mark, and how full it stands. */
function VolumetricDrawing({ full, madeUp, ml }: { full: number; madeUp: boolean; ml: number }) {
  const height = madeUp ? 44 : 34 * Math.min(full, 1);
  return (
    <svg viewBox="0 0 56 70" width={50} height={62} className="stroke-ink" fill="none" strokeWidth={1.2} aria-hidden>
      <clipPath id="volumetric-body">
        <path d="M25 4 V30 Q8 36 8 52 Q8 66 14 66 H42 Q48 66 48 52 Q48 36 31 30 V4 Z" />
      </clipPath>
      <rect
        clipPath="url(#volumetric-body)"
        x={0}
        y={66 - height}
        width={56}
        height={height}
        fill="rgb(31 111 134 / 0.2)"
        stroke="none"
      />
      <path d="M23 4 H33 M25 4 V30 Q8 36 8 52 Q8 66 14 66 H42 Q48 66 48 52 Q48 36 31 30 V4" />
      <path d="M23 22 H33" stroke="var(--rust)" strokeWidth={1.8} />
      <text x={28} y={56} fontSize={12} textAnchor="middle" className="fill-ink" stroke="none">
        {ml}
      </text>
    </svg>
  );
}

/** A wide-mouthed jar, its fullness, and what its label says. */
function JarDrawing({ left, line }: { left: number; line: string }) {
  return (
    <svg viewBox="0 0 60 66" width={54} height={59} className="stroke-ink" fill="none" strokeWidth={1.2} aria-hidden>
      <rect x={7} y={62 - 44 * left} width={46} height={44 * left} rx={3} fill="rgb(29 42 47 / 0.10)" stroke="none" />
      <path d="M10 12 H50 Q55 14 55 20 V60 Q55 64 51 64 H9 Q5 64 5 60 V20 Q5 14 10 12 Z" />
      <rect x={9} y={3} width={42} height={9} rx={1.5} className="fill-paper" />
      <rect x={10} y={28} width={40} height={18} className="fill-paper" strokeWidth={0.9} />
      <text x={30} y={41} fontSize={10.5} textAnchor="middle" className="fill-ink" stroke="none">
        {line}
      </text>
    </svg>
  );
}

/** The balance with the weighing boat on its pan, and what it shows. */
function BalanceDrawing({ text, boatFull }: { text: string; boatFull: boolean }) {
  return (
    <svg viewBox="0 0 104 66" width={98} height={62} className="stroke-ink" fill="none" strokeWidth={1.2} aria-hidden>
      {boatFull && <path d="M36 13 Q52 3 68 13 Z" fill="rgb(29 42 47 / 0.10)" />}
      <path d="M26 10 L33 17 H71 L78 10" className="fill-paper/60" />
      <path d="M22 20 H82 M52 20 V27" />
      <path d="M12 27 H92 L100 60 H4 Z" className="fill-paper" />
      <text
        x={88}
        y={51}
        fontSize={19}
        textAnchor="end"
        className="fill-ink font-mono"
        stroke="none"
        data-testid="balance-display"
      >
        {text}
      </text>
      <text x={90} y={51} fontSize={10} className="fill-ink-soft" stroke="none">
        g
      </text>
    </svg>
  );
}

const WIDTHS: Partial<Record<Thing, string>> = {
  pipette: 'min-w-40 shrink overflow-hidden [&_svg]:max-w-full',
  volumetric: 'w-[92px] shrink-0',
  jar: 'w-[84px] shrink-0',
  balance: 'w-[110px] shrink-0',
  probe: 'w-[76px] shrink-0',
};

/** What lies on the tray of a titration: indicators at its right-hand end. */
export function TitrationTray({ view, labels, hands }: TrayProps) {
  const things = thingsOf(labels);
  const drawing = (thing: Thing): React.ReactNode => {
    if (isIndicator(thing)) return <IndicatorDrawing id={indicatorIn(thing)} />;
    if (thing === 'pipette') return <PipetteDrawing full={view.pipetteFull} />;
    if (thing === 'volumetric')
      return view.volumetric && <VolumetricDrawing {...view.volumetric} ml={labels.diluteToMl ?? 0} />;
    if (thing === 'jar') return <JarDrawing left={view.jarLeft} line={labels.jar?.lines[0] ?? ''} />;
    if (thing === 'balance') return <BalanceDrawing text={view.balance ?? ''} boatFull={view.boatFull} />;
    return <ProbeDrawing pH={view.meter} away={view.probe.place !== 'stand'} />;
  };
  return (
    <Tray
      hands={hands}
      things={things.filter((thing) => thing in WIDTHS)}
      atEnd={things.filter(isIndicator)}
      className={(thing) => WIDTHS[thing] ?? 'w-[78px] shrink-0'}
      drawing={drawing}
    />
  );
}
