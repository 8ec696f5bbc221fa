import type { Plan } from '@core/practicals/gases/plan';
import type { View } from '@core/practicals/gases/view';
import { BalanceDrawing, PAN_MM } from '../balance-sketch';
import { GasTubeDrawing, RulerDrawing } from './tube-sketches';
import { BathWater, Bulb, Coil, InjectorDrawing, JarGlass, NeckGauge, Panel, Pipe, Plate } from './sketches';
import {
  BARREL_MM,
  BORE_MM,
  BULB_BATH,
  bulbAt,
  BULB_NECK_MM,
  BULB_RADIUS_MM,
  GAP_MM,
  JAR,
  BALANCE_X,
  MAT_X,
  NARROW_BATH,
  GAS_TUBE,
  WATER_JAR,
  layoutOf,
  LYING,
  MM_PER_ML,
  NOZZLE_MM,
  PANEL,
  PLATE,
  ROD_MM,
  standingAt,
  WIDE_BATH,
  type Layout,
} from './layout';
import { SyringeDrawing } from './syringe-sketch';
import { SceneThing, type Room, type SceneHands } from '../scene-thing';
import { heard } from './tell';
import { syringeThing, type Thing } from './things';

interface SceneProps {
  view: View;
  labels: Plan;
  hands: SceneHands<Thing>;
}

type Put = (name: Thing, room: Room, drawing: React.ReactNode) => React.ReactNode;

interface Parts {
  view: View;
  labels: Plan;
  at: Layout;
  thing: Put;
}

/** The bench of gases from the side: the scene's unit is the millimetre. */
export function Scene({ view, labels, hands }: SceneProps) {
  const at = layoutOf(labels.gear);
  const thing: Put = (name, room, drawing) => (
    <SceneThing key={name} name={name} heard={heard(name, view, labels)} room={room} hands={hands}>
      {drawing}
    </SceneThing>
  );
  const parts: Parts = { view, labels, at, thing };
  return (
    <svg
      viewBox={`0 0 ${at.width} ${at.height}`}
      className="h-full w-full"
      preserveAspectRatio="xMidYMax meet"
      data-testid="gas-scene"
    >
      <path d={`M0 ${at.benchY + 1} H${at.width}`} className="stroke-line-strong" strokeWidth={1.5} />
      <Board {...parts} />
      {labels.gear === 'syringe' && <Lying {...parts} />}
      {labels.gear === 'bulb' && <BulbBench {...parts} />}
      {(labels.gear === 'syringes' || labels.gear === 'injected') && <Standing {...parts} />}
      {labels.gear === 'injected' && <Weighing {...parts} />}
      {labels.gear === 'collected' && <OverWater {...parts} />}
    </svg>
  );
}

/** Barometer and thermometer of the room, on the wall. */
function Board({ view, labels, at, thing }: Parts) {
  const { x, y } = at.board;
  const instrument = (name: 'barometer' | 'room', word: string, text: string, unit: string, top: number) =>
    thing(
      name,
      { x: x - 3, y: y + top - 3, width: 132, height: PANEL.height + 6 },
      <g transform={`translate(${x + 63} ${y + top + PANEL.height})`}>
        <Panel word={word} text={text} unit={unit} width={126} testid={name} />
      </g>,
    );
  return (
    <>
      {instrument('barometer', 'room, barometer', view.barometer, labels.unit, 0)}
      {labels.gear !== 'collected' && instrument('room', 'room, thermometer', view.room, '°C', PANEL.height + 4)}
    </>
  );
}

/** The syringe that lies, the coil between it and the gauge. */
function Lying({ view, labels, at, thing }: Parts) {
  const { axisY, nozzleX, coilX, gaugeX } = LYING;
  const gap = GAP_MM[view.joint];
  const ml = view.plungers[0] ?? 0;
  const rodEnd = nozzleX + NOZZLE_MM + ml * MM_PER_ML + ROD_MM;
  const half = BORE_MM / 2;
  const tubeEnd = nozzleX - gap;
  const drop = view.joint === 'off' ? 14 : 0;
  return (
    <>
      {thing(
        'gauge',
        { x: gaugeX - PANEL.width / 2 - 3, y: axisY - 56, width: PANEL.width + 6, height: at.benchY - axisY + 58 },
        <g>
          <path
            d={`M${gaugeX} ${axisY - 8} V${at.benchY - 6} M${gaugeX - 34} ${at.benchY} H${gaugeX + 34} L${gaugeX + 26} ${at.benchY - 6} H${gaugeX - 26} Z`}
            className="stroke-ink-soft fill-paper"
            strokeWidth={2}
          />
          <g transform={`translate(${gaugeX} ${axisY - 8})`}>
            <Panel
              word={view.joint === 'off' ? 'gauge, open' : 'gauge'}
              text={view.gauge ?? ''}
              unit={labels.unit}
              testid="gauge"
            />
          </g>
        </g>,
      )}
      {thing(
        'tube',
        { x: coilX - 44, y: axisY - 28, width: nozzleX - coilX + 48, height: 72 },
        <g>
          <Pipe d={`M${gaugeX + PANEL.width / 2} ${axisY - 30} Q${coilX - 44} ${axisY - 30} ${coilX - 28} ${axisY}`} />
          <Pipe
            d={`M${coilX + 29} ${axisY} Q${coilX + 42} ${axisY + drop} ${tubeEnd - 10} ${axisY + drop} H${tubeEnd + 4}`}
          />
          <path
            d={`M${tubeEnd - 8} ${axisY + drop - 6} H${tubeEnd + 6} V${axisY + drop + 6} H${tubeEnd - 8} Z`}
            className="stroke-ink fill-ink-soft"
            strokeWidth={1.1}
            data-testid="tube-end"
          />
          <g transform={`translate(${coilX} ${axisY})`}>
            <Coil />
          </g>
          <path
            d={`M${coilX - 36} ${axisY + 40} V${at.benchY} M${coilX + 36} ${axisY + 40} V${at.benchY}`}
            className="stroke-ink-soft"
            strokeWidth={2}
          />
        </g>,
      )}
      <g className="stroke-ink-soft fill-paper pointer-events-none" strokeWidth={1.6}>
        <path d={`M${nozzleX + 8} ${at.benchY} H572 V${at.benchY - 9} H${nozzleX + 8} Z`} />
        {[nozzleX + NOZZLE_MM + 22, nozzleX + NOZZLE_MM + BARREL_MM - 16].map((x) => (
          <path key={x} d={`M${x - 5} ${at.benchY - 9} V${axisY + half + 2} h10 V${at.benchY - 9}`} />
        ))}
      </g>
      {thing(
        'plunger',
        { x: nozzleX - 2, y: axisY - half - 9, width: rodEnd - nozzleX + 24, height: BORE_MM + 22 },
        <g>
          <g transform={`translate(${nozzleX + NOZZLE_MM} ${axisY}) rotate(90)`}>
            <SyringeDrawing ml={ml} lies />
          </g>
          {/* The clamp that holds the rod, on its rail. */}
          <path
            d={`M${rodEnd - 3} ${axisY - 16} H${rodEnd + 16} V${axisY + 16} H${rodEnd - 3} Z M${rodEnd + 6} ${axisY + 16} V${at.benchY - 9}`}
            className="stroke-ink fill-paper"
            strokeWidth={1.3}
            data-testid="clamp"
          />
        </g>,
      )}
    </>
  );
}

function Thermometer({
  at,
  thing,
  x,
  tip,
  word,
  text,
}: Parts & { x: number; tip: { x: number; y: number }; word: string; text: string }) {
  return thing(
    'thermometer',
    { x: x - PANEL.width / 2 - 3, y: at.benchY - PANEL.height - 5, width: PANEL.width + 6, height: PANEL.height + 8 },
    <g>
      <g transform={`translate(${x} ${at.benchY})`}>
        <Panel word={word} text={text} unit="°C" testid="bath-temperature" />
      </g>
      <path
        d={`M${x} ${at.benchY - PANEL.height} V${tip.y - 148} Q${x} ${tip.y - 164} ${x + 20} ${tip.y - 164} H${tip.x - 20} Q${tip.x} ${tip.y - 164} ${tip.x} ${tip.y - 148} V${tip.y - 96}`}
        className="stroke-ink-soft fill-none"
        strokeWidth={1.2}
      />
      <path d={`M${tip.x} ${tip.y - 100} V${tip.y}`} className="stroke-ink" strokeWidth={3} strokeLinecap="round" />
    </g>,
  );
}

const bathWords = ({ bath }: View) => ({ word: 'bath', text: bath?.shown ?? '' });

function BathThings(
  props: Parts & { x: number; width: number; waterMm: number; rimMm: number; children: React.ReactNode },
) {
  const { view, at, thing, x, width, waterMm, rimMm, children } = props;
  if (!view.bath) return null;
  const foot = at.benchY - PLATE.height;
  return (
    <>
      {thing(
        'plate',
        { x: x - width / 2 - 14, y: foot - 1, width: width + 28, height: PLATE.height + 4 },
        <g transform={`translate(${x} ${at.benchY})`}>
          <Plate heat={view.bath.heat} width={width} />
        </g>,
      )}
      {thing('bath', { x: x - width / 2 - 3, y: foot - rimMm, width: width + 6, height: rimMm }, null)}
      {children}
      <g transform={`translate(${x} ${foot})`} className="pointer-events-none">
        <BathWater bath={view.bath} width={width} waterMm={waterMm} rimMm={rimMm} />
      </g>
    </>
  );
}

/** The bulb with its gauge, in the bath, in the jar or on its stand. */
function BulbBench(props: Parts) {
  const { view, labels, at, thing } = props;
  const foot = at.benchY - PLATE.height;
  const bulb = bulbAt(view.at, at);
  const neck = bulb.y - BULB_RADIUS_MM - BULB_NECK_MM;
  const lifted = { off: 16, loose: 5, home: 0 }[view.joint];
  const air = bulbAt('air', at);
  const things = (
    <>
      {thing(
        'bulb',
        {
          x: bulb.x - BULB_RADIUS_MM - 3,
          y: neck + 12,
          width: 2 * BULB_RADIUS_MM + 6,
          height: 2 * BULB_RADIUS_MM + BULB_NECK_MM - 8,
        },
        <g transform={`translate(${bulb.x} ${bulb.y})`}>
          <Bulb />
        </g>,
      )}
      {thing(
        'tube',
        { x: bulb.x - 14, y: neck - lifted - 20, width: 28, height: 30 },
        <rect x={bulb.x - 14} y={neck - lifted - 20} width={28} height={30} fill="transparent" />,
      )}
      {thing(
        'gauge',
        {
          x: bulb.x - PANEL.width / 2 - 3,
          y: neck - lifted - 18 - PANEL.height - 3,
          width: PANEL.width + 6,
          height: PANEL.height + 5,
        },
        <g transform={`translate(${bulb.x} ${neck - lifted})`}>
          <NeckGauge joint={view.joint} text={view.gauge ?? ''} unit={labels.unit} />
        </g>,
      )}
    </>
  );
  return (
    <>
      <path
        d={`M${air.x} ${at.benchY - 6} V${air.y + BULB_RADIUS_MM + 8} M${air.x - 30} ${air.y + BULB_RADIUS_MM + 2} H${air.x + 30} M${air.x - 34} ${at.benchY} H${air.x + 34} L${air.x + 26} ${at.benchY - 6} H${air.x - 26} Z`}
        className="stroke-ink-soft fill-paper"
        strokeWidth={2}
      />
      {thing(
        'jar',
        { x: JAR.x - JAR.width / 2 - 3, y: at.benchY - JAR.height - 2, width: JAR.width + 6, height: JAR.height + 4 },
        null,
      )}
      <BathThings {...props} {...BULB_BATH}>
        {things}
        <Thermometer {...props} {...bathWords(view)} x={60} tip={{ x: BULB_BATH.x - 58, y: foot - 40 }} />
      </BathThings>
      <g transform={`translate(${JAR.x} ${at.benchY})`} className="pointer-events-none">
        <JarGlass />
      </g>
    </>
  );
}

/** A gas tube upside down in a jar of water, a ruler beside it; the balance, the strip on it or beside it. */
function OverWater(props: Parts) {
  const { view, at, thing } = props;
  if (!view.tube) return null;
  const { topMm, heightMm, fizzes, strip, water } = view.tube;
  const { x, width, waterMm, rimMm } = WATER_JAR;
  const waterY = at.benchY - waterMm;
  const top = waterY - topMm;
  const { bore, length } = GAS_TUBE;
  const ruler = x + 40;
  const isWeighed = strip === 'pan';
  const lies = isWeighed ? { x: BALANCE_X, y: at.benchY - PAN_MM - 3 } : { x: MAT_X, y: at.benchY - 6 };
  return (
    <>
      {thing(
        'ruler',
        { x: ruler - 11, y: waterY - 172, width: 24, height: rimMm + 130 },
        <RulerDrawing x={ruler} zeroY={waterY} />,
      )}
      {thing(
        'gastube',
        { x: x - bore / 2 - 14, y: top - 6, width: bore + 28, height: length + 10 },
        <g transform={`translate(${x} ${top})`}>
          <GasTubeDrawing
            gasMm={topMm - heightMm}
            hangs={strip === 'tube'}
            fizzes={fizzes}
            length={Math.min(length, at.benchY - top - 6)}
          />
        </g>,
      )}
      <g transform={`translate(${x} ${at.benchY})`} className="pointer-events-none">
        <path
          d={`M${-width / 2} ${-waterMm} H${-bore / 2 - 2} M${bore / 2 + 2} ${-waterMm} H${width / 2}`}
          className="stroke-water"
          strokeWidth={1.2}
        />
        <rect x={-width / 2} y={-waterMm} width={width} height={waterMm} fill="rgb(31 111 134 / 0.13)" />
        <path
          d={`M${-width / 2 - 4} ${-rimMm} L${-width / 2} ${-rimMm + 5} V0 H${width / 2} V${-rimMm + 5} L${width / 2 + 4} ${-rimMm}`}
          className="stroke-ink fill-none"
          strokeWidth={1.3}
        />
      </g>
      <Thermometer {...props} word="water" text={water} x={56} tip={{ x: x - width / 2 + 14, y: at.benchY - 60 }} />
      {thing(
        'balance',
        { x: BALANCE_X - 90, y: at.benchY - PAN_MM - 4, width: 180, height: PAN_MM + 8 },
        <g transform={`translate(${BALANCE_X} ${at.benchY})`}>
          <BalanceDrawing display={view.balance ?? ''} />
        </g>,
      )}
      <path
        d={`M${MAT_X - 42} ${at.benchY - 3} H${MAT_X + 42} V${at.benchY} H${MAT_X - 42} Z`}
        className="stroke-ink fill-mist pointer-events-none"
        strokeWidth={1.2}
      />
      {thing(
        'strip',
        strip === 'tube'
          ? { x: x - 9, y: top + length - 40, width: 18, height: 32 }
          : { x: lies.x - 26, y: lies.y - 10, width: 52, height: 14 },
        strip === null || strip === 'tube' ? null : (
          <path
            d={`M${lies.x - 20} ${lies.y} q5 -5 10 0 t10 0 t10 0 t10 0`}
            className="stroke-ink-soft fill-none"
            strokeWidth={3}
          />
        ),
      )}
    </>
  );
}

/** The balance, and the injector on it or beside it. */
function Weighing({ view, at, thing }: Parts) {
  const { injector } = view;
  if (!injector) return null;
  const isOn = injector.at === 'pan';
  const [x, y] = isOn ? [BALANCE_X, at.benchY - PAN_MM - 8] : [MAT_X, at.benchY - 11];
  return (
    <>
      {thing(
        'balance',
        { x: BALANCE_X - 90, y: at.benchY - PAN_MM - 4, width: 180, height: PAN_MM + 8 },
        <g transform={`translate(${BALANCE_X} ${at.benchY})`}>
          <BalanceDrawing display={view.balance ?? ''} />
        </g>,
      )}
      <path
        d={`M${MAT_X - 58} ${at.benchY - 3} H${MAT_X + 58} V${at.benchY} H${MAT_X - 58} Z`}
        className="stroke-ink fill-mist pointer-events-none"
        strokeWidth={1.2}
      />
      {thing(
        'injector',
        { x: x - 56, y: y - 12, width: 112, height: 23 },
        <g transform={`translate(${x} ${y})`}>
          <InjectorDrawing seen={injector} />
        </g>,
      )}
    </>
  );
}

/** Capped syringes in one bath: four, or one. */
function Standing(props: Parts) {
  const { view, labels, at, thing } = props;
  const foot = at.benchY - PLATE.height;
  const bath = labels.gear === 'syringes' ? WIDE_BATH : NARROW_BATH;
  return (
    <BathThings {...props} {...bath}>
      {labels.syringes.map((label, place) => {
        const { x, y } = standingAt(place, labels.syringes.length, at);
        return thing(
          syringeThing(place),
          { x: x - 27, y: y - BARREL_MM - 20, width: 54, height: BARREL_MM + 36 },
          <g transform={`translate(${x} ${y})`}>
            <SyringeDrawing ml={view.plungers[place] ?? 0} {...(labels.gear === 'syringes' && { label })} />
          </g>,
        );
      })}
      <Thermometer {...props} {...bathWords(view)} x={56} tip={{ x: bath.x - bath.width / 2 + 10, y: foot - 50 }} />
    </BathThings>
  );
}
