import type { Act } from '@core/practicals/titration/acts';
import type { Plan } from '@core/practicals/titration/plan';
import type { View } from '@core/practicals/titration/view';
import { parseTyped } from '@core/analysis/quantity';
import { Button, INPUT } from '@app/ui/form';
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

/** Says in a sentence what is wrong with an amount, before anything is sent. */
export function amountOf(text: string, unit: string): { value: number } | { sentence: string } {
  const number = parseTyped(text);
  if (!number)
    return {
      sentence:
        text.trim() === '' ? `Type an amount in ${unit} first.` : `“${text.slice(0, 20)}” is not an amount.`,
    };
  if (number.unit !== '' && number.unit.toLowerCase() !== unit.toLowerCase())
    return { sentence: `This amount is in ${unit}, not “${number.unit.slice(0, 12)}”.` };
  return { value: number.value };
}

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

function Amount({
  name,
  label,
  unit,
  props,
}: {
  name: keyof Amounts;
  label: string;
  unit: string;
  props: VerbsProps;
}) {
  return (
    <span className="flex items-center gap-1">
      <input
        aria-label={label}
        value={props.amounts[name]}
        onChange={(event) => props.onAmount(name, event.target.value)}
        onFocus={(event) => event.target.select()}
        className={`${INPUT} h-8 w-16 text-right font-mono`}
        inputMode="decimal"
        maxLength={24}
      />
      {unit}
    </span>
  );
}

/** One verb of the trade that takes an amount: Enter in the field does it too. */
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
  // prettier-ignore
  return (
    <form
      className="flex items-center gap-1 whitespace-nowrap"
      onSubmit={(event) => {
        event.preventDefault();
        props.onAmountAct(name, unit, act);
      }}
    >
      <Button>{verb}</Button>
      <Amount name={name} label={`${verb}, amount in ${unit}`} unit={unit} props={props} />
      {after}
    </form>
  );
}
