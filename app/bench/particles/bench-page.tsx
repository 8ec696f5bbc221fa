import { useRef, useState } from 'react';
import { psAt, roomOf, SLOT_KEYS, SLOTS, type Plan, type Slot } from '@core/practicals/particles/plan';
import type { OwnAct } from '@core/practicals/particles/acts';
import type { View } from '@core/practicals/particles/view';
import { ownReading } from '@core/notebook/readings';
import { capital } from '@app/ui/capital';
import { Button } from '@app/ui/form';
import { VerbLine } from '../bench-parts';
import { Lost } from '../flying/lost';
import type { BenchPageProps } from '../drawings';
import { TypedAmount } from '../typed-amount';
import { useAmounts } from '../use-amounts';
import { clockKey, useBenchKeys } from '../use-bench-keys';
import { FIRST_SIGHT, type Sight } from './projection';
import { Scene, type Flying } from './scene';
import { heard, thingName, THINGS, type Thing } from './things';
import { shownAt, useMotion } from './use-motion';

type Amount = 'putIn' | 'bring' | 'give' | 'take';
const AMOUNTS: Record<Amount, { verb: string; unit: string; act: (value: number) => OwnAct }> = {
  putIn: { verb: 'Put a particle in, of', unit: 'K', act: (kelvin) => ({ kind: 'putIn', kelvin }) },
  bring: { verb: 'Bring it to', unit: 'K', act: (kelvin) => ({ kind: 'bring', kelvin }) },
  give: { verb: 'Give', unit: 'zJ', act: (zJ) => ({ kind: 'give', zJ }) },
  take: { verb: 'Take', unit: 'zJ', act: (zJ) => ({ kind: 'take', zJ }) },
};

const FIRST_AMOUNTS: Record<Amount, string> = { putIn: '', bring: '', give: '1.00', take: '1.00' };

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
  const [selected, setSelected] = useState<Thing>('vessel');
  const { amounts, onAmount, amountAct } = useAmounts<Amount, OwnAct>(FIRST_AMOUNTS, bench.act, say);
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

  const doAmount = (name: Amount) => amountAct(name, AMOUNTS[name].unit, AMOUNTS[name].act);
  const trialOf = (slots: readonly Slot[]) =>
    Math.max(...view.slots.filter(({ slot }) => slots.some((one) => one === slot)).map(({ due }) => due));
  const record = (slots: readonly Slot[]) => {
    if (!view.gauges) return say('The gauges show nothing: the vessel is empty.');
    const trial = trialOf(slots);
    for (const which of slots) bench.act({ kind: 'record', trial, which });
  };
  const isRecorded = (slots: readonly Slot[]) =>
    slots.every((slot) => ownReading(view, trialOf(slots), slot)?.text === view.gauges?.[slot]);
  const recordText = (what: string, slots: readonly Slot[]) =>
    `Record ${what}${isRecorded(slots) ? ' again' : ''}, trial ${trialOf(slots)}`;
  const enter = (thing: Thing) => (thing === 'vessel' ? doAmount(view.flight ? 'bring' : 'putIn') : record([thing]));
  const { area, onKeyDown } = useBenchKeys<Thing>({
    things: THINGS,
    selected,
    onSelect: setSelected,
    enter,
    lettersOn,
    letters: {
      r: () => record(SLOT_KEYS),
      g: () => doAmount('give'),
      t: () => doAmount('take'),
      p: () => clockKey(bench, view.running, say),
      w: () => say(capital(`${heard(selected, view)}.`)),
    },
  });

  const typed = (name: Amount) => (
    <TypedAmount
      key={name}
      verb={AMOUNTS[name].verb}
      unit={AMOUNTS[name].unit}
      text={amounts[name]}
      onText={(text) => onAmount(name, text)}
      onDo={() => doAmount(name)}
    />
  );
  return (
    <div ref={area} className="daylight bg-paper text-ink flex h-full min-h-0 flex-col" onKeyDown={onKeyDown}>
      <div className="relative min-h-0 grow touch-none overflow-hidden" data-testid="bench">
        <Lost isLost={isLost} />
        <Scene
          view={view}
          labels={labels}
          sight={sight}
          shown={view.flight && shownAt(view.flight, view.timeS, room)}
          selected={selected}
          onSelect={setSelected}
          flying={scene}
          onVesselDown={onVesselDown}
        />
        <p
          data-keep-clear
          className="border-line-strong bg-paper absolute top-3 left-3 border px-3 py-1 font-serif"
          data-testid="task"
        >
          {view.task}
        </p>
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
      </div>
      <VerbLine name={thingName(selected)} tall>
        {closed ? null : selected === 'vessel' ? (
          <>
            {(['putIn', ...(view.flight ? (['bring', 'give', 'take'] as const) : [])] as const).map(typed)}
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
    </div>
  );
}
