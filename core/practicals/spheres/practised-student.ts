import { workBy } from '../method';
import { methodOf, type Hands } from './method';

export type { Hands } from './method';

/** How a student works who knows the method; used for tests and golden logs. @param leaks how often they are let leak */
export const compareGases = (hands: Hands, leaks?: number): Promise<void> => workBy(methodOf(leaks), hands);
