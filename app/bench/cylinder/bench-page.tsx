import { useRef, useState } from 'react';
import type { OwnAct } from '@core/practicals/cylinder/acts';
import { volumeOf, type Plan, type Slot } from '@core/practicals/cylinder/plan';
import type { View } from '@core/practicals/cylinder/view';
import { capital } from '@app/ui/capital';
import { VerbLine } from '../bench-parts';
import type { BenchPageProps } from '../drawings';
import { useAmounts } from '../use-amounts';
import { clockKey, useBenchKeys } from '../use-bench-keys';
import { Apparatus } from './apparatus';
import { heard, thingName, THINGS, type Thing } from './things';
import { AMOUNTS, Verbs, type Amount } from './verbs';

/** The bench of a gas under a piston: what flies, what holds it, the pen, the counters, the verbs. */
export function BenchPage({ bench, labels, lettersOn, say, closed }: BenchPageProps<View, Plan>) {
  const { view } = bench;
  const [selected, setSelected] = useState<Thing>('cylinder');
  const { amounts, onAmount, amountAct } = useAmounts<Amount, OwnAct>(
    { run: '500', pin: '', load: '', jacket: '', heat: '', cool: '', letIn: '', letOut: '' },
    bench.act,
    say,
  );
  const there = useRef<readonly Slot[]>([]);
  const trial = view.recordableTrial;
  const doAmount = (name: Amount) => amountAct(name, AMOUNTS[name].unit, AMOUNTS[name].act);
  const record = () => {
    if (there.current.length === 0) return say('The counters show nothing: let them fly first.');
    for (const which of there.current) bench.act({ kind: 'record', trial, which });
  };
  const enter = (thing: Thing) => {
    if (thing === 'cylinder') doAmount('run');
    else if (thing === 'piston') doAmount('pin');
    else if (thing === 'jacket') doAmount('jacket');
    else if (thing === 'valve') doAmount('letIn');
    else record();
  };
  const { area, onKeyDown } = useBenchKeys<Thing>({
    things: THINGS,
    selected,
    onSelect: setSelected,
    enter,
    lettersOn,
    letters: {
      r: record,
      f: () => doAmount('run'),
      v: () => doAmount('pin'),
      l: () => doAmount('load'),
      j: () => doAmount('jacket'),
      i: () => doAmount('letIn'),
      o: () => doAmount('letOut'),
      p: () => clockKey(bench, view.running, say),
      w: () => say(capital(`${heard(selected, view, labels)}. ${view.held} ${view.since}`.trim())),
    },
  });
  return (
    <div ref={area} className="daylight bg-paper text-ink flex h-full min-h-0 flex-col" onKeyDown={onKeyDown}>
      <div className="flex min-h-0 grow flex-col overflow-hidden" data-testid="bench">
        <div className="border-line-strong shrink-0 border-b px-3 py-1 text-sm">
          <p className="font-serif" data-testid="task">
            {view.task}
          </p>
          <p data-testid="held">{view.held}</p>
          <p className="text-ink-soft min-h-[1.3em]" data-testid="since">
            {view.since}
          </p>
        </div>
        <div className="min-h-0 grow overflow-y-auto">
          <Apparatus
            view={view}
            labels={labels}
            atS={() => bench.moment().atS}
            selected={selected}
            onSelect={setSelected}
            onCounters={(slots) => {
              there.current = slots;
            }}
            onPull={(nm) => !closed && bench.act({ kind: 'pin', nm3: 10 * Math.round(volumeOf(labels, nm) / 10) })}
          />
        </div>
      </div>
      <VerbLine name={thingName(selected)} tall>
        {closed ? null : (
          <Verbs
            thing={selected}
            view={view}
            labels={labels}
            amounts={amounts}
            onAmount={onAmount}
            doAmount={doAmount}
            act={bench.act}
            record={record}
          />
        )}
      </VerbLine>
    </div>
  );
}
