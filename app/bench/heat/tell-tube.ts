import type { View } from '@core/practicals/heat/view';
import { joined } from '../telling';

const TUBE_AT = {
  stand: 'on its stand',
  bath: 'in the hot bath',
  cold: 'in the cold bath',
  pan: 'on the balance',
} as const;
const STIRRED = { off: '', hand: 'stirred by hand', motor: 'stirred by motor' } as const;

/** The test tube in words: where it is, and how much of what is in it is frozen; empty where there is none. */
export function tubeState({ tube }: View): string {
  if (!tube) return '';
  const { at, jacket, stir, levelMm, frozen, lying } = tube;
  const state =
    frozen === 0
      ? 'all of it molten'
      : frozen === 10
        ? 'all of it frozen'
        : `about ${frozen} tenths frozen, from the wall inwards`;
  return joined([
    TUBE_AT[at],
    levelMm === 0 ? 'empty' : state,
    lying && 'something lies undissolved',
    jacket && 'its air jacket on',
    STIRRED[stir],
  ]);
}
