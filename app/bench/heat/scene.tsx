import { hasBalance, isByEye, type Plan } from '@core/practicals/heat/plan';
import type { SeenPiece, View } from '@core/practicals/heat/view';
import { BalanceDrawing, PAN_MM } from '../balance-sketch';
import { Bath, Block, Cable, Display, PieceDrawing, ThermometerDrawing } from './apparatus';
import { TubeScene } from './tube-sketches';
import { BeforeVessel, BehindVessel } from './burning-scene';
import { Curve, SHEET } from './curve';
import {
  BATH,
  BENCH_Y,
  BLOCK,
  footOf,
  HEIGHT,
  layoutOf,
  outerOf,
  placeOfPiece,
  tipOf,
  tubeAt,
  type Layout,
} from './layout';
import { SceneThing, type DrawThing, type Room, type SceneHands } from '../scene-thing';
import { heard } from './tell';
import type { Thing } from './things';
import { heatVesselOf, SEALED_VESSEL } from '@core/databook/heat-vessels';
import { VesselDrawing } from './vessel';

interface SceneProps {
  view: View;
  labels: Plan;
  hands: SceneHands<Thing>;
}

/** The bench of heat, true to scale: the scene's unit is the millimetre. */
export function Scene({ view, labels, hands }: SceneProps) {
  const at = layoutOf(labels);
  const isGlass = isByEye(labels);
  const displayX = SHEET.width + 28;
  const isShot = labels.metal?.form === 'shot';

  const thing = (name: Thing, room: Room, drawing: React.ReactNode) => (
    <SceneThing key={name} name={name} heard={heard(name, view, labels)} room={room} hands={hands}>
      {drawing}
    </SceneThing>
  );
  const vessel = (key: 'cup' | 'beaker') => {
    const foot = footOf(key, view, at);
    const seen = view.vessels[key];
    const [w, h] = [outerOf(seen.type) + 10, heatVesselOf(seen.type).heightMm];
    return thing(
      key,
      { x: foot.x - w / 2, y: foot.y - h - 8, width: w, height: h + 12 },
      <g transform={`translate(${foot.x} ${foot.y})`}>
        <VesselDrawing
          vessel={seen}
          hasStirrer={seen.stir !== 'off' || (key === 'cup' && view.pan.on !== key)}
          displacedMl={key === 'cup' && view.sealed?.at === 'pail' ? SEALED_VESSEL.displacesMl : 0}
        />
      </g>,
    );
  };
  const piece = (seen: SeenPiece, i: number) => {
    const { x, y } = placeOfPiece(i, view, at);
    const isLying = seen.at === 'cup' && !isShot;
    const [across, high] = isLying ? [seen.size[1], seen.size[0]] : seen.size;
    const [w, h] = [Math.max(across, 16), high];
    const hangs = seen.at === 'tongs' || seen.at === 'bath';
    return thing(
      `piece:${i + 1}`,
      { x: x - w / 2 - 2, y: y - h - 4, width: w + 4, height: h + 6 },
      <g transform={`translate(${x} ${y})`} data-at={seen.at}>
        {hangs && (
          <path
            d={`M0 ${-h} V${seen.at === 'bath' ? -h - 60 : -h - 26}`}
            className="stroke-ink-soft"
            strokeWidth={0.9}
          />
        )}
        {seen.at === 'tongs' && (
          <path d={`M-3 ${-h + 6} L0 ${-h - 26} L3 ${-h + 6}`} className="stroke-ink fill-none" strokeWidth={1.6} />
        )}
        <g transform={isLying ? `rotate(90) translate(${-high / 2} ${seen.size[1] / 2})` : undefined}>
          <PieceDrawing piece={seen} look={view.look} isShot={isShot} />
        </g>
      </g>,
    );
  };
  return (
    <svg
      viewBox={`0 0 ${at.width} ${HEIGHT}`}
      className="h-full w-full"
      preserveAspectRatio="xMidYMax meet"
      data-testid="heat-scene"
    >
      <path d={`M0 ${BENCH_Y + 1} H${at.width}`} className="stroke-line-strong" strokeWidth={1.5} />
      {hasBalance(labels) &&
        thing(
          'balance',
          { x: at.balance - 90, y: BENCH_Y - PAN_MM - 4, width: 180, height: PAN_MM + 8 },
          <g transform={`translate(${at.balance} ${BENCH_Y})`}>
            <BalanceDrawing display={view.balance} />
          </g>,
        )}
      {labels.bath &&
        thing(
          'bath',
          {
            x: at.bath - BATH.width / 2 - 3,
            y: BENCH_Y - BATH.baseMm - BATH.height + 8,
            width: BATH.width + 6,
            height: BATH.baseMm + BATH.height - 4,
          },
          <Bath
            x={at.bath}
            setC={view.bath.setC}
            boils={view.bath.boils}
            word={view.bath.boils ? 'boiling' : view.bath.warms ? 'warming' : ''}
          />,
        )}
      {labels.block &&
        thing(
          'block',
          {
            x: at.block - BLOCK.width / 2 - 3,
            y: BENCH_Y - BLOCK.height - 3,
            width: BLOCK.width + 6,
            height: BLOCK.height + 6,
          },
          <Block view={view} x={at.block} />,
        )}
      {labels.metal &&
        thing(
          'dish',
          { x: at.dish - 60, y: BENCH_Y - 12, width: 120, height: 16 },
          <path
            d={`M${at.dish - 58} ${BENCH_Y - 8} Q${at.dish - 54} ${BENCH_Y} ${at.dish - 44} ${BENCH_Y} H${at.dish + 44} Q${at.dish + 54} ${BENCH_Y} ${at.dish + 58} ${BENCH_Y - 8}`}
            className="stroke-ink fill-paper"
            strokeWidth={1.3}
          />,
        )}
      {labels.salt && <Boat view={view} at={at} thing={thing} />}
      <BehindVessel view={view} labels={labels} at={at} thing={thing} />
      {labels.beaker && vessel('beaker')}
      {!labels.tube && vessel('cup')}
      <TubeScene view={view} at={at} thing={thing} tubeAt={tubeAt(view, at)} />
      <BeforeVessel view={view} labels={labels} at={at} thing={thing} />
      {view.pieces.map(piece)}
      {thing(
        'stand',
        { x: at.stand - 28, y: BENCH_Y - 210, width: 58, height: 214 },
        <path
          d={`M${at.stand - 16} ${BENCH_Y} V${BENCH_Y - 204} M${at.stand - 28} ${BENCH_Y} H${at.stand + 26} M${at.stand - 16} ${BENCH_Y - 148} H${at.stand + 28} M${at.stand - 16} ${BENCH_Y - 60} H${at.stand + 28}`}
          className="stroke-ink fill-none"
          strokeWidth={1.8}
        />,
      )}
      {view.thermometers.map((_, n) => {
        const tip = tipOf(n, view, at);
        const tall = isGlass ? 204 : 132;
        return thing(
          `thermo:${n + 1}`,
          { x: tip.x - 8, y: tip.y - tall, width: 16, height: tall + 6 },
          <>
            <ThermometerDrawing n={n} view={view} labels={labels} at={at} />
            {!isGlass && <Cable from={{ x: tip.x, y: tip.y - 128 }} to={{ x: displayX + 73, y: 62 + 58 * n }} n={n} />}
            {!isGlass && <Display n={n} view={view} x={displayX} y={14 + 58 * n} />}
          </>,
        );
      })}
      {!isGlass &&
        thing(
          'log',
          { x: 6, y: 10, width: SHEET.width + 8, height: SHEET.height + 26 },
          <g transform="translate(10 14)">
            <Curve lines={view.logged} trial={view.series ?? ''} looking={view.looking} />
            <text x={2} y={SHEET.height + 15} fontSize={12} className="fill-ink-soft" data-testid="log-state">
              {view.log === null ? 'logger: off' : `logger: a line every ${view.log} s`}
            </text>
          </g>,
        )}
    </svg>
  );
}

function Boat({ view, at, thing }: { view: View; at: Layout; thing: DrawThing<Thing> }) {
  const isWeighed = view.pan.on === 'boat';
  const [x, y] = isWeighed ? [at.balance, BENCH_Y - PAN_MM] : [at.dish, BENCH_Y];
  const { holds, clings } = view.boat;
  return thing(
    'boat',
    { x: x - 44, y: y - 24, width: 88, height: 28 },
    <g transform={`translate(${x} ${y})`}>
      {holds > 0 && (
        <path
          d={`M-24 -9 Q0 ${-12 - Math.min(holds, 30)} 24 -9 Z`}
          fill="#efece1"
          className="stroke-ink"
          strokeWidth={0.9}
        />
      )}
      {holds === 0 && clings && <path d="M-14 -6 h3 m5 2 h4 m6 -1 h2" className="stroke-ink-soft" strokeWidth={1.6} />}
      <path d="M-38 -13 L-26 0 H26 L38 -13 L30 -9 H-30 Z" className="stroke-ink fill-paper" strokeWidth={1.2} />
    </g>,
  );
}
