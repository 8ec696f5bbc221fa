import type { OwnAct } from '@core/practicals/cylinder/acts';
import type { Plan } from '@core/practicals/cylinder/plan';
import type { View } from '@core/practicals/cylinder/view';
import { Button } from '@app/ui/form';
import { TypedAmount } from '../typed-amount';
import type { Thing } from './things';

export type Amount = 'run' | 'pin' | 'load' | 'jacket' | 'heat' | 'cool' | 'letIn' | 'letOut';
export const AMOUNTS: Record<Amount, { verb: string; unit: string; act: (value: number) => OwnAct }> = {
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
  thing: Thing;
  view: View;
  labels: Plan;
  amounts: Readonly<Record<Amount, string>>;
  onAmount: (name: Amount, text: string) => void;
  doAmount: (name: Amount) => void;
  act: (act: OwnAct) => void;
  record: () => void;
}

/** What can be done with what is selected. */
export function Verbs({ thing, view, labels, amounts, onAmount, doAmount, act, record }: VerbsProps) {
  const typed = (name: Amount) => (
    <TypedAmount
      key={name}
      verb={name === 'load' && view.fitted.pinNm === null ? 'Load it with' : AMOUNTS[name].verb}
      unit={AMOUNTS[name].unit}
      text={amounts[name]}
      onText={(text) => onAmount(name, text)}
      onDo={() => doAmount(name)}
    />
  );
  const trial = view.recordableTrial;
  const isRecorded = view.readings.some((r) => r.trial === trial && r.struck === null);
  const recording = (
    <Button type="button" look="main" onClick={record}>
      Record all counters, trial {trial}
      {isRecorded ? ' again' : ''}
    </Button>
  );
  const push = (does: OwnAct, words: string) => (
    <Button type="button" onClick={() => act(does)}>
      {words}
    </Button>
  );
  switch (thing) {
    case 'cylinder':
      return (
        <>
          {typed('run')}
          {labels.gear === 'impacts' && push({ kind: 'next' }, 'To the next impact on the piston')}
          {recording}
          {push({ kind: 'refill' }, 'Fill it afresh')}
        </>
      );
    case 'piston':
      return (
        <>
          {typed('pin')}
          {typed('load')}
        </>
      );
    case 'jacket':
      return (
        <>
          {typed('jacket')}
          {view.fitted.jacketK === null ? (
            <>
              {typed('heat')}
              {typed('cool')}
            </>
          ) : (
            push({ kind: 'bare' }, 'Take it off')
          )}
        </>
      );
    case 'valve':
      return (
        <>
          {typed('letIn')}
          {typed('letOut')}
        </>
      );
    case 'counters':
      return recording;
  }
}
