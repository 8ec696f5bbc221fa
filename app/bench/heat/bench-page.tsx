import { useRef, useState } from 'react';
import type { Act } from '@core/practicals/heat/acts';
import { isByEye, type Plan } from '@core/practicals/heat/plan';
import type { View } from '@core/practicals/heat/view';
import { capital } from '@app/ui/capital';
import { CarryLabel } from '../bench-parts';
import type { BenchPageProps } from '../drawings';
import { LoupeFrame } from '../loupe-frame';
import { useAmounts } from '../use-amounts';
import { clockKey, useBenchKeys } from '../use-bench-keys';
import { useCarry } from '../use-carry';
import { Loupe } from './loupe';
import { Scene } from './scene';
import { heard } from './tell';
import { AMOUNT_ACTS, enterMove, fireMove, putMove, type Move } from './moves';
import { isBottle, isThermo, numberIn, thingName, thingsOf, type Thing } from './things';
import { Tray } from './tray';
import { FIRST_AMOUNTS, pourOf, type Amounts } from './verb-props';
import { Verbs } from './verbs';

const STIRS = ['off', 'hand', 'motor'] as const;

/** The bench of heat: the drawing with its logger, the loupe of a glass thermometer, the verbs of what is selected, the tray. */
export function BenchPage({ bench, labels, lettersOn, say, closed }: BenchPageProps<View, Plan>) {
  const { view } = bench;
  const things = thingsOf(labels);
  const [selected, setSelected] = useState<Thing>(labels.tube ? 'tube' : 'cup');
  const [loupe, setLoupe] = useState(true);
  const { amounts, onAmount, amountAct } = useAmounts<Amounts, Act>(FIRST_AMOUNTS, bench.act, say);
  const nameOf = (thing: Thing) => thingName(thing, view, labels);
  const looked = useRef(0);

  const select = (thing: Thing) => {
    setSelected(thing);
    if (!isThermo(thing) || closed) return;
    const n = numberIn(thing);
    if (n - 1 === view.looking || looked.current === n) return;
    looked.current = n;
    bench.act({ kind: 'look', n });
  };
  const toggleLog = () =>
    view.log === null
      ? amountAct('log', 's', (everyS) => ({ kind: 'log', everyS }))
      : bench.act({ kind: 'log', everyS: 0 });
  /** What a move comes to: an act, or an amount that is asked for first. */
  const make = (move: Move) => {
    if (typeof move !== 'string') return bench.act(move);
    if (move === 'log') return toggleLog();
    const { unit, act } = AMOUNT_ACTS[move];
    amountAct(move, unit, act);
  };
  const put = (thing: Thing, to: Thing) => {
    const move = putMove(thing, to, view);
    if (move === null) return say(`${capital(nameOf(thing))} and ${nameOf(to)} have nothing to do with each other.`);
    if (isBottle(thing) && to === 'beaker')
      return amountAct(pourOf(numberIn(thing)), 'mL', (ml) => ({ kind: 'pour', bottle: numberIn(thing), to, ml }));
    make(move);
  };
  const { carry, lift, near } = useCarry<Thing>(select, put);

  const recordTemp = () => {
    const which = view.dueTemp;
    if (labels.tube) return say('Here the logger writes down what the thermometer shows.');
    if (labels.points) return bench.act({ kind: 'recordPoint', trial: view.recordableTrial });
    if (isByEye(labels)) return document.querySelector<HTMLElement>('[data-testid=loupe] input')?.focus();
    bench.act({ kind: 'recordTemp', trial: view.recordableTrial, which });
  };
  const recordMass = () => {
    if (!view.dueMass) return say('Nothing that is recorded here is on the balance.');
    const which = view.dueMass;
    bench.act({ kind: 'recordMass', trial: view.slots.find(({ slot }) => slot === which)?.due ?? view.trial, which });
  };

  const enter = (thing: Thing) => {
    if (isThermo(thing) && view.thermometers[numberIn(thing) - 1]?.at !== 'stand') return recordTemp();
    const move = enterMove(thing, view, labels);
    if (move) make(move);
    else say(capital(`${heard(thing, view, labels)}.`));
  };
  const vesselNow = selected === 'beaker' ? 'beaker' : 'cup';
  const { area, onKeyDown } = useBenchKeys<Thing>({
    things,
    selected,
    onSelect: select,
    enter,
    lettersOn,
    letters: {
      r: () => (selected === 'balance' ? recordMass() : recordTemp()),
      m: recordMass,
      t: () => bench.act({ kind: 'tare' }),
      s: () => {
        if (view.tube) {
          const how = STIRS[(STIRS.indexOf(view.tube.stir) + 1) % STIRS.length] as (typeof STIRS)[number];
          return bench.act({ kind: 'tubeStir', how });
        }
        const now = view.vessels[vesselNow].stir;
        bench.act({
          kind: 'stir',
          vessel: vesselNow,
          how: STIRS[(STIRS.indexOf(now) + 1) % STIRS.length] as (typeof STIRS)[number],
        });
      },
      c: () => bench.act({ kind: 'lid', vessel: vesselNow, on: !view.vessels[vesselNow].lid }),
      g: () => (isByEye(labels) ? say('A glass thermometer cannot be logged.') : toggleLog()),
      i: () => {
        const move = fireMove(view, labels);
        if (move) make(move);
        else say('Nothing is to be lit at this bench.');
      },
      l: () => setLoupe((open) => !open),
      p: () => clockKey(bench, view.running, say),
      w: () => say(capital(`${heard(selected, view, labels)}.`)),
    },
  });

  const dueSlot = view.slots.find(({ slot }) => slot === view.dueTemp);
  return (
    <div ref={area} className="daylight bg-paper text-ink flex h-full min-h-0 flex-col" onKeyDown={onKeyDown}>
      <div
        className="[container-type:size] relative min-h-0 grow touch-none overflow-hidden"
        data-testid="bench"
        onPointerDown={near(lift)}
        onContextMenu={(event) => event.preventDefault()}
      >
        <div className="flex h-full flex-col">
          {view.task && (
            <p
              data-keep-clear
              className="border-line-strong shrink-0 border-b px-3 py-1 font-serif text-sm"
              data-testid="task"
            >
              {view.task}
            </p>
          )}
          <div className="min-h-0 grow">
            <Scene view={view} labels={labels} selected={selected} onSelect={select} lift={lift} onEnter={enter} />
          </div>
        </div>
        {loupe && isByEye(labels) && (
          <LoupeFrame
            name="heat"
            wanted={{ x: 0.2, y: 0.2 }}
            caption={nameOf(`thermo:${view.looking + 1}`)}
            reading={
              closed || !dueSlot
                ? null
                : {
                    slot: dueSlot,
                    trial: dueSlot.due,
                    last: view.recordableTrial,
                    message: bench.message,
                    readings: view.readings,
                    onAct: bench.act,
                  }
            }
            onClose={() => setLoupe(false)}
          >
            <Loupe view={view} unnumbered={false} />
          </LoupeFrame>
        )}
      </div>
      {/* Before the verbs for who goes on by Tab, under them for the eye. */}
      <Tray view={view} labels={labels} selected={selected} onSelect={select} lift={lift} />
      <Verbs
        selected={selected}
        view={view}
        labels={labels}
        amounts={amounts}
        onAmount={onAmount}
        onAct={bench.act}
        onAmountAct={amountAct}
        closed={closed}
      />
      {carry && <CarryLabel carry={carry} nameOf={nameOf} />}
    </div>
  );
}
