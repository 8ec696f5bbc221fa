import type { ComponentType, FunctionComponent } from 'react';
import { NO_HANDS } from './scene-thing';

/** A bench that stands still: its scene, in which nothing runs and nothing can be taken. */
export function still<View extends { running: boolean }, Labels>(
  Scene: ComponentType<{ view: View; labels: Labels; hands: typeof NO_HANDS }>,
): FunctionComponent<{ view: View; labels: Labels }> {
  return function Still({ view, labels }) {
    return <Scene view={{ ...view, running: false }} labels={labels} hands={NO_HANDS} />;
  };
}
