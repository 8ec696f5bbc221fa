import { useId } from 'react';
import type { Dipped } from '@core/practicals/solutions/bench';
import { bottleMl, type Plan } from '@core/practicals/solutions/plan';
import { MOST } from '@core/practicals/solutions/vessels';
import type { View } from '@core/practicals/solutions/view';
import { BeakerDrawing, BottleDrawing, PanelDrawing, TubeDrawing, WellDrawing } from './sketches';
import {
  BEAKER,
  BOTTLE,
  INSTRUMENT,
  layoutOf,
  placeOf,
  sheetPlace,
  TUBE,
  WELL,
  type Layout,
  type Point,
} from './layout';
import { BalanceDrawing } from '../balance-sketch';
import {
  BoatDrawing,
  DesiccatorDrawing,
  FunnelDrawing,
  HotPlateDrawing,
  JarDrawing,
  OvenDrawing,
  PaperDrawing,
} from './station-sketches';
import { FUNNEL_MM, type StationLayout } from './station-layout';
import { SceneThing, type Room, type SceneHands } from '../scene-thing';
import { heard } from './tell';
import { stationsOf, instruments, sheetThing, vesselName, vesselThing, type Station, type Thing } from './things';

interface SceneProps {
  view: View;
  labels: Plan;
  hands: SceneHands<Thing>;
}

const ROOMS: Record<View['vessels'][number]['type'], Room> = {
  bottle: { x: -BOTTLE.width / 2 - 3, y: -BOTTLE.height - 9, width: BOTTLE.width + 6, height: BOTTLE.height + 11 },
  water: { x: -BOTTLE.width / 2 - 3, y: -BOTTLE.height - 9, width: BOTTLE.width + 6, height: BOTTLE.height + 11 },
  well: { x: -WELL.radius - 2, y: -WELL.radius - 2, width: 2 * WELL.radius + 4, height: 2 * WELL.radius + 4 },
  tube: { x: -TUBE.pitch / 2 + 0.5, y: -TUBE.height - 3, width: TUBE.pitch - 1, height: TUBE.height + 18 },
  beaker: { x: -BEAKER.inner / 2 - 5, y: -BEAKER.height - 4, width: BEAKER.inner + 10, height: BEAKER.height + 6 },
};

const STATION_ROOMS: Record<Station, Room> = {
  balance: { x: -90, y: -52, width: 180, height: 54 },
  funnel: { x: -32, y: -FUNNEL_MM - 50, width: 84, height: 68 },
  hotPlate: { x: -91, y: -28, width: 182, height: 30 },
  oven: { x: -51, y: -79, width: 102, height: 81 },
  desiccator: { x: -50, y: -79, width: 100, height: 81 },
  jar: { x: -25, y: -59, width: 50, height: 61 },
  boat: { x: -26, y: -20, width: 52, height: 24 },
};

/** The middle of a thing's foot. */
function stationPlace(station: Station, { boat }: View, at: Layout): Point {
  const all = at.station as StationLayout;
  const x = all[station];
  if (station === 'boat') return boat?.at === 'pan' ? { x: all.balance, y: at.rackY - 62 } : { x, y: at.rackY };
  return { x, y: station === 'oven' || station === 'desiccator' || station === 'jar' ? at.shelfY : at.rackY };
}

/** The bench of solutions: the scene's unit is the millimetre. */
export function Scene({ view, labels, hands }: SceneProps) {
  const at = layoutOf(labels);
  const id = useId();
  const thing = (name: Thing, x: number, y: number, room: Room, drawing: React.ReactNode) => (
    <SceneThing key={name} name={name} heard={heard(name, view)} room={room} hands={hands} at={{ x, y }}>
      {drawing}
    </SceneThing>
  );

  const vessel = (number: number) => {
    const seen = view.vessels[number - 1] as View['vessels'][number];
    const moving = view.moves[number];
    const { x, y } = placeOf(view, number, at);
    const name = vesselName(view, number);
    const key = `${id}-${number}`;
    const drawing = {
      bottle: (
        <BottleDrawing
          seen={seen}
          name={name.slice(-1)}
          isWater={false}
          isLarge={labels.measures}
          fullMl={bottleMl(labels)}
        />
      ),
      water: <BottleDrawing seen={seen} name="" isWater isLarge={labels.measures} fullMl={500} />,
      well: <WellDrawing seen={seen} moving={moving} />,
      tube: <TubeDrawing seen={seen} moving={moving} name={key} />,
      beaker: <BeakerDrawing seen={seen} moving={moving} name={name.replace('beaker ', '')} />,
    }[seen.type];
    return thing(vesselThing(number), x, y, ROOMS[seen.type], drawing);
  };

  const dipped = (tool: Dipped) => {
    const into = view.into[tool];
    if (into === null) return null;
    const { x, y } = placeOf(view, into, at);
    const type = view.vessels[into - 1]?.type ?? 'tube';
    const top = type === 'tube' ? -TUBE.height - 14 : type === 'beaker' ? -BEAKER.height - 24 : -BOTTLE.height - 8;
    const dx = { thermometer: -3, probe: 3, cell: 0 }[tool];
    const isThin = tool === 'thermometer';
    return (
      <g key={tool} transform={`translate(${x + dx} ${y})`} pointerEvents="none" aria-hidden>
        <path d={`M0 ${top} V-8`} className={isThin ? 'stroke-rust' : 'stroke-ink'} strokeWidth={isThin ? 1.6 : 3} />
        {tool === 'cell' ? (
          <path d="M-3 -16 H3 V-6 H-3 Z" className="fill-paper stroke-ink" strokeWidth={1.2} />
        ) : (
          <circle cy={-8} r={isThin ? 1.8 : 2.4} className={isThin ? 'fill-rust' : 'fill-ink'} />
        )}
      </g>
    );
  };

  const stations = stationsOf(labels);
  const stationDrawing = (name: Station): React.ReactNode =>
    ({
      balance: <BalanceDrawing display={view.grams ?? ''} />,
      funnel: <FunnelDrawing />,
      hotPlate: <HotPlateDrawing />,
      oven: <OvenDrawing view={view} />,
      desiccator: <DesiccatorDrawing />,
      jar: <JarDrawing />,
      boat: <BoatDrawing holds={view.boat?.holds ?? 'empty'} />,
    })[name];
  const stationThing = (name: Station) => {
    const { x, y } = stationPlace(name, view, at);
    return thing(name, x, y, STATION_ROOMS[name], stationDrawing(name));
  };
  const sheet = (number: number) => {
    const { x, y } = sheetPlace(view, number, at);
    const seen = view.papers[number - 1] as View['papers'][number];
    const isFolded = seen.at === 'funnel';
    const room = isFolded ? { x: -26, y: -24, width: 52, height: 48 } : { x: -19, y: -14, width: 38, height: 32 };
    return thing(sheetThing(number), x, y, room, <PaperDrawing seen={seen} number={number} />);
  };
  const standing = view.vessels.flatMap(({ isAway }, i) => (isAway ? [] : [i + 1]));
  const rackWidth = MOST.tube * TUBE.pitch + 14;
  const slips = view.slips.filter(({ left }) => left !== null).length;
  const SHOWN = {
    thermometer: {
      title: 'thermometer',
      shown: view.shows.thermometer ?? '–',
      unit: view.shows.thermometer ? '°C' : '',
    },
    probe: { title: 'pH meter', shown: view.shows.probe ?? '–', unit: '' },
    cell: { title: 'conductivity, mS/cm', shown: view.shows.cell ?? '–', unit: '' },
    colorimeter: { title: `colorimeter, ${view.colorimeter?.nm ?? ''} nm`, shown: view.absorbance ?? '–', unit: '' },
    analysis: { title: 'slips: there / in all', shown: `${slips} / ${view.slips.length}`, unit: '' },
  };

  return (
    <svg
      viewBox={`0 0 ${at.width} ${at.height}`}
      className="h-full w-full"
      preserveAspectRatio="xMidYMax meet"
      data-testid="solutions-scene"
    >
      <path
        d={`M0 ${at.shelfY + 1} H${at.width} M0 ${at.rackY + 9} H${at.width}`}
        className="stroke-line-strong"
        strokeWidth={1.5}
      />
      {at.frontY !== null && (
        <path d={`M0 ${at.frontY + 1} H${at.width}`} className="stroke-line-strong" strokeWidth={1.5} />
      )}
      {at.plate && <rect {...at.plate} rx={4} className="stroke-ink" fill="#fdfdfb" strokeWidth={1.3} />}
      {labels.vessels.includes('tube') && (
        <g aria-hidden>
          <path
            d={`M${at.rackX} ${at.rackY - 84} H${at.rackX + rackWidth} v6 H${at.rackX} Z M${at.rackX} ${at.rackY - 6} H${at.rackX + rackWidth} v14 H${at.rackX} Z M${at.rackX + 2} ${at.rackY - 78} V${at.rackY - 6} M${at.rackX + rackWidth - 2} ${at.rackY - 78} V${at.rackY - 6}`}
            className="stroke-ink-soft fill-mist"
            strokeWidth={1}
          />
          {Array.from({ length: MOST.tube }, (_, i) => (
            <circle
              key={i}
              cx={at.rackX + 7 + TUBE.pitch * (i + 0.5)}
              cy={at.rackY - 81}
              r={1.2}
              className="fill-line-strong"
            />
          ))}
        </g>
      )}
      {stations.map(stationThing)}
      {standing.map(vessel)}
      {view.papers.map(({ at: where }, i) => where !== 'away' && sheet(i + 1))}
      {standing
        .filter((number) => view.vessels[number - 1]?.type === 'tube')
        .map((number) => {
          const { x } = placeOf(view, number, at);
          const label = view.vessels[number - 1]?.label ?? '';
          return (
            <text
              key={number}
              x={x}
              y={at.rackY + 4.5}
              textAnchor="middle"
              fontSize={label === '' ? 7.5 : 6.4}
              className={label === '' ? 'fill-ink-soft' : 'fill-heather'}
              pointerEvents="none"
              aria-hidden
            >
              {label === '' ? vesselName(view, number).replace('tube ', '') : label.slice(0, 7)}
            </text>
          );
        })}
      {dipped('thermometer')}
      {dipped('probe')}
      {dipped('cell')}
      {at.frontY !== null &&
        instruments(labels).map((name, i) =>
          thing(
            name,
            at.instrumentsX + INSTRUMENT.pitch * i,
            (at.frontY as number) - 2,
            { x: -2, y: -50, width: INSTRUMENT.pitch, height: 53 },
            <PanelDrawing {...SHOWN[name as keyof typeof SHOWN]} />,
          ),
        )}
    </svg>
  );
}
