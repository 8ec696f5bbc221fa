import type { Act } from '@core/practicals/titration/acts';
import type { Plan } from '@core/practicals/titration/plan';
import type { View } from '@core/practicals/titration/view';
import { TypedAmount } from '../typed-amount';
import type { Thing } from './things';

/** Amounts as typed, kept while other things are selected. */
export interface Amounts {
  fillTo: string;
  letIn: string;
  water: string;
  drops: string;
  weigh: string;
  logEveryMl: string;
  logEveryS: string;
}

/** A little below the 0 mark: a hand that aims at 0 ends above it half the time, where nothing can be read. */
export const FIRST_AMOUNTS: Amounts = {
  fillTo: '0.50',
  letIn: '1.00',
  water: '10',
  drops: '2',
  weigh: '0.30',
  logEveryMl: '0.50',
  logEveryS: '5',
};

export interface VerbsProps {
  selected: Thing;
  view: View;
  labels: Plan;
  tap: View['tap'];
  amounts: Amounts;
  onAmount: (name: keyof Amounts, text: string) => void;
  /** Does the act; an amount is checked first. */
  onAct: (act: Act) => void;
  onAmountAct: (name: keyof Amounts, unit: string, act: (value: number) => Act) => void;
  onLoupe: () => void;
}

/** A verb whose amount is kept with the others of this bench. */
export function AmountVerb({
  verb,
  after,
  name,
  unit,
  act,
  props,
}: {
  verb: string;
  after?: string;
  name: keyof Amounts;
  unit: string;
  act: (value: number) => Act;
  props: VerbsProps;
}) {
  return (
    <TypedAmount
      verb={verb}
      unit={unit}
      text={props.amounts[name]}
      onText={(text) => props.onAmount(name, text)}
      onDo={() => props.onAmountAct(name, unit, act)}
      after={after}
    />
  );
}
