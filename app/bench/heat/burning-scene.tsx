import { heatVesselOf, SEALED_VESSEL } from '@core/databook/heat-vessels';
import type { Plan } from '@core/practicals/heat/plan';
import type { View } from '@core/practicals/heat/view';
import {
  HangerDrawing,
  JacketDrawing,
  LampDrawing,
  OxygenDrawing,
  PelletDrawing,
  PressDrawing,
  ScreenDrawing,
  SealedDrawing,
  SwitchDrawing,
} from './burning-sketches';
import { BENCH_Y, lampAt, pelletAt, sealedAt, WICK_MM, type Layout } from './layout';
import type { Thing } from './things';
import type { DrawThing } from '../scene-thing';

/** What stands on the bench where something is burnt: behind the vessel, and before it. */

interface Parts {
  view: View;
  labels: Plan;
  at: Layout;
  thing: DrawThing<Thing>;
}

const Standing = ({ x, children }: { x: number; children: React.ReactNode }) => (
  <g transform={`translate(${x} ${BENCH_Y})`}>{children}</g>
);

export function BehindVessel({ view, labels, at, thing }: Parts) {
  if (labels.sealed)
    return (
      <>
        <Standing x={at.cup}>
          <JacketDrawing />
        </Standing>
        {thing('press', { x: at.press - 42, y: BENCH_Y - 122, width: 84, height: 126 }, <Standing x={at.press}><PressDrawing /></Standing>)}
        {thing('oxygen', { x: at.oxygen - 50, y: BENCH_Y - 222, width: 82, height: 226 }, <Standing x={at.oxygen}><OxygenDrawing gaugeBar={view.sealed?.gaugeBar ?? 0} /></Standing>)}
        {thing('switch', { x: at.switch - 31, y: BENCH_Y - 44, width: 62, height: 48 }, <Standing x={at.switch}><SwitchDrawing /></Standing>)}
      </>
    ); // prettier-ignore
  if (!view.fire) return null;
  const radius = heatVesselOf(view.vessels.cup.type).innerDiameterMm / 2;
  const footMm = WICK_MM + view.fire.gapMm;
  return (
    <>
      {thing(
        'hanger',
        { x: at.cup + radius + 12, y: BENCH_Y - 322, width: 40, height: 326 },
        <Standing x={at.cup}>
          <HangerDrawing footMm={footMm} radiusMm={radius} />
          {view.fire.screen && <ScreenDrawing />}
        </Standing>,
      )}
      {thing(
        'mat',
        { x: at.mat - 75, y: BENCH_Y - 6, width: 150, height: 10 },
        <path d={`M${at.mat - 74} ${BENCH_Y - 2} H${at.mat + 74}`} className="stroke-ink-soft" strokeWidth={3} />,
      )}
    </>
  );
}

export function BeforeVessel({ view, at, thing }: Parts) {
  const { sealed, fire } = view;
  if (sealed) {
    const { x, y } = sealedAt(view, at);
    const isHung = sealed.isOpen && sealed.at === 'stand';
    const [w, h] = [SEALED_VESSEL.diameterMm + (isHung ? 26 : 10), isHung ? 190 : SEALED_VESSEL.heightMm + 30];
    const pellet = pelletAt(view, at);
    return (
      <>
        {sealed.at === 'pail' && (
          <path
            d={`M${x + 19} ${y - 96} C${x + 30} ${y - 220} ${at.switch - 20} ${y - 180} ${at.switch} ${BENCH_Y - 40}`}
            className="stroke-ink-soft fill-none"
            strokeWidth={1}
            pointerEvents="none"
          />
        )}
        {thing(
          'sealed',
          { x: x - w / 2 + (isHung ? 6 : 0), y: y - h, width: w, height: h + 2 },
          <g transform={`translate(${x} ${y})`}>
            <SealedDrawing sealed={sealed} />
          </g>,
        )}
        {thing(
          'pellet',
          { x: pellet.x - 13, y: pellet.y - 14, width: 26, height: 18 },
          <g transform={`translate(${pellet.x} ${pellet.y})`}>{sealed.pellet && <PelletDrawing />}</g>,
        )}
      </>
    );
  }
  if (!fire) return null;
  return (
    <>
      {fire.lamps.map((lamp, n) => {
        const { x, y } = lampAt(n, view, at);
        return thing(
          `lamp:${n + 1}`,
          { x: x - 36, y: y - 118, width: 72, height: 122 },
          <g transform={`translate(${x} ${y})`}>
            <LampDrawing lamp={lamp} />
            <text y={-16} fontSize={13} textAnchor="middle" className="fill-ink">
              {n === 0 ? 'known' : '?'}
            </text>
          </g>,
        );
      })}
    </>
  );
}
