interface ChoiceStripProps<T extends string> {
  /** What the choice is about, for who does not see it. */
  label: string;
  /** The word before it. */
  lead: string;
  /** Null where it is in none of them. */
  chosen: T | null;
  choices: readonly { value: T; text: string; label: string }[];
  onChoose: (value: T) => void;
}

/** One of a few states, each a press away: a tap's opening, a probe's place. */
export function ChoiceStrip<T extends string>({ label, lead, chosen, choices, onChoose }: ChoiceStripProps<T>) {
  return (
    <span role="group" aria-label={label} className="flex items-center gap-1">
      {lead}
      {choices.map((choice) => (
        <button
          key={choice.value}
          type="button"
          aria-pressed={chosen === choice.value}
          aria-label={choice.label}
          onClick={() => onChoose(choice.value)}
          className={`h-8 border-b-[3px] px-[6px] text-sm whitespace-nowrap ${chosen === choice.value ? 'border-water font-semibold' : 'border-line'}`}
        >
          {choice.text}
        </button>
      ))}
    </span>
  );
}
