import { useRef } from 'react';
import type { OwnAct } from '@core/practicals/cylinder/acts';
import { volumeOf, type Plan, type Slot } from '@core/practicals/cylinder/plan';
import type { View } from '@core/practicals/cylinder/view';
import { capital } from '@app/ui/capital';
import { BenchFrame } from '../bench-frame';
import { VerbLine } from '../bench-parts';
import type { BenchPageProps } from '../drawing';
import { useHandKeys, useHands } from '../use-hands';
import { Apparatus } from './apparatus';
import { heard, thingName, THINGS, type Thing } from './things';
import { AMOUNTS, Verbs, type Amount } from './verbs';

const MOST_DONE = { cylinder: 'run', piston: 'pin', jacket: 'jacket', valve: 'letIn' } as const;

/** The bench of a gas under a piston: what flies, what holds it, the pen, the counters, the verbs. */
export function BenchPage({ bench, labels, lettersOn, say, closed }: BenchPageProps<View, Plan>) {
  const { view } = bench;
  const there = useRef<readonly Slot[]>([]);
  const trial = view.recordableTrial;
  const record = (): undefined => {
    if (there.current.length === 0) say('The counters show nothing: let them fly first.');
    for (const which of there.current) bench.act({ kind: 'record', trial, which });
  };
  const hands = useHands<Thing, Amount, OwnAct>({
    bench,
    say,
    lettersOn,
    things: THINGS,
    amounts: AMOUNTS,
    texts: { run: '500' },
    nameOf: thingName,
    heard: (thing) => heard(thing, view, labels),
    enterMove: (thing) => (thing === 'counters' ? record() : MOST_DONE[thing]),
  });
  const { selected, amounts } = hands;
  const keys = useHandKeys(hands, {
    r: record,
    f: () => amounts.use('run'),
    v: () => amounts.use('pin'),
    l: () => amounts.use('load'),
    j: () => amounts.use('jacket'),
    i: () => amounts.use('letIn'),
    o: () => amounts.use('letOut'),
    w: () => say(capital(`${heard(selected, view, labels)}. ${view.held} ${view.since}`.trim())),
  });
  return (
    <BenchFrame
      hands={hands}
      {...keys}
      task={view.task}
      underTask={
        <>
          <p data-testid="held">{view.held}</p>
          <p className="text-ink-soft min-h-[1.3em]" data-testid="since">
            {view.since}
          </p>
        </>
      }
      isCarried={false}
      scene={
        <Apparatus
          view={view}
          labels={labels}
          atS={() => bench.moment().atS}
          hands={hands.scene}
          onCounters={(slots) => {
            there.current = slots;
          }}
          onPull={(nm) => !closed && bench.act({ kind: 'pin', nm3: 10 * Math.round(volumeOf(labels, nm) / 10) })}
        />
      }
      verbs={
        <VerbLine name={thingName(selected)} tall>
          {closed ? null : <Verbs view={view} labels={labels} hands={hands} record={record} />}
        </VerbLine>
      }
    />
  );
}
