import { useRef, useState } from 'react';
import type { Act } from '@core/practicals/heat/acts';
import type { SeenTube } from '@core/practicals/heat/freezing/seen-tube';
import { isByEye, type Plan } from '@core/practicals/heat/plan';
import type { View } from '@core/practicals/heat/view';
import { BenchFrame } from '../bench-frame';
import type { BenchPageProps } from '../drawing';
import { LoupeFrame } from '../loupe-frame';
import { readingOf } from '../reading-box';
import { Tray } from '../tray';
import { useHandKeys, useHands } from '../use-hands';
import { AMOUNTS, pourOf, type Amount } from './amounts';
import { Loupe } from './loupe';
import { TubeLoupe } from './tube-sketches';
import { Scene } from './scene';
import { heard } from './tell';
import { enterMove, fireMove, putMove, type Move } from './moves';
import { isBottle, isThermo, numberIn, onTray, thingName, thingsOf, type Thing } from './things';
import { traySketchOf } from './tray-sketches';
import { Verbs } from './verbs';

const STIRS = ['off', 'hand', 'motor'] as const;

/** The bench of heat: the drawing with its logger, the loupe of a glass thermometer, the verbs of what is selected, the tray. */
export function BenchPage({ bench, labels, lettersOn, say, closed }: BenchPageProps<View, Plan>) {
  const { view } = bench;
  const [loupe, setLoupe] = useState(true);
  const looked = useRef(0);
  const toggleLog = (): Move => (view.log === null ? 'log' : { kind: 'log', everyS: 0 });
  const recordTemp = (): undefined => {
    const which = view.dueTemp;
    if (labels.tube) return void say('Here the logger writes down what the thermometer shows.');
    if (labels.points) return void bench.act({ kind: 'recordPoint', trial: view.recordableTrial });
    if (isByEye(labels)) return void document.querySelector<HTMLElement>('[data-testid=loupe] input')?.focus();
    bench.act({ kind: 'recordTemp', trial: view.recordableTrial, which });
  };
  const recordMass = () => {
    if (!view.dueMass) return say('Nothing that is recorded here is on the balance.');
    const which = view.dueMass;
    bench.act({ kind: 'recordMass', trial: view.slots.find(({ slot }) => slot === which)?.due ?? view.trial, which });
  };

  const hands = useHands<Thing, Amount, Act>({
    bench,
    say,
    lettersOn,
    things: thingsOf(labels),
    first: labels.tube ? 'tube' : 'cup',
    onSelect: (thing) => {
      if (!isThermo(thing) || closed) return;
      const n = numberIn(thing);
      if (n - 1 === view.looking || looked.current === n) return;
      looked.current = n;
      bench.act({ kind: 'look', n });
    },
    amounts: AMOUNTS,
    texts: { log: '5' },
    nameOf: (thing) => thingName(thing, view, labels),
    heard: (thing) => heard(thing, view, labels),
    putMove: (thing, to) => {
      if (!isBottle(thing) || to !== 'beaker') return putMove(thing, to, view);
      const bottle = numberIn(thing);
      return void amounts.use(pourOf(bottle), { act: (ml) => ({ kind: 'pour', bottle, to, ml }) });
    },
    enterMove: (thing) => {
      if (isThermo(thing) && view.thermometers[numberIn(thing) - 1]?.at !== 'stand') return recordTemp();
      return thing === 'log' ? toggleLog() : enterMove(thing, view, labels);
    },
  });
  const { selected, act, amounts, nameOf } = hands;
  const make = (move: Move) => (typeof move === 'string' ? amounts.use(move) : move && act(move));
  const vesselNow = selected === 'beaker' ? 'beaker' : 'cup';
  const keys = useHandKeys(hands, {
    r: () => (selected === 'balance' ? recordMass() : recordTemp()),
    m: recordMass,
    t: () => act({ kind: 'tare' }),
    s: () => {
      if (view.tube) {
        const how = STIRS[(STIRS.indexOf(view.tube.stir) + 1) % STIRS.length] as (typeof STIRS)[number];
        return act({ kind: 'tubeStir', how });
      }
      const now = view.vessels[vesselNow].stir;
      act({
        kind: 'stir',
        vessel: vesselNow,
        how: STIRS[(STIRS.indexOf(now) + 1) % STIRS.length] as (typeof STIRS)[number],
      });
    },
    c: () => act({ kind: 'lid', vessel: vesselNow, on: !view.vessels[vesselNow].lid }),
    g: () => (isByEye(labels) ? say('A glass thermometer cannot be logged.') : make(toggleLog())),
    i: () => {
      const move = fireMove(view, labels);
      if (move) make(move);
      else say('Nothing is to be lit at this bench.');
    },
    l: () => setLoupe((open) => !open),
  });

  const intoTube = (tube: SeenTube) => (
    <LoupeFrame
      name="tube"
      wanted={{ x: 0.82, y: 0.25 }}
      caption="into the test tube"
      reading={null}
      onClose={() => setLoupe(false)}
    >
      <TubeLoupe tube={tube} />
    </LoupeFrame>
  );
  const dueSlot = view.slots.find(({ slot }) => slot === view.dueTemp);
  return (
    <BenchFrame
      hands={hands}
      {...keys}
      task={view.task}
      scene={<Scene view={view} labels={labels} hands={hands.scene} />}
      loupe={
        loupe &&
        isByEye(labels) && (
          <LoupeFrame
            name="heat"
            wanted={{ x: 0.2, y: 0.2 }}
            caption={nameOf(`thermo:${view.looking + 1}`)}
            reading={closed ? null : readingOf(bench, dueSlot)}
            onClose={() => setLoupe(false)}
          >
            <Loupe view={view} unnumbered={false} />
          </LoupeFrame>
        )
      }
      {...(loupe && labels.tube && view.tube && view.tube.levelMm > 0 && { loupe: intoTube(view.tube) })}
      tray={
        <Tray hands={hands} things={onTray(labels)} drawing={traySketchOf} className={() => 'min-w-[66px] shrink-0'} />
      }
      verbs={<Verbs view={view} labels={labels} hands={hands} closed={closed} />}
    />
  );
}
