import { useRef, useState } from 'react';
import { psAt, roomOf, SLOT_KEYS, SLOTS, type Plan, type Slot } from '@core/practicals/particles/plan';
import type { OwnAct } from '@core/practicals/particles/acts';
import type { View } from '@core/practicals/particles/view';
import { ownReading } from '@core/notebook/readings';
import { Button } from '@app/ui/form';
import { BenchFrame } from '../bench-frame';
import { VerbLine } from '../bench-parts';
import { Lost } from '../flying/lost';
import type { BenchPageProps } from '../drawing';
import type { AmountVerb } from '../use-amounts';
import { useHandKeys, useHands } from '../use-hands';
import { FIRST_SIGHT, type Sight } from './projection';
import { Scene, type Flying } from './scene';
import { heard, thingName, THINGS, type Thing } from './things';
import { shownAt, useMotion } from './use-motion';

type Amount = 'putIn' | 'bring' | 'give' | 'take';
const AMOUNTS: Record<Amount, AmountVerb<OwnAct>> = {
  putIn: { verb: 'Put a particle in, of', unit: 'K', act: (kelvin) => ({ kind: 'putIn', kelvin }) },
  bring: { verb: 'Bring it to', unit: 'K', act: (kelvin) => ({ kind: 'bring', kelvin }) },
  give: { verb: 'Give', unit: 'zJ', act: (zJ) => ({ kind: 'give', zJ }) },
  take: { verb: 'Take', unit: 'zJ', act: (zJ) => ({ kind: 'take', zJ }) },
};

const within = (value: number, most: number) => Math.max(-most, Math.min(most, value));

/** Turning the vessel by hand: dragged, it shows another side. It is no act: nobody's particle is moved by being looked at. */
function useTurning() {
  const [sight, setSight] = useState<Sight>(FIRST_SIGHT);
  const onVesselDown = (event: React.PointerEvent) => {
    const { clientX, clientY, currentTarget, pointerId } = event;
    currentTarget.setPointerCapture(pointerId);
    const move = (to: Event) => {
      if (!(to instanceof PointerEvent)) return;
      setSight({
        turn: within(sight.turn + 0.4 * (to.clientX - clientX), 80),
        tip: within(sight.tip + 0.3 * (to.clientY - clientY), 60),
      });
    };
    const end = () => {
      currentTarget.removeEventListener('pointermove', move);
      currentTarget.removeEventListener('pointerup', end);
      currentTarget.removeEventListener('pointercancel', end);
    };
    currentTarget.addEventListener('pointermove', move);
    currentTarget.addEventListener('pointerup', end);
    currentTarget.addEventListener('pointercancel', end);
  };
  return { sight, setSight, onVesselDown };
}

/** The bench of particles: the vessel that flies on by itself, its gauges, the verbs. */
export function BenchPage({ bench, labels, lettersOn, say, closed }: BenchPageProps<View, Plan>) {
  const { view } = bench;
  const { sight, setSight, onVesselDown } = useTurning();
  const scene = useRef<Flying>(null);
  const clock = useRef<HTMLSpanElement>(null);
  const room = roomOf(labels);
  const isLost = useMotion(
    view.flight,
    room,
    () => bench.moment().atS,
    (shown) => {
      scene.current?.show(shown);
      if (clock.current) clock.current.textContent = shown.ps.toFixed(1);
    },
    `${sight.turn} ${sight.tip}`,
  );

  const trialOf = (slots: readonly Slot[]) =>
    Math.max(...view.slots.filter(({ slot }) => slots.some((one) => one === slot)).map(({ due }) => due));
  const record = (slots: readonly Slot[]): undefined => {
    if (!view.gauges) return void say('The gauges show nothing: the vessel is empty.');
    const trial = trialOf(slots);
    for (const which of slots) bench.act({ kind: 'record', trial, which });
  };
  const isRecorded = (slots: readonly Slot[]) =>
    slots.every((slot) => ownReading(view, trialOf(slots), slot)?.text === view.gauges?.[slot]);
  const recordText = (what: string, slots: readonly Slot[]) =>
    `Record ${what}${isRecorded(slots) ? ' again' : ''}, trial ${trialOf(slots)}`;
  const hands = useHands<Thing, Amount, OwnAct>({
    bench,
    say,
    lettersOn,
    things: THINGS,
    amounts: AMOUNTS,
    texts: { give: '1.00', take: '1.00' },
    nameOf: thingName,
    heard: (thing) => heard(thing, view),
    enterMove: (thing) => (thing === 'vessel' ? (view.flight ? 'bring' : 'putIn') : record([thing])),
  });
  const { selected, amounts } = hands;
  const keys = useHandKeys(hands, {
    r: () => record(SLOT_KEYS),
    g: () => amounts.use('give'),
    t: () => amounts.use('take'),
  });
  return (
    <BenchFrame
      hands={hands}
      {...keys}
      task={view.task}
      isTaskOver
      isCarried={false}
      scene={
        <>
          <Lost isLost={isLost} />
          <Scene
            view={view}
            labels={labels}
            sight={sight}
            shown={view.flight && shownAt(view.flight, view.timeS, room)}
            hands={hands.scene}
            flying={scene}
            onVesselDown={onVesselDown}
          />
          <p className="text-ink-soft absolute top-2 right-3 text-sm" data-keep-clear>
            <span ref={clock} className="font-mono tabular-nums" data-testid="flight-time">
              {psAt(view.timeS).toFixed(1)}
            </span>{' '}
            ps of flight
          </p>
          <label className="text-ink-soft absolute right-3 bottom-2 flex items-center gap-2 text-sm">
            turn the vessel
            <input
              type="range"
              min={-80}
              max={80}
              value={sight.turn}
              onChange={(event) => setSight((now) => ({ ...now, turn: Number(event.target.value) }))}
              className="accent-reed"
            />
          </label>
        </>
      }
      verbs={
        <VerbLine name={thingName(selected)} tall>
          {closed ? null : selected === 'vessel' ? (
            <>
              {(['putIn', ...(view.flight ? (['bring', 'give', 'take'] as const) : [])] as const).map((name) =>
                amounts.field(name),
              )}
              {view.gauges && (
                <Button type="button" onClick={() => record(SLOT_KEYS)}>
                  {recordText('all three', SLOT_KEYS)}
                </Button>
              )}
            </>
          ) : (
            <Button type="button" onClick={() => record([selected])}>
              {recordText(SLOTS[selected].short, [selected])}
            </Button>
          )}
        </VerbLine>
      }
    />
  );
}
