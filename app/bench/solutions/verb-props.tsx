import type { Plan } from '@core/practicals/solutions/plan';
import type { Act } from '@core/practicals/solutions/acts';
import type { View } from '@core/practicals/solutions/view';
import { Button } from '@app/ui/form';
import type { Amounts, Give, Hand } from './moves';
import type { Thing } from './things';

/** What the verbs of every thing at the bench of solutions are given. */
export interface VerbProps {
  selected: Thing;
  view: View;
  labels: Plan;
  amounts: Record<Amounts, string>;
  hand: Hand;
  onHand: (change: Partial<Hand>) => void;
  onAmount: (name: Amounts, text: string) => void;
  onAct: (act: Act) => void;
  onGive: (give: Give) => void;
}

/** One press for one act. */
export function Verb({ children, act, props }: { children: string; act: Act; props: VerbProps }) {
  return (
    <Button type="button" onClick={() => props.onAct(act)}>
      {children}
    </Button>
  );
}
