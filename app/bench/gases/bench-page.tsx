import { useState } from 'react';
import type { Act } from '@core/practicals/gases/acts';
import { VOLUME_SLOTS, type Plan } from '@core/practicals/gases/plan';
import type { View } from '@core/practicals/gases/view';
import { ownReading } from '@core/notebook/readings';
import { BenchFrame } from '../bench-frame';
import type { BenchPageProps } from '../drawing';
import { LoupeFrame } from '../loupe-frame';
import { readingOf } from '../reading-box';
import { Tray, TraySketch } from '../tray';
import { useHandKeys, useHands } from '../use-hands';
import { SyringeLoupe } from './loupe';
import { GasTubeLoupe, RulerLoupe } from './tube-loupe';
import { AMOUNTS, enterMove, nextJoint, putMove, recordMove, shownSlot, type Amount } from './moves';
import { Scene } from './scene';
import { heard } from './tell';
import { onTray, placeOf, syringeThing, thingName, thingsOf, type Thing } from './things';
import { Verbs } from './verbs';

const LOUPE_AT = {
  syringe: { x: 0.2, y: 0.2 },
  bulb: { x: 0.5, y: 0.2 },
  syringes: { x: 0.86, y: 0.35 },
  injected: { x: 0.8, y: 0.25 },
  collected: { x: 0.8, y: 0.25 },
} as const;

const LOOKED_AT: Partial<Record<Plan['gear'], Thing>> = { syringe: 'plunger', collected: 'gastube' };

const SKETCHES: Partial<Record<Thing, string>> = {
  ice: 'M2 22 L7 44 H33 L38 22 Z M8 22 l3 -9 l9 3 l-3 6 M20 22 l2 -10 l9 2 l1 8 M13 13 l5 -6 l6 3 l-2 4',
  roll: 'M20 4 a16 16 0 1 0 0.1 0 M20 12 a8 8 0 1 0 0.1 0 M36 20 V40 h4',
  fresh: 'M14 44 V8 Q14 2 20 2 Q26 2 26 8 V44 M14 30 H26 M14 12 h4 M14 18 h4 M14 24 h4',
  bottle: 'M14 4 H26 V10 Q33 13 33 20 V44 H7 V20 Q7 13 14 10 Z M7 30 H33 M13 4 V1 H27 V4',
};

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
  const [loupe, setLoupe] = useState(labels.gear !== 'bulb');
  // The syringe that the loupe stays at while something else is worked with.
  const [looked, setLooked] = useState(0);
  const [looksAtRuler, setLooksAtRuler] = useState(false);
  const hands = useHands<Thing, Amount, Act>({
    bench,
    say,
    lettersOn,
    things,
    first: labels.gear === 'syringe' ? 'plunger' : (things[0] ?? 'bath'),
    onSelect: (thing) => {
      const place = placeOf(thing);
      if (place !== null) setLooked(place);
      if (place !== null || thing === 'ruler') setLooksAtRuler(thing === 'ruler');
    },
    amounts: AMOUNTS,
    nameOf: (thing) => thingName(thing, labels),
    heard: (thing) => heard(thing, view, labels),
    putMove,
    enterMove: (thing) => enterMove(thing, view),
  });
  const { selected, act, nameOf } = hands;
  const record = () => {
    if (placeOf(selected) !== null || selected === 'ruler') return onRecordKey();
    const slot = shownSlot(selected, view);
    if (slot) act(recordMove(slot, view));
    else say('There is nothing here that could be recorded.');
  };
  const recordGauge = () => {
    const slot = shownSlot('gauge', view);
    if (slot) act(recordMove(slot, view));
  };
  const hasGauge = view.gauge !== null;
  const keys = useHandKeys(hands, {
    r: record,
    ...(hasGauge && { g: recordGauge, o: () => act(nextJoint(view)) }),
    ...(labels.syringes.length > 0 && { t: () => act({ kind: 'turn', n: looked + 1 }) }),
    ...(labels.gear !== 'syringe' && {
      h: () => act({ kind: 'heat', to: Math.min((view.bath?.heat ?? 0) + 0.5, 10) }),
      c: () => act({ kind: 'heat', to: Math.max((view.bath?.heat ?? 0) - 0.5, 0) }),
    }),
    ...(view.tube && {
      b: () => act({ kind: 'weigh', on: view.tube?.strip !== 'pan' }),
      z: () => act({ kind: 'tare' }),
    }),
    ...(view.injector && {
      s: () => act({ kind: 'stopper', on: view.injector?.isStoppered === false }),
      b: () => act({ kind: 'weigh', on: view.injector?.at !== 'pan' }),
      z: () => act({ kind: 'tare' }),
    }),
    l: () =>
      labels.gear === 'bulb'
        ? say('There is no scale here: all is shown by its instrument.')
        : setLoupe((open) => !open),
  });
  const isRuler = labels.gear === 'collected' && looksAtRuler;
  const slotKey = isRuler ? 'h' : dueVolume(view, labels, looked);
  const slot = view.slots.find((one) => one.slot === slotKey);
  const ml = view.plungers[looked];

  return (
    <BenchFrame
      hands={hands}
      {...keys}
      task={null}
      scene={<Scene view={view} labels={labels} hands={hands.scene} />}
      loupe={
        loupe &&
        ml !== undefined && (
          <LoupeFrame
            name={`gases-${labels.gear}`}
            wanted={LOUPE_AT[labels.gear]}
            caption={nameOf(isRuler ? 'ruler' : (LOOKED_AT[labels.gear] ?? syringeThing(looked)))}
            reading={closed ? null : readingOf(bench, slot)}
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
        )
      }
      tray={<Tray hands={hands} things={onTray(labels)} drawing={(thing) => <TraySketch d={SKETCHES[thing]} />} />}
      verbs={<Verbs view={view} labels={labels} hands={hands} closed={closed} />}
    />
  );
}
