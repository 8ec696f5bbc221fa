import { useId } from 'react';
import type { Plan } from '@core/practicals/titration/plan';
import type { View } from '@core/practicals/titration/view';
import { liquidHeightMm } from '@core/instruments/conical-flask';
import { Burette, Falling } from './burette';
import { AT, BENCH_Y, BURETTE, flaskLiquid, flaskOutline, readingY, SCENE } from './geometry';
import { Bottle } from '../bottle';
import { thingProps, type SceneHands } from '../scene-thing';
import { heard } from './tell';
import type { Thing } from './things';
import { washOf } from './wash';

const FLOOR = BENCH_Y - 8;

interface SceneProps {
  view: View;
  labels: Plan;
  sampleNumber: string;
  /** The tap as the student has just set it, before the server has answered. */
  tap: View['tap'];
  hands: SceneHands<Thing>;
  onTap: () => void;
}

function Flask({ view }: { view: View }) {
  const x = AT.flask;
  const height = liquidHeightMm(view.flaskMl);
  const clip = useId();
  const { cloud } = view;
  return (
    <g
      style={
        view.swirling
          ? { animation: 'fen-swirl 0.5s linear infinite', transformOrigin: `${x}px ${FLOOR - 140}px` }
          : undefined
      }
    >
      {view.flaskMl > 0.4 && (
        <path data-testid="flask-liquid" d={flaskLiquid(x, FLOOR, view.flaskMl)} fill={washOf(view.colour)} />
      )}
      {cloud && view.flaskMl > 0.4 && (
        <>
          <clipPath id={clip}>
            <path d={flaskLiquid(x, FLOOR, view.flaskMl)} />
          </clipPath>
          <ellipse
            clipPath={`url(#${clip})`}
            cx={x}
            cy={FLOOR - height * 0.7}
            rx={6 + 38 * cloud.size}
            ry={3 + (height / 2) * cloud.size}
            fill={washOf(cloud.colour)}
            style={{ filter: 'blur(1.5px)' }}
          />
        </>
      )}
      {view.flaskMl > 0.4 && (
        <line
          x1={x - 38 + height * 0.2}
          x2={x + 38 - height * 0.2}
          y1={FLOOR - 1 - height}
          y2={FLOOR - 1 - height}
          className="stroke-ink/50"
          strokeWidth={0.8}
        />
      )}
      {view.wall &&
        [-1, 1, 0.4].map((side, i) => (
          <circle
            key={side}
            cx={x + side * (15 + 5 * i)}
            cy={FLOOR - 78 + 9 * i}
            r={2}
            className="fill-water/60 stroke-ink"
            strokeWidth={0.6}
          />
        ))}
      {view.solid && (
        <path
          d={`M${x - 26} ${FLOOR - 2} Q${x - 10} ${FLOOR - 12} ${x + 2} ${FLOOR - 7} T${x + 27} ${FLOOR - 2} Z`}
          className="fill-ink/25"
          data-testid="solid"
        />
      )}
      <path d={flaskOutline(x, FLOOR)} className="stroke-ink" strokeWidth={1.5} fill="none" />
    </g>
  );
}

/** Flasks that came filled, as many as are left, behind one another. */
function FilledFlasks({ left, ml }: { left: number; ml: number }) {
  const count = Math.max(Math.min(Math.floor((left * 250) / ml), 3), 0);
  return (
    <g>
      {Array.from({ length: count }, (_, i) => (
        <g
          key={i}
          transform={`translate(${AT.sample - 16 + 16 * i} 0) scale(0.8)`}
          style={{ transformOrigin: `0 ${BENCH_Y}px` }}
        >
          <path d={flaskLiquid(0, BENCH_Y, ml)} fill="rgb(31 111 134 / 0.12)" />
          <path d={flaskOutline(0, BENCH_Y)} className="stroke-ink fill-paper/50" strokeWidth={1.5} />
        </g>
      ))}
      <text x={AT.sample} y={BENCH_Y - 134} fontSize={14} textAnchor="middle" className="fill-ink">
        {ml.toFixed(2)} mL each
      </text>
    </g>
  );
}

function Stand() {
  const rod = AT.stand;
  const clampY = readingY(24);
  return (
    <g className="stroke-ink" strokeWidth={1.5} fill="none">
      <rect x={rod - 34} y={BENCH_Y - 9} width={178} height={9} className="fill-mist" />
      <path d={`M${rod - 5} ${BENCH_Y - 9} V14 H${rod + 5} V${BENCH_Y - 9}`} className="fill-mist" />
      <path d={`M${rod + 5} ${clampY - 4} H${BURETTE.x - 16} M${rod + 5} ${clampY + 4} H${BURETTE.x - 16}`} />
      <rect x={BURETTE.x - 16} y={clampY - 14} width={32} height={28} rx={3} />
      <rect x={AT.flask - 62} y={BENCH_Y - 8} width={124} height={8} className="fill-white" strokeWidth={0.9} />
    </g>
  );
}

function WashBottle() {
  const x = AT.wash;
  return (
    <g className="stroke-ink" strokeWidth={1.5} fill="none">
      <rect x={x - 36} y={BENCH_Y - 118} width={72} height={116} rx={9} fill="rgb(31 111 134 / 0.1)" stroke="none" />
      <path
        d={`M${x - 37} ${BENCH_Y - 130} Q${x - 37} ${BENCH_Y - 146} ${x - 16} ${BENCH_Y - 150} V${BENCH_Y - 162} H${x + 16} V${BENCH_Y - 150} Q${x + 37} ${BENCH_Y - 146} ${x + 37} ${BENCH_Y - 130} V${BENCH_Y - 8} Q${x + 37} ${BENCH_Y} ${x + 29} ${BENCH_Y} H${x - 29} Q${x - 37} ${BENCH_Y} ${x - 37} ${BENCH_Y - 8} Z`}
      />
      <path
        d={`M${x} ${BENCH_Y - 162} V${BENCH_Y - 184} Q${x} ${BENCH_Y - 194} ${x - 12} ${BENCH_Y - 190} L${x - 58} ${BENCH_Y - 160}`}
      />
      <text x={x} y={BENCH_Y - 66} fontSize={15} textAnchor="middle" className="fill-ink" stroke="none">
        water
      </text>
    </g>
  );
}

function Waste() {
  const x = AT.waste;
  return (
    <g className="stroke-ink" strokeWidth={1.5} fill="none">
      <path
        d={`M${x - 44} ${BENCH_Y - 112} l5 4 V${BENCH_Y - 5} q0 5 5 5 H${x + 34} q5 0 5 -5 V${BENCH_Y - 108} l5 -4`}
      />
      <text x={x} y={BENCH_Y - 50} fontSize={15} textAnchor="middle" className="fill-ink-soft" stroke="none">
        waste
      </text>
    </g>
  );
}

/** Room to grasp each thing, mm. */
const GRASP: [thing: Thing, x: number, y: number, width: number, height: number][] = [
  ['waste', AT.waste - 50, BENCH_Y - 120, 100, 124],
  ['titrant', AT.titrant - 56, BENCH_Y - 240, 112, 244],
  ['burette', BURETTE.x - 34, readingY(-5), 76, BURETTE.tipY - readingY(-5) + 6],
  ['flask', AT.flask - 46, FLOOR - 142, 92, 146],
  ['sample', AT.sample - 44, BENCH_Y - 154, 88, 158],
  ['wash', AT.wash - 60, BENCH_Y - 196, 102, 200],
];

/** The electrode in the flask or in a beaker of buffer, and the meter beside it with its display. */
function ProbeInUse({ view, sensor }: { view: View; sensor: Plan['probe'] }) {
  const inFlask = view.probe.place === 'flask';
  const x = inFlask ? AT.flask + 17 : 566;
  const bottom = inFlask ? FLOOR - 14 : BENCH_Y - 12;
  return (
    <g className="stroke-ink" fill="none" strokeWidth={1.5}>
      {!inFlask && (
        <>
          <rect x={545} y={BENCH_Y - 38} width={42} height={36} fill="rgb(31 111 134 / 0.12)" stroke="none" />
          <path
            d={`M542 ${BENCH_Y - 60} V${BENCH_Y - 3} Q542 ${BENCH_Y} 546 ${BENCH_Y} H586 Q590 ${BENCH_Y} 590 ${BENCH_Y - 3} V${BENCH_Y - 60}`}
          />
          <text x={576} y={BENCH_Y - 184} fontSize={15} textAnchor="middle" className="fill-ink" stroke="none">
            {view.probe.place === 'standard' ? '1.413 mS/cm' : view.probe.place}
          </text>
        </>
      )}
      <path
        d={`M${x - 6} ${bottom - 150} V${bottom - 6} Q${x - 6} ${bottom} ${x} ${bottom} Q${x + 6} ${bottom} ${x + 6} ${bottom - 6} V${bottom - 150} Z`}
        className="fill-paper/70"
      />
      <path d={`M${x - 6} ${bottom - 16} H${x + 6}`} strokeWidth={1} />
      <path d={`M${x} ${bottom - 150} Q${x + 10} ${bottom - 230} 600 ${BENCH_Y - 250}`} strokeWidth={1.2} />
      <rect x={522} y={BENCH_Y - 262} width={106} height={58} rx={4} className="fill-paper" />
      <text x={532} y={BENCH_Y - 242} fontSize={14} className="fill-ink-soft" stroke="none">
        {sensor === 'conductivity' ? 'mS/cm' : 'pH'}
      </text>
      <text
        x={619}
        y={BENCH_Y - 216}
        fontSize={28}
        textAnchor="end"
        className="fill-ink font-mono"
        stroke="none"
        data-testid="ph-display"
      >
        {view.meter ?? '–'}
      </text>
    </g>
  );
}

/** The bench to scale: one unit is one millimetre. */
export function Scene({ view, labels, sampleNumber, tap, hands, onTap }: SceneProps) {
  return (
    <svg
      viewBox={`0 0 ${SCENE.width} ${SCENE.height}`}
      preserveAspectRatio="xMidYMax meet"
      className="absolute inset-0 size-full touch-none select-none"
      aria-label="The bench"
      role="group"
    >
      <line x1={0} x2={SCENE.width} y1={BENCH_Y + 1} y2={BENCH_Y + 1} className="stroke-line-strong" strokeWidth={2} />
      <Stand />
      <Waste />
      <Bottle
        floorY={BENCH_Y}
        x={AT.titrant}
        width={100}
        height={222}
        full={view.titrantLeft}
        lines={
          view.titrantLabel === ''
            ? [labels.titrantFormula, sampleNumber]
            : [labels.titrantFormula, view.titrantLabel, labels.unit]
        }
      />
      <Flask view={view} />
      {view.probe.place !== 'stand' && <ProbeInUse view={view} sensor={labels.probe} />}
      <Falling view={view} tap={tap} />
      <Burette view={view} tap={tap} />
      {labels.bottle && !labels.supplied && (
        <Bottle
          floorY={BENCH_Y}
          x={AT.sample}
          width={labels.bottle.lines.length > 1 ? 84 : 74}
          height={138}
          full={view.sampleLeft}
          lines={labels.bottle.lines[0] === 'sample' ? ['sample', sampleNumber] : labels.bottle.lines}
        />
      )}
      {labels.supplied && <FilledFlasks left={view.sampleLeft} ml={labels.pipetteMl} />}
      <WashBottle />
      {GRASP.filter(([thing]) => thing !== 'sample' || labels.bottle).map(([thing, x, y, width, height]) => (
        <rect
          key={thing}
          {...thingProps(thing, heard(thing, view, labels), hands)}
          // Here a double press would open the tap, or empty a pipette.
          onDoubleClick={undefined}
          x={x}
          y={y}
          width={width}
          height={height}
          rx={6}
          fill="transparent"
          className={`cursor-pointer outline-offset-2 ${hands.selected === thing ? 'stroke-water [stroke-dasharray:5_4]' : ''}`}
          strokeWidth={1.6}
        />
      ))}
      <rect
        data-tap
        x={BURETTE.x - 26}
        y={BURETTE.mark50Y + 24}
        width={52}
        height={48}
        fill="transparent"
        className="cursor-pointer"
        onPointerDown={(event) => {
          event.preventDefault();
          hands.onSelect('burette');
          onTap();
        }}
      >
        <title>Tap: press to open it a degree further; past the stream it closes</title>
      </rect>
    </svg>
  );
}
