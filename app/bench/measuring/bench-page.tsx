import { useState } from 'react';
import { vesselOf } from '@core/databook/vessels';
import type { Act } from '@core/practicals/measuring/acts';
import { MASS_SLOTS, type Plan } from '@core/practicals/measuring/plan';
import { EDGES } from '@core/practicals/measuring/edges';
import type { View } from '@core/practicals/measuring/view';
import type { BenchPageProps } from '../drawing';
import { readingOf } from '../reading-box';
import { Tray } from '../tray';
import type { AnyAct } from '../use-bench';
import { useHandKeys, useHands, type Move } from '../use-hands';
import { useEye } from './use-eye';
import { useSpills } from './use-spills';
import { BenchFrame } from '../bench-frame';
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
  hasScale,
  isEyeNeeded,
} from './things';
import { heard } from './tell';
import { traySketchOf } from './tray-sketches';
import { amountsFor, dueTrial, FIRST_TEXTS, type Amount } from './verb-props';
import { Verbs } from './verbs';

/** The bench of measuring: the drawing, the loupe with the eye before it, the verbs of what is selected, the tray. */
export function BenchPage({ bench, labels, lettersOn, say, onRecordKey, closed }: BenchPageProps<View, Plan>) {
  const { view } = bench;
  const things = thingsOf(view, labels);
  const [loupe, setLoupe] = useState(true);
  const vessels = vesselsOnBench(view);
  const firstEmpty = vessels.find((vessel) => vessel.type !== 'supply')?.number ?? 1;
  const [wanted, setInto] = useState(firstEmpty);
  const [from, setFrom] = useState(1);
  const [lot, setLot] = useState(1);
  const [own, setOwn] = useState<number | null>(null);
  const { eye, bring, settle } = useEye(view, bench.waiting, bench.act);
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
  const lookAt = (thing: Thing) => {
    if (!isVessel(thing) || !hasScale(view, numberIn(thing))) return;
    if (view.look.at !== 'vessel' || view.look.n !== numberIn(thing))
      act({ kind: 'look', at: 'vessel', n: numberIn(thing) });
  };
  const putMove = (thing: Thing, to: Thing): Move<Amount, Act> => {
    const count = (make: (count: number) => Act) => void amounts.use('pieces', { act: make });
    if (isVessel(thing) && to === 'balance') return { kind: 'weigh', vessel: numberIn(thing) };
    if (isVessel(thing) && isVessel(to)) {
      setInto(numberIn(to));
      lookAt(to);
      return void say(`Tilt it to pour into ${inSentence(to, view)}, or type an amount.`);
    }
    if (isVessel(thing) && to === 'tap') {
      setInto(numberIn(thing));
      return void hands.select('tap');
    }
    if (isLot(thing) && to === 'balance')
      return count((count) => ({ kind: 'weighPieces', lot: numberIn(thing), count }));
    if (isLot(thing) && isVessel(to))
      return count((count) => ({ kind: 'put', lot: numberIn(thing), count, into: numberIn(to), how: 'lower' }));
    if ((thing === 'ruler' || thing === 'calliper') && isLot(to)) {
      const dish = view.lots[numberIn(to) - 1];
      const along = dish && EDGES[dish.shape][0];
      if (along) return { kind: 'measure', lot: numberIn(to), tool: thing, along };
      return void say('It has no regular edges that could be measured.');
    }
    if (thing === 'sinker' && isVessel(to)) return { kind: 'sinker', vessel: numberIn(to), on: true };
    if (thing === 'thermometer') return { kind: 'look', at: 'thermometer', n: 0 };
    if (thing === 'wash' && isVessel(to))
      return void amounts.use('squirt', { act: (ml) => ({ kind: 'squirt', into: numberIn(to), ml }) });
    return isNew(thing) ? { kind: 'take', type: typeIn(thing) } : null;
  };

  /** Enter does with a thing what is done with it most. */
  const enterMove = (thing: Thing): Move<Amount, Act> => {
    if (isVessel(thing)) {
      if (hasScale(view, numberIn(thing))) return { kind: 'look', at: 'vessel', n: numberIn(thing) };
      return 'pour';
    }
    if (isLot(thing)) return putMove(thing, 'balance');
    if (isNew(thing)) return { kind: 'take', type: typeIn(thing) };
    const under = vessels.find((vessel) => vessel.tap !== 'off');
    switch (thing) {
      case 'balance':
        return { kind: 'tare' };
      case 'tap':
        return under ? { kind: 'tap', into: under.number, opening: 'off' } : { kind: 'tap', into, opening: 'trickle' };
      case 'thermometer':
        return { kind: 'look', at: 'thermometer', n: 0 };
      case 'wash':
        return 'squirt';
      case 'sinker':
        return { kind: 'sinker', vessel: view.sinkerAt ?? into, on: view.sinkerAt === null };
      case 'ruler':
      case 'calliper':
        return putMove(thing, `lot:${view.held && view.held.lot >= 0 ? view.held.lot + 1 : 1}`);
      default:
        return 'drops';
    }
  };

  const hands = useHands<Thing, Amount, Act>({
    bench,
    say,
    lettersOn,
    things,
    first: things[0] ?? 'dropper',
    onSelect: (thing) => setOwn(isVessel(thing) ? numberIn(thing) : null),
    onGrasp: lookAt,
    act,
    amounts: amountsFor({ from, into, lot }, own ?? from),
    texts: FIRST_TEXTS,
    nameOf: (thing) => thingName(thing, view),
    heard: (thing) => heard(thing, view),
    putMove,
    enterMove,
  });
  const { selected, amounts } = hands;

  const recordMass = () => {
    const slots = labels.slots.filter((slot) => MASS_SLOTS.some((mass) => mass === slot));
    const due = slots.find((slot) => dueTrial(view, slot) === view.trial) ?? slots[0];
    const which = MASS_SLOTS.find((slot) => slot === due);
    if (which) act({ kind: 'recordMass', trial: dueTrial(view, which), which });
  };

  const stopFlow = () => {
    for (const vessel of vessels) {
      if (vessel.tilt) act({ kind: 'tilt', from: vessel.number, to: vessel.tilt.to, degrees: 0 });
      if (vessel.tap !== 'off') act({ kind: 'tap', into: vessel.number, opening: 'off' });
    }
  };

  const keys = useHandKeys(hands, {
    r: () => (selected === 'balance' ? recordMass() : onRecordKey()),
    l: () => setLoupe((open) => !open),
    e: () => act({ kind: 'eye', mm: 0 }),
    t: () => act({ kind: 'tare' }),
    d: () => amounts.use('drops'),
    x: stopFlow,
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
  const needsEye = isEyeNeeded(view);
  const settled = (next: AnyAct) => {
    settle();
    bench.act(next);
  };
  return (
    <BenchFrame
      hands={hands}
      {...keys}
      task={view.task}
      isTaskOver
      scene={<Scene view={view} labels={labels} hands={hands.scene} />}
      loupe={
        loupe && (
          <LoupeFrame
            name="measuring"
            wanted={{ x: isWide ? 0.6 : 0.8, y: 0.2 }}
            isWide={isWide}
            caption={lookedName}
            reading={closed ? null : readingOf({ ...bench, act: settled }, dueSlot, due.trial)}
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
        )
      }
      tray={
        <Tray
          hands={hands}
          things={things.filter((thing) => !/^(vessel:|lot:|tap$|balance$)/.test(thing))}
          className={(thing) => `shrink-0 ${isNew(thing) ? 'w-[66px]' : 'min-w-[56px]'}`}
          drawing={traySketchOf}
          name={(thing) =>
            isNew(thing)
              ? vesselOf(typeIn(thing)).name.replace('measuring ', '')
              : thing === 'sinker' && view.sinkerAt !== null
                ? `sinker, in vessel ${view.sinkerAt}`
                : thingName(thing, view)
          }
        />
      }
      verbs={
        <Verbs
          view={view}
          labels={labels}
          into={into}
          onInto={setInto}
          from={from}
          onFrom={setFrom}
          lot={lot}
          onLot={setLot}
          hands={hands}
        />
      }
    />
  );
}
