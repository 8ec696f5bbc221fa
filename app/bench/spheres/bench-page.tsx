import { useState } from 'react';
import type { OwnAct } from '@core/practicals/spheres/acts';
import { countsOf, GAS_OF, SLOT_IDS, type Plan, type Slot } from '@core/practicals/spheres/plan';
import type { View } from '@core/practicals/spheres/view';
import { capital } from '@app/ui/capital';
import { Button } from '@app/ui/form';
import { VerbLine } from '../bench-parts';
import type { BenchPageProps } from '../drawings';
import { TypedAmount } from '../typed-amount';
import { useAmounts } from '../use-amounts';
import { clockKey, useBenchKeys } from '../use-bench-keys';
import { heard, thingName, THINGS, type Thing } from './things';
import { Vessel } from './vessel';

type Amount = 'run' | 'jacket';
const AMOUNTS: Record<Amount, { verb: string; unit: string; act: (value: number) => OwnAct }> = {
  run: { verb: 'Let them fly for', unit: 'ps', act: (ps) => ({ kind: 'run', ps }) },
  jacket: { verb: 'Put a jacket around it, of', unit: 'K', act: (kelvin) => ({ kind: 'jacket', kelvin }) },
};

/** The bench of two gases in one vessel: what flies, the counters, the verbs. */
export function BenchPage({ bench, labels, lettersOn, say, closed }: BenchPageProps<View, Plan>) {
  const { view } = bench;
  const [selected, setSelected] = useState<Thing>('vessel');
  const { amounts, onAmount, amountAct } = useAmounts<Amount, OwnAct>({ run: '500', jacket: '' }, bench.act, say);
  const trial = view.recordableTrial;
  const doAmount = (name: Amount) => amountAct(name, AMOUNTS[name].unit, AMOUNTS[name].act);
  const record = (slots: readonly Slot[]) => {
    if (view.run.toPs === view.run.fromPs) return say('The counters show nothing: let them fly first.');
    const isThere = (slot: Slot) => GAS_OF[slot] === undefined || countsOf(labels, view.of)[GAS_OF[slot]] > 0;
    for (const which of slots.filter(isThere)) bench.act({ kind: 'record', trial, which });
  };
  const hole = () => bench.act({ kind: 'hole', open: !view.isOpen });
  const enter = (thing: Thing) => {
    if (thing === 'vessel') doAmount('run');
    else if (thing === 'jacket') doAmount('jacket');
    else if (thing === 'hole') hole();
    else record(SLOT_IDS);
  };
  const { area, onKeyDown } = useBenchKeys<Thing>({
    things: THINGS,
    selected,
    onSelect: setSelected,
    enter,
    lettersOn,
    letters: {
      r: () => record(SLOT_IDS),
      f: () => doAmount('run'),
      j: () => doAmount('jacket'),
      h: hole,
      p: () => clockKey(bench, view.running, say),
      w: () => say(capital(`${heard(selected, view)}.`)),
    },
  });
  const typed = (name: Amount) => (
    <TypedAmount
      verb={AMOUNTS[name].verb}
      unit={AMOUNTS[name].unit}
      text={amounts[name]}
      onText={(text) => onAmount(name, text)}
      onDo={() => doAmount(name)}
    />
  );
  const isRecorded = view.readings.some((r) => r.trial === trial && r.struck === null);
  const verbs: Record<Thing, React.ReactNode> = {
    vessel: (
      <>
        {typed('run')}
        <Button type="button" look="main" onClick={() => record(SLOT_IDS)}>
          Record all counters, trial {trial}
          {isRecorded ? ' again' : ''}
        </Button>
        {(
          [
            ['both', 'Fill it afresh'],
            ['helium', 'With helium alone'],
            ['other', 'With the other alone'],
          ] as const
        ).map(([of, words]) => (
          <Button key={of} type="button" onClick={() => bench.act({ kind: 'refill', of })}>
            {words}
          </Button>
        ))}
      </>
    ),
    jacket: (
      <>
        {typed('jacket')}
        {view.jacketK !== null && (
          <Button type="button" onClick={() => bench.act({ kind: 'bare' })}>
            Take it off
          </Button>
        )}
      </>
    ),
    hole: (
      <Button type="button" onClick={hole}>
        {view.isOpen ? 'Shut it' : 'Open it'}
      </Button>
    ),
    counters: (
      <Button type="button" look="main" onClick={() => record(SLOT_IDS)}>
        Record all counters, trial {trial}
        {isRecorded ? ' again' : ''}
      </Button>
    ),
  };
  return (
    <div ref={area} className="daylight bg-paper text-ink flex h-full min-h-0 flex-col" onKeyDown={onKeyDown}>
      <div className="flex min-h-0 grow flex-col overflow-hidden" data-testid="bench">
        <p className="border-line-strong shrink-0 border-b px-3 py-1 font-serif text-sm" data-testid="task">
          {view.task}
        </p>
        <div className="min-h-0 grow overflow-y-auto">
          <Vessel
            view={view}
            labels={labels}
            atS={() => bench.moment().atS}
            selected={selected}
            onSelect={setSelected}
          />
        </div>
      </div>
      <VerbLine name={thingName(selected)} tall>
        {closed ? null : verbs[selected]}
      </VerbLine>
    </div>
  );
}
