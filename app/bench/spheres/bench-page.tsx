import type { OwnAct } from '@core/practicals/spheres/acts';
import { countsOf, GAS_OF, SLOT_IDS, type Plan, type Slot } from '@core/practicals/spheres/plan';
import type { View } from '@core/practicals/spheres/view';
import { Button } from '@app/ui/form';
import { BenchFrame } from '../bench-frame';
import { VerbLine } from '../bench-parts';
import type { BenchPageProps } from '../drawing';
import type { AmountVerb } from '../use-amounts';
import { useHandKeys, useHands } from '../use-hands';
import { heard, thingName, THINGS, type Thing } from './things';
import { Vessel } from './vessel';

type Amount = 'run' | 'jacket';
const AMOUNTS: Record<Amount, AmountVerb<OwnAct>> = {
  run: { verb: 'Let them fly for', unit: 'ps', act: (ps) => ({ kind: 'run', ps }) },
  jacket: { verb: 'Put a jacket around it, of', unit: 'K', act: (kelvin) => ({ kind: 'jacket', kelvin }) },
};

/** The bench of two gases in one vessel: what flies, the counters, the verbs. */
export function BenchPage({ bench, labels, lettersOn, say, closed }: BenchPageProps<View, Plan>) {
  const { view } = bench;
  const trial = view.recordableTrial;
  const record = (): undefined => {
    if (view.run.toPs === view.run.fromPs) return void say('The counters show nothing: let them fly first.');
    const isThere = (slot: Slot) => GAS_OF[slot] === undefined || countsOf(labels, view.of)[GAS_OF[slot]] > 0;
    for (const which of SLOT_IDS.filter(isThere)) bench.act({ kind: 'record', trial, which });
  };
  const openMove: OwnAct = { kind: 'hole', open: !view.isOpen };
  const hands = useHands<Thing, Amount, OwnAct>({
    bench,
    say,
    lettersOn,
    things: THINGS,
    amounts: AMOUNTS,
    texts: { run: '500' },
    nameOf: thingName,
    heard: (thing) => heard(thing, view),
    enterMove: (thing) =>
      thing === 'vessel' ? 'run' : thing === 'jacket' ? 'jacket' : thing === 'hole' ? openMove : record(),
  });
  const { selected, act, amounts } = hands;
  const keys = useHandKeys(hands, {
    r: record,
    f: () => amounts.use('run'),
    j: () => amounts.use('jacket'),
    h: () => act(openMove),
  });
  const isRecorded = view.readings.some((r) => r.trial === trial && r.struck === null);
  const verbs: Record<Thing, React.ReactNode> = {
    vessel: (
      <>
        {amounts.field('run')}
        <Button type="button" look="main" onClick={record}>
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
          <Button key={of} type="button" onClick={() => act({ kind: 'refill', of })}>
            {words}
          </Button>
        ))}
      </>
    ),
    jacket: (
      <>
        {amounts.field('jacket')}
        {view.jacketK !== null && (
          <Button type="button" onClick={() => act({ kind: 'bare' })}>
            Take it off
          </Button>
        )}
      </>
    ),
    hole: (
      <Button type="button" onClick={() => act(openMove)}>
        {view.isOpen ? 'Shut it' : 'Open it'}
      </Button>
    ),
    counters: (
      <Button type="button" look="main" onClick={record}>
        Record all counters, trial {trial}
        {isRecorded ? ' again' : ''}
      </Button>
    ),
  };
  return (
    <BenchFrame
      hands={hands}
      {...keys}
      task={view.task}
      isCarried={false}
      scene={<Vessel view={view} labels={labels} atS={() => bench.moment().atS} hands={hands.scene} />}
      verbs={
        <VerbLine name={thingName(selected)} tall>
          {closed ? null : verbs[selected]}
        </VerbLine>
      }
    />
  );
}
