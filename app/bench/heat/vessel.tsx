import { heatVesselOf } from '@core/databook/heat-vessels';
import type { SeenVessel } from '@core/practicals/heat/view';
import { LIQUID_WASH } from '../washes';
import { depthMm, outerOf } from './layout';

const FLOOR = 3;

/** The wall of a vessel, standing on y = 0 around x = 0: foam with its grain, glass as two lines, metal as a wash. */
function Wall({ type }: { type: SeenVessel['type'] }) {
  const { heightMm, innerDiameterMm, wallMm } = heatVesselOf(type);
  const [r, o, h] = [innerDiameterMm / 2, outerOf(type) / 2, heightMm];
  const ring = `M${-o} ${-h} V-3 Q${-o} 0 ${-o + 3} 0 H${o - 3} Q${o} 0 ${o} -3 V${-h} H${r} V${-FLOOR} H${-r} V${-h} Z`;
  if (type === 'foam-cup')
    return (
      <g>
        <path d={ring} className="stroke-ink fill-white" strokeWidth={1.2} />
        {Array.from({ length: 16 }, (_, i) => (
          <circle
            key={i}
            cx={(i % 2 === 0 ? -1 : 1) * (r + wallMm / 2)}
            cy={-6 - 5.4 * i}
            r={0.6}
            className="fill-ink-soft"
          />
        ))}
      </g>
    );
  if (type === 'vacuum-flask')
    return (
      <g>
        <path d={ring} fill="#dfe5e1" className="stroke-ink" strokeWidth={1.2} />
        <path
          d={`M${-o - 2} ${-h * 0.32} H${o + 2} V0 H${-o - 2} Z`}
          fill="#8aa39a"
          className="stroke-ink"
          strokeWidth={1.2}
        />
        <path
          d={`M${-r} ${-h * 0.32} V${-FLOOR} H${r} V${-h * 0.32}`}
          className="stroke-ink fill-none"
          strokeWidth={0.8}
          strokeDasharray="3 2"
        />
      </g>
    );
  if (type === 'metal-can' || type === 'pail')
    return <path d={ring} fill="#a9b3b2" className="stroke-ink" strokeWidth={1.3} />;
  return (
    <g className="stroke-ink fill-none" strokeWidth={1.3}>
      <path
        d={`M${-o - 4} ${-h - 2} Q${-o} ${-h} ${-o} ${-h + 5} V-5 Q${-o} 0 ${-o + 5} 0 H${o - 5} Q${o} 0 ${o} -5 V${-h}`}
      />
      <path d={`M${-r} ${-h + 4} V-6 M${r} ${-h + 4} V-6`} strokeWidth={0.6} />
    </g>
  );
}

/** A stirrer: a rod with a loop, held by a hand or by a motor over it. */
function Stirrer({ height, how, x = -16 }: { height: number; how: SeenVessel['stir']; x?: number }) {
  const top = -height - 34;
  return (
    <g className="stroke-ink fill-none" strokeWidth={1.3} transform={`translate(${x + 16} 0)`}>
      <path d={`M-16 ${top} V-12`} strokeWidth={1.6} />
      <ellipse cx={-16} cy={-10} rx={11} ry={2.6} />
      {how === 'motor' && <rect x={-27} y={top - 14} width={22} height={16} rx={2} className="fill-paper" />}
      {how !== 'off' && (
        <path
          d={`M-26 ${top + 12} q10 8 20 0 m0 0 l-1 -5 m1 5 l-5 0`}
          className="stroke-water"
          strokeWidth={1.6}
          data-testid="stirring"
        />
      )}
    </g>
  );
}

/** A vessel with its liquid, stirrer, lid and steam; its foot stands on y = 0, its axis is x = 0. */
export function VesselDrawing({
  vessel,
  hasStirrer,
  displacedMl = 0,
}: {
  vessel: SeenVessel;
  hasStirrer: boolean;
  /** What stands in it under the liquid. */
  displacedMl?: number;
}) {
  const { type, levelMl, lid, stir, steams, lying } = vessel;
  const { heightMm, innerDiameterMm, lid: word } = heatVesselOf(type);
  const r = innerDiameterMm / 2;
  const depth = Math.min(depthMm(type, levelMl + displacedMl), heightMm - FLOOR);
  return (
    <g>
      {levelMl > 0 && (
        <g>
          <rect x={-r} y={-FLOOR - depth} width={2 * r} height={depth} fill={LIQUID_WASH.clear} />
          <path d={`M${-r} ${-FLOOR - depth} H${r}`} className="stroke-water" strokeWidth={1} />
        </g>
      )}
      {lying > 0 && (
        <path
          d={`M${-0.7 * r} ${-FLOOR} Q0 ${-FLOOR - Math.min(2 + 1.2 * lying, 30)} ${0.7 * r} ${-FLOOR} Z`}
          fill="#efece1"
          className="stroke-ink"
          strokeWidth={0.9}
          data-testid="lying"
        />
      )}
      {hasStirrer && <Stirrer height={heightMm} how={stir} x={type === 'pail' ? 42 : -16} />}
      <Wall type={type} />
      {lid && (
        <path
          d={
            word === 'stopper'
              ? `M${-r + 2} ${-heightMm - 8} H${r - 2} V${-heightMm + 12} H${-r + 2} Z`
              : `M${-r - 6} ${-heightMm - 4} H${r + 6} V${-heightMm} H${-r - 6} Z`
          }
          className="stroke-ink fill-paper"
          strokeWidth={1.2}
          data-testid="lid"
        />
      )}
      {steams && (
        <path
          d={[-14, 2, 18].map((x) => `M${x} ${-heightMm - 6} q-5 -7 0 -13 q5 -7 0 -13`).join(' ')}
          className="stroke-ink-soft fill-none"
          strokeWidth={1}
          opacity={0.7}
        />
      )}
    </g>
  );
}
