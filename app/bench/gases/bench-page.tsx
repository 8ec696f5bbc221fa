import { useState } from 'react';
import type { Act } from '@core/practicals/gases/acts';
import { VOLUME_SLOTS, type Plan } from '@core/practicals/gases/plan';
import type { View } from '@core/practicals/gases/view';
import { ownReading } from '@core/notebook/readings';
import { capital } from '@app/ui/capital';
import { CarryLabel } from '../bench-parts';
import type { BenchPageProps } from '../drawings';
import { LoupeFrame } from '../loupe-frame';
import { useAmounts } from '../use-amounts';
import { clockKey, useBenchKeys } from '../use-bench-keys';
import { useCarry } from '../use-carry';
import { SyringeLoupe } from './loupe';
import { GasTubeLoupe, RulerLoupe } from './tube-loupe';
import { AMOUNT_ACTS, enterMove, nextJoint, putMove, recordMove, shownSlot, type Amounts, type Move } from './moves';
import { Scene } from './scene';
import { heard } from './tell';
import { placeOf, syringeThing, thingName, thingsOf, type Thing } from './things';
import { Tray } from './tray';
import { Verbs } from './verbs';

const LOUPE_AT = {
  syringe: { x: 0.2, y: 0.2 },
  bulb: { x: 0.5, y: 0.2 },
  syringes: { x: 0.86, y: 0.35 },
  injected: { x: 0.8, y: 0.25 },
  collected: { x: 0.8, y: 0.25 },
} as const;

const LOOKED_AT: Partial<Record<Plan['gear'], Thing>> = { syringe: 'plunger', collected: 'gastube' };

const FIRST: Record<Amounts, string> = { plunger: '', heat: '', ice: '', draw: '', inject: '', cut: '', lift: '' };

/** The volume that is read at a syringe: of one into which liquid is injected that before, and once it is there, that after. */
function dueVolume(view: View, { gear }: Plan, looked: number): string | undefined {
  if (gear === 'syringe') return 'vol';
  if (gear !== 'injected' && gear !== 'collected') return VOLUME_SLOTS[looked];
  const due = view.slots.find((one) => one.slot === 'v0')?.due ?? view.trial;
  return ownReading(view, due, 'v0') ? 'v1' : 'v0';
}

/** The bench of gases: the drawing, the loupe at a plunger, the verbs of what is selected, the tray. */
export function BenchPage({ bench, labels, lettersOn, say, onRecordKey, closed }: BenchPageProps<View, Plan>) {
  const { view } = bench;
  const things = thingsOf(labels);
  const [selected, setSelected] = useState<Thing>(labels.gear === 'syringe' ? 'plunger' : (things[0] ?? 'bath'));
  const [loupe, setLoupe] = useState(labels.gear !== 'bulb');
  // The syringe that the loupe stays at while something else is worked with.
  const [looked, setLooked] = useState(0);
  const [looksAtRuler, setLooksAtRuler] = useState(false);
  const { amounts, onAmount, amountAct } = useAmounts<Amounts, Act>(FIRST, bench.act, say);
  const nameOf = (thing: Thing) => thingName(thing, labels);

  /** What a move comes to: an act, or an amount that is asked for first. */
  const make = (move: Move) => {
    if (typeof move !== 'string') return bench.act(move);
    const { unit, act } = AMOUNT_ACTS[move];
    amountAct(move, unit, act);
  };
  const select = (thing: Thing) => {
    setSelected(thing);
    const place = placeOf(thing);
    if (place !== null) setLooked(place);
    if (place !== null || thing === 'ruler') setLooksAtRuler(thing === 'ruler');
  };
  const put = (thing: Thing, to: Thing) => {
    const move = putMove(thing, to);
    if (move === null) return say(`${capital(nameOf(thing))} and ${nameOf(to)} have nothing to do with each other.`);
    make(move);
  };
  const { carry, lift, near } = useCarry<Thing>(select, put);
  const tellOf = (thing: Thing) => say(capital(`${heard(thing, view, labels)}.`));
  const enter = (thing: Thing) => {
    const move = enterMove(thing, view);
    if (move) make(move);
    else tellOf(thing);
  };
  const record = () => {
    if (placeOf(selected) !== null || selected === 'ruler') return onRecordKey();
    const slot = shownSlot(selected, view);
    if (slot) bench.act(recordMove(slot, view));
    else say('There is nothing here that could be recorded.');
  };
  const recordGauge = () => {
    const slot = shownSlot('gauge', view);
    if (slot) bench.act(recordMove(slot, view));
  };
  const hasGauge = view.gauge !== null;
  const { area, onKeyDown } = useBenchKeys<Thing>({
    things,
    selected,
    onSelect: select,
    enter,
    lettersOn,
    letters: {
      r: record,
      ...(hasGauge && { g: recordGauge, o: () => bench.act(nextJoint(view)) }),
      ...(labels.syringes.length > 0 && { t: () => bench.act({ kind: 'turn', n: looked + 1 }) }),
      ...(labels.gear !== 'syringe' && {
        h: () => bench.act({ kind: 'heat', to: Math.min((view.bath?.heat ?? 0) + 0.5, 10) }),
        c: () => bench.act({ kind: 'heat', to: Math.max((view.bath?.heat ?? 0) - 0.5, 0) }),
      }),
      ...(view.tube && {
        b: () => bench.act({ kind: 'weigh', on: view.tube?.strip !== 'pan' }),
        z: () => bench.act({ kind: 'tare' }),
      }),
      ...(view.injector && {
        s: () => bench.act({ kind: 'stopper', on: view.injector?.isStoppered === false }),
        b: () => bench.act({ kind: 'weigh', on: view.injector?.at !== 'pan' }),
        z: () => bench.act({ kind: 'tare' }),
      }),
      l: () =>
        labels.gear === 'bulb'
          ? say('There is no scale here: all is shown by its instrument.')
          : setLoupe((open) => !open),
      p: () => clockKey(bench, view.running, say),
      w: () => tellOf(selected),
    },
  });
  const isRuler = labels.gear === 'collected' && looksAtRuler;
  const slotKey = isRuler ? 'h' : dueVolume(view, labels, looked);
  const slot = view.slots.find((one) => one.slot === slotKey);
  const ml = view.plungers[looked];

  return (
    <div ref={area} className="daylight bg-paper text-ink flex h-full min-h-0 flex-col" onKeyDown={onKeyDown}>
      <div
        className="[container-type:size] relative min-h-0 grow touch-none overflow-hidden"
        data-testid="bench"
        onPointerDown={near(lift)}
        onContextMenu={(event) => event.preventDefault()}
      >
        <Scene view={view} labels={labels} selected={selected} onSelect={select} lift={lift} onEnter={enter} />
        {loupe && ml !== undefined && (
          <LoupeFrame
            name={`gases-${labels.gear}`}
            wanted={LOUPE_AT[labels.gear]}
            caption={nameOf(isRuler ? 'ruler' : (LOOKED_AT[labels.gear] ?? syringeThing(looked)))}
            reading={
              closed || !slot
                ? null
                : {
                    slot,
                    trial: slot.due,
                    last: view.recordableTrial,
                    message: bench.message,
                    readings: view.readings,
                    onAct: bench.act,
                  }
            }
            onClose={() => setLoupe(false)}
          >
            {view.tube === null ? (
              <SyringeLoupe ml={ml} unnumbered={false} />
            ) : isRuler ? (
              <RulerLoupe mm={view.tube.heightMm} unnumbered={false} />
            ) : (
              <GasTubeLoupe ml={ml} unnumbered={false} />
            )}
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
