import type { Plan } from '@core/practicals/solutions/plan';
import type { Act } from '@core/practicals/solutions/acts';
import type { View } from '@core/practicals/solutions/view';
import { Button } from '@app/ui/form';
import type { Hands } from '../use-hands';
import type { Amount, Hand } from './moves';
import type { Thing } from './things';

/** What the verbs of every thing at the bench of solutions are given. */
export interface VerbProps {
  view: View;
  labels: Plan;
  hands: Hands<Thing, Amount, Act>;
  hand: Hand;
  onHand: (change: Partial<Hand>) => void;
}

/** One press for one act. */
export function Verb({ children, act, props }: { children: string; act: Act; props: VerbProps }) {
  return (
    <Button type="button" onClick={() => props.hands.act(act)}>
      {children}
    </Button>
  );
}
