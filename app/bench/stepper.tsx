import { Button } from '@app/ui/form';

interface StepperProps {
  /** What is made more or less, for who does not see it. */
  of: string;
  value: number;
  most: number;
  by: number;
  /** The word before it. */
  lead?: string;
  onStep: (to: number) => void;
}

/** A knob that is turned by steps: less, what it stands at, more. */
export function Stepper({ of, value, most, by, lead, onStep }: StepperProps) {
  return (
    <span className="flex items-center gap-1">
      {lead}
      <Button type="button" look="quiet" aria-label={`Less ${of}`} onClick={() => onStep(Math.max(value - by, 0))}>
        −
      </Button>
      <span className="font-mono">{value.toFixed(1)}</span>
      <Button type="button" look="quiet" aria-label={`More ${of}`} onClick={() => onStep(Math.min(value + by, most))}>
        +
      </Button>
    </span>
  );
}
