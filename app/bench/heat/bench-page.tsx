import { useRef, useState } from 'react';
import type { Act } from '@core/practicals/heat/acts';
import { hasBalance, isByEye, type Plan } from '@core/practicals/heat/plan';
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
import { isBottle, isFresh, isPiece, isThermo, numberIn, thingName, thingsOf, typeIn, type Thing } from './things';
import { Tray } from './tray';
import { FIRST_AMOUNTS, pourOf, type Amounts } from './verb-props';
import { Verbs } from './verbs';

const STIRS = ['off', 'hand', 'motor'] as const;

/** What putting one thing to another does; null where the two have nothing to do with each other. */
function putAct(thing: Thing, to: Thing, view: View): Act | 'pour' | 'scoop' | null {
  const isVessel = to === 'cup' || to === 'beaker';
  if (isBottle(thing)) return isVessel ? 'pour' : null;
  if (thing === 'jar') return to === 'boat' || to === 'cup' ? 'scoop' : null;
  if (thing === 'boat') {
    if (to === 'cup') return { kind: 'tip' };
    if (to === 'balance') return { kind: 'weigh', what: 'boat', piece: 1 };
    return view.pan.on === 'boat' ? { kind: 'offPan' } : null;
  }
  if (isPiece(thing)) {
    const piece = numberIn(thing);
    if (to === 'balance') return { kind: 'weigh', what: 'piece', piece };
    return to === 'bath' || to === 'block' || to === 'cup' || to === 'dish' ? { kind: 'put', piece, to } : null;
  }
  if (isThermo(thing))
    return isVessel || to === 'bath' || to === 'block' || to === 'stand'
      ? { kind: 'thermometer', n: numberIn(thing), at: to }
      : null;
  if (isFresh(thing)) return to === 'cup' ? { kind: 'fresh', type: typeIn(thing) } : null;
  if (thing === 'cup' || thing === 'beaker') {
    if (to === 'balance') return { kind: 'weigh', what: thing, piece: 1 };
    if (thing === 'beaker' && to === 'bath') return { kind: 'seat', at: 'bath' };
    if (isVessel) return { kind: 'tipOver', from: thing, to, ml: 999 };
    if (view.pan.on === thing) return { kind: 'offPan' };
  }
  return null;
}

/** The bench of heat: the drawing with its logger, the loupe of a glass thermometer, the verbs of what is selected, the tray. */
export function BenchPage({ bench, labels, lettersOn, say, closed }: BenchPageProps<View, Plan>) {
  const { view } = bench;
  const things = thingsOf(labels);
  const [selected, setSelected] = useState<Thing>('cup');
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
  const pourInto = (to: 'cup' | 'beaker', bottle: number) =>
    amountAct(pourOf(bottle), 'mL', (ml) => ({ kind: 'pour', bottle, to, ml }));
  const scoop = () => amountAct('scoop', 'g', (g) => ({ kind: 'scoop', g }));
  const put = (thing: Thing, to: Thing) => {
    const act = putAct(thing, to, view);
    if (act === 'scoop') return scoop();
    if (act === 'pour') return pourInto(to === 'beaker' ? 'beaker' : 'cup', numberIn(thing));
    if (act) return bench.act(act);
    say(`${capital(nameOf(thing))} and ${nameOf(to)} have nothing to do with each other.`);
  };
  const { carry, lift, near } = useCarry<Thing>(select, put);

  const recordTemp = () => {
    const which = view.dueTemp;
    if (labels.points) return bench.act({ kind: 'recordPoint', trial: view.recordableTrial });
    if (isByEye(labels)) return document.querySelector<HTMLElement>('[data-testid=loupe] input')?.focus();
    bench.act({ kind: 'recordTemp', trial: view.recordableTrial, which });
  };
  const recordMass = () => {
    if (!view.dueMass) return say('Nothing that is recorded here is on the balance.');
    const which = view.dueMass;
    bench.act({ kind: 'recordMass', trial: view.slots.find(({ slot }) => slot === which)?.due ?? view.trial, which });
  };

  /** Enter does with a thing what is done with it most. */
  const enter = (thing: Thing) => {
    if (isPiece(thing)) {
      const at = view.pieces[numberIn(thing) - 1]?.at;
      const heater = labels.bath ? 'bath' : 'block';
      const to = at === 'bath' || at === 'block' || at === 'tongs' ? 'cup' : at === 'cup' ? 'dish' : heater;
      bench.act({ kind: 'put', piece: numberIn(thing), to });
    } else if (isThermo(thing)) {
      const at = view.thermometers[numberIn(thing) - 1]?.at;
      if (at === 'stand') bench.act({ kind: 'thermometer', n: numberIn(thing), at: 'cup' });
      else recordTemp();
    } else if (isBottle(thing)) pourInto('cup', numberIn(thing));
    else if (isFresh(thing)) bench.act({ kind: 'fresh', type: typeIn(thing) });
    else if (thing === 'bath' || thing === 'block')
      amountAct(thing, '°C', (tempC) => ({ kind: 'warm', what: thing, tempC }));
    else if (thing === 'log') toggleLog();
    else if (thing === 'jar') scoop();
    else if (thing === 'boat') bench.act({ kind: 'tip' });
    else if (thing === 'balance') bench.act({ kind: 'tare' });
    else if ((thing === 'cup' || thing === 'beaker') && hasBalance(labels))
      bench.act(view.pan.on === thing ? { kind: 'offPan' } : { kind: 'weigh', what: thing, piece: 1 });
    else say(capital(`${heard(thing, view, labels)}.`));
  };
  const toggleLog = () =>
    view.log === null
      ? amountAct('log', 's', (everyS) => ({ kind: 'log', everyS }))
      : bench.act({ kind: 'log', everyS: 0 });
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
        const now = view.vessels[vesselNow].stir;
        bench.act({
          kind: 'stir',
          vessel: vesselNow,
          how: STIRS[(STIRS.indexOf(now) + 1) % STIRS.length] as (typeof STIRS)[number],
        });
      },
      c: () => bench.act({ kind: 'lid', vessel: vesselNow, on: !view.vessels[vesselNow].lid }),
      g: () => (isByEye(labels) ? say('A glass thermometer cannot be logged.') : toggleLog()),
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
