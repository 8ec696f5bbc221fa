import { GASES } from '../../../databook/gases';

/** What a gas of the bench is called; air is no entry of its own in the table of gases by molar mass. */
export const gasName = (id: string): string => GASES.find((entry) => entry.id === id)?.name ?? id;
