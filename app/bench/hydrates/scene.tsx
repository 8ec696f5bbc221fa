import type { Plan } from '@core/practicals/hydrates/plan';
import type { View } from '@core/practicals/hydrates/view';
import { BalanceDrawing, PAN_MM } from '../balance-sketch';
import { BurnerDrawing, CrucibleDrawing, DesiccatorDrawing, LidDrawing, TripodDrawing, Vapour } from './sketches';
import { BENCH_Y, BURNER_MM, CRUCIBLE, footOf, HEIGHT, layoutOf, lidAt, TRIPOD_MM } from './layout';
import { SceneThing, type Room, type SceneHands } from '../scene-thing';
import { heard } from './tell';
import type { Thing } from './things';

interface SceneProps {
  view: View;
  labels: Plan;
  hands: SceneHands<Thing>;
}

/** The bench of hydrates from the side: the scene's unit is the millimetre. */
export function Scene({ view, labels, hands }: SceneProps) {
  const at = layoutOf(labels);
  const { crucible } = view;
  const foot = footOf(view, at);
  const lid = lidAt(view, at);
  const isOnGauze = crucible.at === 'gauze';

  const thing = (name: Thing, room: Room, drawing: React.ReactNode) => (
    <SceneThing key={name} name={name} heard={heard(name, view, labels)} room={room} hands={hands}>
      {drawing}
    </SceneThing>
  );
  const burnerX = view.burner.isUnder ? at.tripod : at.aside;
  const top = BENCH_Y - TRIPOD_MM;

  return (
    <svg
      viewBox={`0 0 ${at.width} ${HEIGHT}`}
      className="h-full w-full"
      preserveAspectRatio="xMidYMax meet"
      data-testid="hydrate-scene"
    >
      <path d={`M0 ${BENCH_Y + 1} H${at.width}`} className="stroke-line-strong" strokeWidth={1.5} />
      {thing(
        'balance',
        { x: at.balance - 90, y: BENCH_Y - PAN_MM - 4, width: 180, height: PAN_MM + 8 },
        <g transform={`translate(${at.balance} ${BENCH_Y})`}>
          <BalanceDrawing display={view.balance} />
        </g>,
      )}
      {thing(
        'mat',
        { x: at.mat - 52, y: BENCH_Y - 10, width: 118, height: 14 },
        <path
          d={`M${at.mat - 50} ${BENCH_Y - 4} H${at.mat + 64} V${BENCH_Y} H${at.mat - 50} Z`}
          className="stroke-ink fill-mist"
          strokeWidth={1.2}
        />,
      )}
      {labels.desiccator &&
        thing(
          'desiccator',
          { x: at.desiccator - 52, y: BENCH_Y - 96, width: 104, height: 98 },
          <g transform={`translate(${at.desiccator} ${BENCH_Y})`}>
            <DesiccatorDrawing />
          </g>,
        )}
      {thing(
        'burner',
        { x: burnerX - 28, y: BENCH_Y - BURNER_MM - 4, width: 74, height: BURNER_MM + 6 },
        <g transform={`translate(${burnerX} ${BENCH_Y})`}>
          <BurnerDrawing view={view} />
        </g>,
      )}
      {thing(
        'triangle',
        { x: at.tripod - 58, y: top - 8, width: 56, height: 24 },
        <g transform={`translate(${at.tripod} ${BENCH_Y})`}>
          <TripodDrawing at={isOnGauze ? 'gauze' : 'triangle'} />
        </g>,
      )}
      {thing(
        'gauze',
        { x: at.tripod + 4, y: top - 8, width: 56, height: 24 },
        isOnGauze ? null : (
          <path
            d={`M${at.tripod + 62} ${BENCH_Y} l-8 -78`}
            className="stroke-ink-soft"
            strokeWidth={2}
            strokeDasharray="3 2"
          />
        ),
      )}
      {thing(
        'crucible',
        {
          x: foot.x - CRUCIBLE.width / 2 - 4,
          y: foot.y - CRUCIBLE.height - 2,
          width: CRUCIBLE.width + 8,
          height: CRUCIBLE.height + 5,
        },
        <g transform={`translate(${foot.x} ${foot.y})`}>
          <CrucibleDrawing seen={crucible} />
          <Vapour seen={crucible} />
        </g>,
      )}
      {thing(
        'lid',
        { x: lid.x - 26, y: lid.y - 13, width: 52, height: 14 },
        <g transform={`translate(${lid.x} ${lid.y})`}>
          <LidDrawing tilt={crucible.lid === 'ajar'} />
        </g>,
      )}
    </svg>
  );
}
