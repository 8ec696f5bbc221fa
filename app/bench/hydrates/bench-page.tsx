import { useState } from 'react';
import type { Act } from '@core/practicals/hydrates/acts';
import type { Plan } from '@core/practicals/hydrates/plan';
import type { View } from '@core/practicals/hydrates/view';
import { capital } from '@app/ui/capital';
import { CarryLabel } from '../bench-parts';
import type { BenchPageProps } from '../drawings';
import { LoupeFrame } from '../loupe-frame';
import { useAmounts } from '../use-amounts';
import { clockKey, useBenchKeys } from '../use-bench-keys';
import { useCarry } from '../use-carry';
import { Loupe } from './loupe';
import { AMOUNT_ACTS, enterMove, fireMove, nextLid, putMove, type Amounts, type Grip, type Move } from './moves';
import { Scene } from './scene';
import { heard } from './tell';
import { thingName, thingsOf, type Thing } from './things';
import { Tray } from './tray';
import { Verbs } from './verbs';

const FIRST: Record<Amounts, string> = { gas: '', air: '', fill: '' };

/** The bench of hydrates: the drawing, the loupe into the crucible, the verbs of what is selected, the tray. */
export function BenchPage({ bench, labels, lettersOn, say, closed }: BenchPageProps<View, Plan>) {
  const { view } = bench;
  const [selected, setSelected] = useState<Thing>('crucible');
  const [loupe, setLoupe] = useState(true);
  const [grip, setGrip] = useState<Grip>('hand');
  const { amounts, onAmount, amountAct } = useAmounts<Amounts, Act>(FIRST, bench.act, say);
  const nameOf = (thing: Thing) => thingName(thing, view, labels);

  /** What a move comes to: an act, or an amount that is asked for first. */
  const make = (move: Move) => {
    if (typeof move !== 'string') return bench.act(move);
    const { unit, act } = AMOUNT_ACTS[move];
    amountAct(move, unit, act);
  };
  const changeGrip = (next: Grip) => {
    setGrip(next);
    say(next === 'tongs' ? 'The tongs are in your hand.' : 'The tongs lie on the tray.');
  };
  const put = (thing: Thing, to: Thing) => {
    const move = putMove(thing, to, thing === 'tongs' || to === 'tongs' ? 'tongs' : grip);
    if (thing === 'tongs' && to === 'crucible') return changeGrip('tongs');
    if (move === null) return say(`${capital(nameOf(thing))} and ${nameOf(to)} have nothing to do with each other.`);
    make(move);
  };
  const { carry, lift, near } = useCarry<Thing>(setSelected, put);
  const enter = (thing: Thing) => {
    if (thing === 'tongs') return changeGrip(grip === 'tongs' ? 'hand' : 'tongs');
    const move = enterMove(thing, view, grip);
    if (move) make(move);
    else say(capital(`${heard(thing, view, labels)}.`));
  };
  const record = () => {
    if (!view.due) return say('The crucible is not on the balance.');
    bench.act({ kind: 'recordMass', trial: view.recordableTrial, which: view.due });
  };
  const { area, onKeyDown } = useBenchKeys<Thing>({
    things: thingsOf(labels),
    selected,
    onSelect: setSelected,
    enter,
    lettersOn,
    letters: {
      r: record,
      m: record,
      t: () => bench.act({ kind: 'tare' }),
      o: () => bench.act(nextLid(view)),
      i: () => bench.act(fireMove(view)),
      b: () => bench.act({ kind: 'slide', under: !view.burner.isUnder }),
      g: () => changeGrip(grip === 'tongs' ? 'hand' : 'tongs'),
      l: () => setLoupe((open) => !open),
      p: () => clockKey(bench, view.running, say),
      w: () => say(capital(`${heard(selected, view, labels)}.`)),
    },
  });

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
            <Scene view={view} labels={labels} selected={selected} onSelect={setSelected} lift={lift} onEnter={enter} />
          </div>
        </div>
        {loupe && (
          <LoupeFrame
            name="hydrates"
            wanted={{ x: 0.2, y: 0.25 }}
            caption="into the crucible, from above"
            reading={null}
            onClose={() => setLoupe(false)}
          >
            <Loupe view={view} unnumbered={false} />
          </LoupeFrame>
        )}
      </div>
      {/* Before the verbs for who goes on by Tab, under them for the eye. */}
      <Tray
        view={view}
        labels={labels}
        selected={selected}
        isGripped={grip === 'tongs'}
        onSelect={setSelected}
        lift={lift}
      />
      <Verbs
        selected={selected}
        view={view}
        labels={labels}
        amounts={amounts}
        grip={grip}
        onGrip={changeGrip}
        onAmount={onAmount}
        onAct={bench.act}
        onAmountAct={amountAct}
        closed={closed}
      />
      {carry && <CarryLabel carry={carry} nameOf={nameOf} />}
    </div>
  );
}
