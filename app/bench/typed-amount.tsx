import { parseTyped } from '@core/analysis/quantity';
import { isUnit } from '@core/instruments/unit-spellings';
import { useState } from 'react';
import { Button, INPUT } from '@app/ui/form';
import { SELECTS_ON_ENTERING } from '@app/ui/selects-on-entering';
import { WORDS_ID } from './use-refused';

/** Of a knob that is marked "of 10" no unit is asked for. */
const isKnob = (unit: string) => unit.startsWith('of ');

/** Says in a sentence what is wrong with an amount, before anything is sent. */
export function amountOf(text: string, unit: string): { value: number } | { sentence: string } {
  const number = parseTyped(text);
  if (!number) {
    const wanted = isKnob(unit) ? unit.replace('of', 'Type a number up to') : `Type an amount in ${unit}`;
    return { sentence: text.trim() === '' ? `${wanted} first.` : `“${text.slice(0, 20)}” is not an amount.` };
  }
  if (number.unit !== '' && !isUnit(number.unit, unit)) {
    const wanted = isKnob(unit) ? 'a number without a unit' : `in ${unit}`;
    return { sentence: `This amount is ${wanted}, not “${number.unit.slice(0, 12)}”.` };
  }
  return { value: number.value };
}

interface TypedAmountProps {
  verb: string;
  unit: string;
  text: string;
  onText: (text: string) => void;
  onDo: () => void;
  /** Its button was clicked twice in a moment, and did it once. */
  onTwice?: () => void;
  after?: React.ReactNode;
}

/** One verb of the trade that takes an amount: Enter in the field does it too. */
export function TypedAmount({ verb, unit, text, onText, onDo, onTwice, after }: TypedAmountProps) {
  const [tried, setTried] = useState<string | null>(null);
  const isWrong = tried === text && 'sentence' in amountOf(text, unit);
  return (
    <form
      className="flex items-center gap-1 whitespace-nowrap"
      onSubmit={(event) => {
        event.preventDefault();
        setTried(text);
        onDo();
      }}
    >
      <Button
        onClick={(event) => {
          // The second click of a double one: a third is meant.
          if (event.detail !== 2) return;
          event.preventDefault();
          onTwice?.();
        }}
      >
        {verb}
      </Button>
      <input
        aria-label={`${verb}, amount ${isKnob(unit) ? unit : `in ${unit}`}`}
        aria-invalid={isWrong || undefined}
        aria-describedby={isWrong ? WORDS_ID : undefined}
        value={text}
        onChange={(event) => onText(event.target.value)}
        {...SELECTS_ON_ENTERING}
        className={`${INPUT} h-8 w-16 text-right font-mono`}
        inputMode="decimal"
        maxLength={24}
      />
      {unit}
      {after}
    </form>
  );
}
