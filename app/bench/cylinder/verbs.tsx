import type { OwnAct } from '@core/practicals/cylinder/acts';
import type { Plan } from '@core/practicals/cylinder/plan';
import type { View } from '@core/practicals/cylinder/view';
import { Button } from '@app/ui/form';
import type { AmountVerb } from '../use-amounts';
import type { Hands } from '../use-hands';
import type { Thing } from './things';

export type Amount = 'run' | 'pin' | 'load' | 'jacket' | 'heat' | 'cool' | 'letIn' | 'letOut';
export const AMOUNTS: Record<Amount, AmountVerb<OwnAct>> = {
  run: { verb: 'Let them fly for', unit: 'ps', act: (ps) => ({ kind: 'run', ps }) },
  pin: { verb: 'Pin it at', unit: 'nm³', act: (nm3) => ({ kind: 'pin', nm3 }) },
  load: { verb: 'Take the pin out, with a load of', unit: 'kPa', act: (kPa) => ({ kind: 'load', kPa }) },
  jacket: { verb: 'Put a jacket around it, of', unit: 'K', act: (kelvin) => ({ kind: 'jacket', kelvin }) },
  heat: { verb: 'Give them', unit: 'zJ', act: (zJ) => ({ kind: 'heat', zJ }) },
  cool: { verb: 'Take from them', unit: 'zJ', act: (zJ) => ({ kind: 'cool', zJ }) },
  letIn: { verb: 'Let in', unit: 'particles', act: (count) => ({ kind: 'letIn', count }) },
  letOut: { verb: 'Let out', unit: 'particles', act: (count) => ({ kind: 'letOut', count }) },
};

interface VerbsProps {
  view: View;
  labels: Plan;
  hands: Hands<Thing, Amount, OwnAct>;
  record: () => void;
}

/** What can be done with what is selected. */
export function Verbs({ view, labels, hands, record }: VerbsProps) {
  const { field } = hands.amounts;
  const trial = view.recordableTrial;
  const isRecorded = view.readings.some((r) => r.trial === trial && r.struck === null);
  const recording = (
    <Button type="button" look="main" onClick={record}>
      Record all counters, trial {trial}
      {isRecorded ? ' again' : ''}
    </Button>
  );
  const push = (does: OwnAct, words: string) => (
    <Button type="button" onClick={() => hands.act(does)}>
      {words}
    </Button>
  );
  switch (hands.selected) {
    case 'cylinder':
      return (
        <>
          {field('run')}
          {labels.gear === 'impacts' && push({ kind: 'next' }, 'To the next impact on the piston')}
          {recording}
          {push({ kind: 'refill' }, 'Fill it afresh')}
        </>
      );
    case 'piston':
      return (
        <>
          {field('pin')}
          {field('load', view.fitted.pinNm === null ? { verb: 'Load it with' } : {})}
        </>
      );
    case 'jacket':
      return (
        <>
          {field('jacket')}
          {view.fitted.jacketK === null ? (
            <>
              {field('heat')}
              {field('cool')}
            </>
          ) : (
            push({ kind: 'bare' }, 'Take it off')
          )}
        </>
      );
    case 'valve':
      return (
        <>
          {field('letIn')}
          {field('letOut')}
        </>
      );
    case 'counters':
      return recording;
  }
}
