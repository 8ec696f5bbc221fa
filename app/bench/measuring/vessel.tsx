import { useId } from 'react';
import { vesselOf } from '@core/databook/vessels';
import { PACKING } from '@core/physics/immersion';
import type { Appearance } from '@core/practicals/measuring/plan';
import type { SeenVessel, View } from '@core/practicals/measuring/view';
import { Bottle } from '../bottle';
import { FLOOR_MM, levelMm, lipMm, sizeOf } from './layout';
import { LIQUID_WASH, SOLID_WASH } from '../washes';

/** A bottle with square shoulders, from one side of its mouth round to the other, mm: as it stands, so it is tilted. */
const SUPPLY_SHAPE = 'M-14 -130 V-106 Q-33 -98 -33 -82 V-4 Q-33 0 -28 0 H28 Q33 0 33 -4 V-82 Q33 -98 14 -106 V-130';

/** Outline of a vessel around its axis, standing on y = 0. */
function outline(type: string): string {
  const { inner, height, foot, isCylinder } = sizeOf(type);
  const r = inner / 2 + 1.5;
  if (type === 'supply') return `${SUPPLY_SHAPE} M-14 ${-height} H14`;
  if (isCylinder)
    return `M${-r - 3} ${-height - 2} Q${-r - 1} ${-height} ${-r} ${-height + 5} V${-FLOOR_MM} M${r + 1} ${-height} H${r} V${-FLOOR_MM} M${-r} ${-FLOOR_MM} H${-foot / 2} V0 H${foot / 2} V${-FLOOR_MM} H${r} M${-r} ${-FLOOR_MM} H${r}`;
  if (type === 'density-bottle')
    return `M-5 ${-height} V${-height + 22} Q${-r} ${-height + 26} ${-r} ${-height + 40} V-4 Q${-r} 0 ${-r + 4} 0 H${r - 4} Q${r} 0 ${r} -4 V${-height + 40} Q${r} ${-height + 26} 5 ${-height + 22} V${-height}`;
  return `M${-r - 4} ${-height - 2} Q${-r} ${-height} ${-r} ${-height + 5} V-5 Q${-r} 0 ${-r + 5} 0 H${r - 5} Q${r} 0 ${r} -5 V${-height} h3`;
}

/** The inside of a vessel, closed: what a liquid can fill. */
function inside(type: string): string {
  const { inner, height } = sizeOf(type);
  const r = inner / 2;
  if (type === 'supply') return `${SUPPLY_SHAPE} Z`;
  if (type === 'density-bottle') return outline(type).replace(/$/, ' Z');
  const floor = type.startsWith('cylinder') ? -FLOOR_MM : -2;
  return `M${-r} ${-height} V${floor} H${r} V${-height} Z`;
}

const floorOf = (type: string) => (type.startsWith('cylinder') ? FLOOR_MM : 2);

/** The numbered lines, and between them what can be drawn at this size. */
function Marks({ type }: { type: string }) {
  const { divisionMl, numberedMl, lowestMl, capacityMl } = vesselOf(type);
  if (divisionMl === null) return null;
  const { inner } = sizeOf(type);
  const r = inner / 2;
  const isWide = !type.startsWith('cylinder');
  const step = type.startsWith('cylinder') ? numberedMl / (numberedMl === 1 ? 1 : 2) : divisionMl;
  const count = Math.round((capacityMl - lowestMl) / step + 1e-6);
  const first = Math.ceil(lowestMl / step - 1e-6) * step;
  return Array.from({ length: count + 1 }, (_, i) => first + i * step)
    .filter((ml) => ml <= capacityMl + 1e-6)
    .map((ml) => {
      const y = -floorOf(type) - levelMm(type, ml);
      const numbered = Math.abs(ml / numberedMl - Math.round(ml / numberedMl)) < 1e-6;
      return (
        <g key={ml}>
          <line
            x1={-r}
            x2={-r + (numbered ? 0.55 : 0.35) * inner}
            y1={y}
            y2={y}
            className="stroke-ink"
            strokeWidth={0.8}
          />
          {numbered && (numberedMl > 1 || ml % 2 === 0) && (
            <text
              x={isWide ? r - 5 : r + 4}
              y={y + 4}
              fontSize={11}
              textAnchor={isWide ? 'end' : 'start'}
              className="fill-ink font-mono"
            >
              {Math.round(ml)}
            </text>
          )}
        </g>
      );
    });
}

/** How far a heap rises with each piece, mm: solid is three fifths of it. */
const riseMm = (radius: number, inner: number) => ((4 / 3) * radius ** 3) / (inner / 2) ** 2 / PACKING;

interface Lain {
  key: string;
  cx: number;
  cy: number;
  radius: number;
  fill: string;
}

/** Where each piece lies: a heap as high as it is, its pieces side by side and one behind the other; or where it swims. */
function piled(vessel: SeenVessel, view: View, surface: number): Lain[] {
  const { inner } = sizeOf(vessel.type);
  const floor = -floorOf(vessel.type);
  let top = 0;
  return vessel.lying.flatMap((lying) => {
    const lot = view.lots[lying.lot];
    const radius = Math.min(Math.max(lot?.size[0] ?? 17, 3), inner - 3) / 2;
    const across = Math.max(Math.ceil((inner - 1) / (2 * radius)), 1);
    const rise = riseMm(radius, inner);
    return Array.from({ length: lying.count }, (_, i) => {
      const part = across === 1 ? 0.5 : (i % across) / (across - 1);
      const height = top + radius;
      if (!lying.floats) top += rise;
      return {
        key: `${lying.lot} ${lying.tied} ${i}`,
        cx: (part - 0.5) * (inner - 1 - 2 * radius),
        cy: lying.floats ? surface - radius * (1 - 2 * lying.under) : floor - height,
        radius,
        fill: lot ? SOLID_WASH[lot.look] : '#7d8688',
      };
    });
  });
}

/** What lies in it or swims on it. */
function Lying({ vessel, view, surface }: { vessel: SeenVessel; view: View; surface: number }) {
  const { inner } = sizeOf(vessel.type);
  const floor = -floorOf(vessel.type);
  const pieces = piled(vessel, view, surface).map(({ key, cx, cy, radius, fill }) => (
    <circle key={key} cx={cx} cy={cy} r={radius} fill={fill} className="stroke-ink" strokeWidth={0.7} />
  ));
  return (
    <>
      {pieces}
      {vessel.bubbles &&
        [0.2, -0.3, 0.45, -0.1].map((side, i) => (
          <circle
            key={side}
            cx={side * inner}
            cy={floor - 4 - 5 * i}
            r={1.3}
            className="stroke-ink fill-paper"
            strokeWidth={0.6}
          />
        ))}
    </>
  );
}

/**
 * How far below its lip the liquid of a tilted vessel stands, mm: a little while it does not run yet; above it, and the
 * more the fuller it is, when the vessel lies on its side.
 */
function liftMm(degrees: number, full: number, inner: number): number {
  const part = Math.min(Math.max((degrees - 40) / 50, 0), 1);
  return (1 - part) * Math.max(2, (1 - full) * 22) - part * (2 + full * inner);
}

interface VesselProps {
  vessel: SeenVessel;
  view: View;
  appearance: Appearance;
}

/** A vessel on its own axis, upright or tilted, with what is in it. */
export function Vessel({ vessel, view, appearance }: VesselProps) {
  const clip = useId();
  const { type, tilt } = vessel;
  const level = view.levels[vessel.number - 1] ?? 0;
  const { height, inner } = sizeOf(type);
  const surface = -floorOf(type) - levelMm(type, level);
  if (type === 'supply' && !tilt) {
    const { capacityMl } = vesselOf(type);
    return (
      <>
        <rect x={-36} y={-132} width={72} height={132} fill="transparent" />
        <Bottle
          x={0}
          floorY={0}
          width={66}
          height={128}
          full={Math.min((level / capacityMl) * 0.92, 1)}
          lines={[vessel.name]}
        />
      </>
    );
  }
  const wash = LIQUID_WASH[appearance];
  /** Half of the width of the surface: in the neck of a density bottle it is narrow. */
  const half = type === 'density-bottle' && level > 24 ? lipMm(type) : inner / 2;
  // It turns about its lip, which is held over the other's mouth.
  const turn = tilt ? `rotate(${-tilt.degrees} ${-lipMm(type)} ${-height})` : undefined;
  const low = tilt ? -height + liftMm(tilt.degrees, level / vesselOf(type).brimMl, inner) : surface;
  return (
    <g>
      <clipPath id={clip}>
        <path d={inside(type)} transform={turn} />
      </clipPath>
      {/* A ground to take hold of: glass alone has nothing in between. */}
      <path d={inside(type)} transform={turn} fill="transparent" />
      {level > 0.02 && (
        <rect
          clipPath={`url(#${clip})`}
          x={tilt ? -height : -inner / 2}
          width={tilt ? 2 * height : inner}
          y={low}
          height={tilt ? 2 * height : -low}
          fill={wash}
          data-testid={`liquid-${vessel.number}`}
        />
      )}
      {level > 0.02 && !tilt && (
        <path
          d={`M${-half} ${surface - 1.6} Q0 ${surface + 1.6} ${half} ${surface - 1.6}`}
          className="stroke-ink/70"
          strokeWidth={0.9}
          fill="none"
        />
      )}
      {!tilt && <Lying vessel={vessel} view={view} surface={surface} />}
      <g transform={turn}>
        <path d={outline(type)} className="stroke-ink" strokeWidth={1.4} fill="none" />
        <Marks type={type} />
        {vessel.stoppered && (
          <path
            d={`M-4 ${-height + 14} L-6 ${-height - 12} H6 L4 ${-height + 14} Z`}
            className="stroke-ink fill-paper"
            strokeWidth={1.2}
          />
        )}
        {vessel.engraved && (
          <text x={0} y={-12} fontSize={9} textAnchor="middle" className="fill-ink font-mono">
            {vessel.engraved}
          </text>
        )}
      </g>
      {vessel.wet && vessel.empty && !tilt && (
        <path
          d={`M${-inner / 4} ${-height * 0.4} q2 4 0 6 q-2 -2 0 -6 M${inner / 5} ${-height * 0.25} q2 4 0 6 q-2 -2 0 -6`}
          className="fill-water/60"
        />
      )}
    </g>
  );
}
