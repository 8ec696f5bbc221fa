import { useState } from 'react';
import { vesselOf } from '@core/databook/vessels';
import type { Act } from '@core/practicals/measuring/acts';
import { MASS_SLOTS, type Plan } from '@core/practicals/measuring/plan';
import { EDGES } from '@core/practicals/measuring/edges';
import type { View } from '@core/practicals/measuring/view';
import type { BenchPageProps } from '../drawings';
import { useAmounts } from '../use-amounts';
import { clockKey, useBenchKeys } from '../use-bench-keys';
import { useEye } from './use-eye';
import { useSpills } from './use-spills';
import { CarryLabel } from '../bench-parts';
import { useCarry } from '../use-carry';
import { LoupeFrame } from '../loupe-frame';
import { dueReading } from './due-reading';
import { Loupe } from './loupe';
import { Scene } from './scene';
import {
  isLot,
  isNew,
  isVessel,
  numberIn,
  vesselsOnBench,
  thingName,
  thingsOf,
  vesselName,
  type Thing,
  inSentence,
  typeIn,
} from './things';
import { capital } from '@app/ui/capital';
import { heard } from './tell';
import { Tray } from './tray';
import { dueTrial, FIRST_AMOUNTS, type Amounts } from './verb-props';
import { Verbs } from './verbs';

const hasScale = (view: View, number: number) => {
  const vessel = view.vessels[number - 1];
  return (
    vessel !== undefined && !vessel.away && (vesselOf(vessel.type).divisionMl !== null || vessel.engraved !== null)
  );
};

/** The bench of measuring: the drawing, the loupe with the eye before it, the verbs of what is selected, the tray. */
export function BenchPage({ bench, labels, lettersOn, say, onRecordKey, closed }: BenchPageProps<View, Plan>) {
  const { view } = bench;
  const things = thingsOf(view, labels);
  const [chosen, setSelected] = useState<Thing>(things[0] ?? 'dropper');
  const selected = things.includes(chosen) ? chosen : (things[0] ?? 'dropper');
  const [loupe, setLoupe] = useState(true);
  const vessels = vesselsOnBench(view);
  const firstEmpty = vessels.find((vessel) => vessel.type !== 'supply')?.number ?? 1;
  const [wanted, setInto] = useState(firstEmpty);
  const [from, setFrom] = useState(1);
  const [lot, setLot] = useState(1);
  const { eye, bring, settle } = useEye(view, bench.waiting, bench.act);
  const own = isVessel(selected) ? numberIn(selected) : null;
  const into =
    vessels.some(({ number }) => number === wanted) && wanted !== own
      ? wanted
      : (vessels.find(({ number, type }) => number !== own && type !== 'supply')?.number ??
        vessels.find(({ number }) => number !== own)?.number ??
        1);

  useSpills(view.spiltMl, say);
  const act = (next: Act) => {
    settle();
    bench.act(next);
  };
  const { amounts, onAmount, amountAct } = useAmounts<keyof Amounts, Act>(FIRST_AMOUNTS, act, say);
  const lookAt = (thing: Thing) => {
    if (!isVessel(thing) || !hasScale(view, numberIn(thing))) return;
    if (view.look.at !== 'vessel' || view.look.n !== numberIn(thing))
      act({ kind: 'look', at: 'vessel', n: numberIn(thing) });
  };
  const put = (thing: Thing, to: Thing) => {
    if (isVessel(thing) && to === 'balance') act({ kind: 'weigh', vessel: numberIn(thing) });
    else if (isVessel(thing) && isVessel(to)) {
      setInto(numberIn(to));
      lookAt(to);
      say(`Tilt it to pour into ${inSentence(to, view)}, or type an amount.`);
    } else if (isVessel(thing) && to === 'tap') {
      setInto(numberIn(thing));
      setSelected('tap');
    } else if (isLot(thing) && to === 'balance')
      amountAct('pieces', 'pieces', (count) => ({ kind: 'weighPieces', lot: numberIn(thing), count }));
    else if (isLot(thing) && isVessel(to))
      amountAct('pieces', 'pieces', (count) => ({
        kind: 'put',
        lot: numberIn(thing),
        count,
        into: numberIn(to),
        how: 'lower',
      }));
    else if ((thing === 'ruler' || thing === 'calliper') && isLot(to)) {
      const dish = view.lots[numberIn(to) - 1];
      const along = dish && EDGES[dish.shape][0];
      if (along) act({ kind: 'measure', lot: numberIn(to), tool: thing, along });
      else say('It has no regular edges that could be measured.');
    } else if (thing === 'sinker' && isVessel(to)) act({ kind: 'sinker', vessel: numberIn(to), on: true });
    else if (thing === 'thermometer') act({ kind: 'look', at: 'thermometer', n: 0 });
    else if (thing === 'wash' && isVessel(to))
      amountAct('squirt', 'mL', (ml) => ({ kind: 'squirt', into: numberIn(to), ml }));
    else if (isNew(thing)) act({ kind: 'take', type: typeIn(thing) });
    else say(capital(`${inSentence(thing, view)} and ${inSentence(to, view)} have nothing to do with each other.`));
  };
  const { carry, lift: carryOf, near } = useCarry<Thing>(setSelected, put);
  const lift = (thing: Thing) => {
    const begin = carryOf(thing);
    return (event: React.PointerEvent) => {
      lookAt(thing);
      begin(event);
    };
  };

  const liftNear = near((thing) => lift(thing));

  const recordMass = () => {
    const slots = labels.slots.filter((slot) => MASS_SLOTS.some((mass) => mass === slot));
    const due = slots.find((slot) => dueTrial(view, slot) === view.trial) ?? slots[0];
    const which = MASS_SLOTS.find((slot) => slot === due);
    if (which) act({ kind: 'recordMass', trial: dueTrial(view, which), which });
  };

  /** Enter does with a thing what is done with it most. */
  const enter = (thing: Thing) => {
    if (isVessel(thing)) {
      if (hasScale(view, numberIn(thing))) act({ kind: 'look', at: 'vessel', n: numberIn(thing) });
      else amountAct('pour', 'mL', (ml) => ({ kind: 'pour', from: numberIn(thing), to: into, ml }));
    } else if (isLot(thing)) put(thing, 'balance');
    else if (thing === 'balance') act({ kind: 'tare' });
    else if (thing === 'tap') {
      const under = vessels.find((vessel) => vessel.tap !== 'off');
      act(under ? { kind: 'tap', into: under.number, opening: 'off' } : { kind: 'tap', into, opening: 'trickle' });
    } else if (isNew(thing)) act({ kind: 'take', type: typeIn(thing) });
    else if (thing === 'thermometer') act({ kind: 'look', at: 'thermometer', n: 0 });
    else if (thing === 'wash') amountAct('squirt', 'mL', (ml) => ({ kind: 'squirt', into, ml }));
    else if (thing === 'sinker') act({ kind: 'sinker', vessel: view.sinkerAt ?? into, on: view.sinkerAt === null });
    else if (thing === 'ruler' || thing === 'calliper')
      put(thing, `lot:${view.held && view.held.lot >= 0 ? view.held.lot + 1 : 1}`);
    else amountAct('drops', 'drops', (drops) => ({ kind: 'drops', from, to: into, drops }));
  };

  const stopFlow = () => {
    for (const vessel of vessels) {
      if (vessel.tilt) act({ kind: 'tilt', from: vessel.number, to: vessel.tilt.to, degrees: 0 });
      if (vessel.tap !== 'off') act({ kind: 'tap', into: vessel.number, opening: 'off' });
    }
  };

  const { area, onKeyDown } = useBenchKeys<Thing>({
    things,
    selected,
    onSelect: setSelected,
    enter,
    lettersOn,
    letters: {
      r: () => (selected === 'balance' ? recordMass() : onRecordKey()),
      p: () => clockKey(bench, view.running, say),
      l: () => setLoupe((open) => !open),
      e: () => act({ kind: 'eye', mm: 0 }),
      t: () => act({ kind: 'tare' }),
      d: () => amountAct('drops', 'drops', (drops) => ({ kind: 'drops', from, to: into, drops })),
      x: stopFlow,
      w: () => say(capital(`${heard(selected, view)}.`)),
    },
  });

  const due = dueReading(view);
  const dueSlot = view.slots.find(({ slot, typed }) => typed && slot === due.slot);
  const isWide = view.look.at === 'tool' && view.held !== null;
  const looked = view.vessels[view.look.n - 1];
  const lookedName =
    view.look.at === 'thermometer'
      ? 'thermometer'
      : isWide
        ? view.held?.along === 'zero'
          ? 'calliper, closed'
          : `${view.held?.tool}: ${view.held?.along} of ${view.lots[view.held?.lot ?? 0]?.letter}`
        : looked
          ? vesselName(looked)
          : '';
  const needsEye = view.look.at === 'vessel' && hasScale(view, view.look.n) && looked?.engraved === null;
  return (
    <div ref={area} className="daylight bg-paper text-ink flex h-full min-h-0 flex-col" onKeyDown={onKeyDown}>
      <div
        className="[container-type:size] relative min-h-0 grow touch-none overflow-hidden"
        data-testid="bench"
        onPointerDown={liftNear}
        onContextMenu={(event) => event.preventDefault()}
      >
        <Scene view={view} labels={labels} selected={selected} onSelect={setSelected} lift={lift} onEnter={enter} />
        {view.task && (
          <p
            data-keep-clear
            className="border-line-strong bg-paper absolute top-3 left-3 border px-3 py-1 font-serif"
            data-testid="task"
          >
            {view.task}
          </p>
        )}
        {loupe && (
          <LoupeFrame
            name="measuring"
            wanted={{ x: isWide ? 0.6 : 0.8, y: 0.2 }}
            isWide={isWide}
            caption={lookedName}
            reading={
              closed || !dueSlot
                ? null
                : {
                    slot: dueSlot,
                    trial: due.trial,
                    last: view.recordableTrial,
                    message: bench.message,
                    readings: view.readings,
                    onAct: (next) => {
                      settle();
                      bench.act(next);
                    },
                  }
            }
            onClose={() => setLoupe(false)}
            aside={
              needsEye && (
                <label className="bg-paper/80 flex w-7 shrink-0 flex-col items-center gap-1 text-xs">
                  eye
                  <input
                    type="range"
                    min={-60}
                    max={60}
                    step={1}
                    value={Math.max(-60, Math.min(60, eye))}
                    aria-label="Height of the eye over the surface, mm"
                    className="accent-reed min-h-0 grow"
                    style={{ writingMode: 'vertical-lr', direction: 'rtl' }}
                    onChange={(event) => bring(Number(event.target.value))}
                  />
                </label>
              )
            }
          >
            <Loupe view={view} appearance={labels.appearance} eyeMm={eye} />
          </LoupeFrame>
        )}
      </div>
      {/* Before the verbs for who goes on by Tab, under them for the eye. */}
      <Tray view={view} labels={labels} selected={selected} onSelect={setSelected} lift={lift} />
      <Verbs
        selected={selected}
        view={view}
        labels={labels}
        into={into}
        onInto={setInto}
        from={from}
        onFrom={setFrom}
        lot={lot}
        onLot={setLot}
        amounts={amounts}
        onAmount={onAmount}
        onAct={act}
        onAmountAct={amountAct}
      />
      {carry && <CarryLabel carry={carry} nameOf={(thing) => thingName(thing, view)} />}
    </div>
  );
}
