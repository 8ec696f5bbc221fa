import { useId } from 'react';
import { vesselOf } from '@core/databook/vessels';
import { EYE_DISTANCE_MM, meniscusMm, mmPerMl, parallaxMm } from '@core/instruments/sight';
import type { Appearance } from '@core/practicals/measuring/plan';
import type { View } from '@core/practicals/measuring/view';
import { ThermometerLoupe } from '../thermometer-loupe';
import { ToolLoupe } from './tool-loupe';
import { LIQUID_WASH } from '../washes';

/** Loupe units: so many to the millimetre at most. */
const ZOOM = 9;
/** So far apart two numbers can stand, and both be seen whatever lies between; and two lines have to, in units of the loupe. */
const APART = { numbers: 98, lines: 8.5 };
/** Closer where the numbers are, further away where they lie far apart: two are to be in view, as long as tenths can be told. */
const zoomOf = (numberMm: number, divisionMm: number): number =>
  Math.min(ZOOM, Math.max(APART.numbers / numberMm, APART.lines / divisionMm));
const RADIUS = 118;

/** What the scale shows at the height of the eye, in words: for those who do not see it. */
function levelInWords(levelMl: number, division: number, shiftMl: number, rim: boolean): string {
  const seen = levelMl + shiftMl;
  const below = Math.floor(seen / division + 1e-9);
  const tenths = Math.round((seen / division - below) * 10);
  const mark = (count: number) => (count * division).toFixed(division < 1 ? 1 : 0);
  const what = rim ? 'The rim of the liquid' : 'The lowest point of the meniscus';
  const eye =
    Math.abs(shiftMl) > division / 40
      ? ' Front and back of the rings do not fall together: the eye is not level with the surface.'
      : ' Front and back of the rings fall together.';
  if (tenths === 0) return `${what} lies on the line ${mark(below)} mL.${eye}`;
  if (tenths === 10) return `${what} lies on the line ${mark(below + 1)} mL.${eye}`;
  return `${what} lies ${tenths} tenths of the way from the line ${mark(below)} up to ${mark(below + 1)} mL.${eye}`;
}

interface LoupeProps {
  view: View;
  appearance: Appearance;
  /** Height of the eye above the surface, mm: that of the view unless a hand is moving it. */
  eyeMm?: number;
  /** Without its numbers, as a ground for drawing on. */
  unnumbered?: boolean;
}

/**
 * The close look at what is read. A graduated vessel is seen from the height of the eye: each line is a ring around the
 * glass, whose front and back fall together only for an eye that is level with it.
 */
export function Loupe(props: LoupeProps) {
  const { view } = props;
  if (view.look.at === 'tool' && view.held)
    return <ToolLoupe view={view} held={view.held} unnumbered={props.unnumbered ?? false} />;
  if (view.look.at === 'thermometer' && view.thermometerC !== null)
    return <ThermometerLoupe tempC={view.thermometerC} unnumbered={props.unnumbered ?? false} />;
  return <VesselLoupe {...props} />;
}

function VesselLoupe({ view, appearance, eyeMm = view.eyeMm, unnumbered = false }: LoupeProps) {
  const glass = useId();
  const vessel = view.vessels[view.look.n - 1];
  const entry = vessel && !vessel.away ? vesselOf(vessel.type) : null;
  const empty = (words: string) => (
    <svg viewBox="-120 -120 240 240" className="size-full" role="img" aria-label={`Loupe: ${words}`}>
      <circle r={RADIUS} className="fill-paper stroke-ink" strokeWidth={1.5} />
      <text textAnchor="middle" y={5} fontSize={13} className="fill-ink-soft">
        {words}
      </text>
    </svg>
  );
  if (!vessel || !entry) return empty('nothing to look at');
  if (vessel.engraved) return empty(`engraved: ${vessel.engraved} mL`);
  if (entry.divisionMl === null) return empty('no scale on it');
  const level = view.levels[view.look.n - 1] ?? 0;
  const { divisionMl, numberedMl, lowestMl, capacityMl, innerDiameterMm } = entry;
  const perMl = mmPerMl(innerDiameterMm);
  const half = innerDiameterMm / 2;
  const zoom = zoomOf(numberedMl * perMl, divisionMl * perMl);
  // A wide beaker is drawn no wider than the loupe: its rings are what matters, not its walls.
  const across = Math.min(half * zoom, 64);
  const isRim = appearance === 'opaque';
  const rimMm = meniscusMm(innerDiameterMm);
  const shiftMl = parallaxMm(eyeMm, innerDiameterMm) / perMl;
  /** Height in the picture, up is negative, of a point at a height above the surface and a depth towards the eye, mm. */
  const y = (mm: number, towards: number) =>
    -(eyeMm + ((mm - eyeMm) * EYE_DISTANCE_MM) / (EYE_DISTANCE_MM - towards)) * zoom + centre;
  // The loupe moves in divisions, so that lines do not swim while the level creeps.
  const seenAt = isRim ? level + rimMm / perMl : level;
  const centre = isRim ? rimMm * zoom : 0;
  const count =
    Math.ceil(RADIUS / zoom / perMl / divisionMl) +
    Math.ceil((Math.abs(eyeMm) * half) / EYE_DISTANCE_MM / perMl / divisionMl) +
    1;
  const near = Math.round(seenAt / divisionMl);
  const lines = Array.from({ length: 2 * count + 1 }, (_, i) => near - count + i).filter(
    (line) => line * divisionMl >= lowestMl - 1e-9 && line * divisionMl <= capacityMl + 1e-9,
  );
  const perNumber = Math.round(numberedMl / divisionMl);
  const ring = (mm: number) => ({ front: y(mm, half), back: y(mm, -half) });
  const rim = ring(rimMm);
  const bottom = y(0, 0);
  const words =
    vessel.empty && level < lowestMl
      ? 'Loupe: no surface on the scale.'
      : levelInWords(seenAt, divisionMl, shiftMl, isRim);
  const body = LIQUID_WASH[appearance];
  const surfacePath = `M${-across} ${rim.back} C${-across * 0.7} ${bottom - 2} ${-across * 0.35} ${bottom} 0 ${bottom} S${across * 0.7} ${bottom - 2} ${across} ${rim.back}`;
  const frontPath = `M${-across} ${rim.front} C${-across * 0.7} ${bottom + (rim.front - rim.back) * 0.3 - 2} ${-across * 0.35} ${bottom} 0 ${bottom} S${across * 0.7} ${bottom + (rim.front - rim.back) * 0.3 - 2} ${across} ${rim.front}`;
  return (
    <svg viewBox="-120 -120 240 240" className="size-full" role="img" aria-label={words}>
      <clipPath id={glass}>
        <circle r={RADIUS} />
      </clipPath>
      <circle r={RADIUS} className="fill-paper" />
      <g clipPath={`url(#${glass})`}>
        {level > 0 && !isRim && (
          <>
            <path d={`${surfacePath} V160 H${-across} Z`} fill={body} />
            <path
              d={`${surfacePath} L${across} ${rim.front} C${across * 0.7} ${bottom - 8} ${across * 0.35} ${bottom - 5} 0 ${bottom - 5} S${-across * 0.7} ${bottom - 8} ${-across} ${rim.front} Z`}
              className="fill-ink/70"
            />
            <path d={frontPath} className="stroke-ink/50" strokeWidth={0.8} fill="none" />
          </>
        )}
        {level > 0 && isRim && (
          <path
            d={`M${-across} ${rim.front} Q0 ${rim.front + (rim.front - rim.back) * 0.6 + 1} ${across} ${rim.front} V160 H${-across} Z`}
            fill={body}
            className="stroke-ink"
            strokeWidth={1.4}
          />
        )}
        {lines.map((line) => {
          const { front, back } = ring((line * divisionMl - level) * perMl);
          const isNumbered = line % perNumber === 0;
          const isHalf = perNumber % 2 === 0 && line % (perNumber / 2) === 0;
          const length = (isNumbered ? 1.5 : isHalf ? 1.05 : 0.7) * across;
          const bow = (front - back) * 0.5;
          return (
            <g key={line}>
              <path
                d={`M${-across} ${back} Q0 ${back - bow * 0.6} ${across} ${back}`}
                className="stroke-ink/25"
                strokeWidth={0.9}
                fill="none"
              />
              <path
                d={`M${-across} ${front - bow * 0.25} Q${-across + length / 2} ${front + bow * 0.35} ${-across + length} ${front + bow * 0.05}`}
                className="stroke-ink"
                strokeWidth={1.3}
                fill="none"
              />
              {isNumbered && !unnumbered && (
                <text x={across + 6} y={front + 6} fontSize={18} className="fill-ink font-mono">
                  {Math.round(line * divisionMl)}
                </text>
              )}
            </g>
          );
        })}
        {!unnumbered && (
          <text x={-across - 8} y={4} textAnchor="end" fontSize={13} className="fill-ink-soft">
            mL
          </text>
        )}
        <line x1={-across} x2={-across} y1={-130} y2={130} className="stroke-ink" strokeWidth={2} />
        <line x1={across} x2={across} y1={-130} y2={130} className="stroke-ink" strokeWidth={2} />
      </g>
      <circle r={RADIUS} fill="none" className="stroke-ink" strokeWidth={1.5} />
    </svg>
  );
}
