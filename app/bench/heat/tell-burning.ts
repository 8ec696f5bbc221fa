import type { SeenSealed } from '@core/practicals/heat/burning/seen-fire';
import type { View } from '@core/practicals/heat/view';
import { joined, near } from '../telling';
import { isLamp, numberIn, type Thing } from './things';

/** What burns and what it burns in, in words. */

const WIRES = {
  none: 'no wire in it',
  straight: 'a wire between its posts',
  touching: 'its wire touching the pellet',
  burnt: 'ends of a wire that burnt',
} as const;

const sealedState = ({ at, isOpen, gaugeBar, wire, wireText, pellet, soot, isFlooded }: SeenSealed) =>
  joined([
    at === 'pail' ? 'in the pail' : 'on its stand',
    isOpen ? 'open' : 'closed',
    !isOpen && (gaugeBar > 0 ? `${gaugeBar} bar on its gauge` : 'no pressure in it'),
    isOpen && WIRES[wire],
    wireText !== null && `${wireText} cm by the rule`,
    pellet?.at === 'vessel' && `a pellet of the ${pellet.of} in it`,
    soot && 'soot in it',
    isFlooded && 'wet inside',
  ]);

const PELLET_AT = { dish: 'on its dish', pan: 'on the balance', vessel: 'in the vessel' } as const;
const LAMP_AT = { mat: 'on its mat', can: 'under the can', pan: 'on the balance' } as const;
const FLAMES = { capped: 'its cap on', open: 'its cap off', lit: 'burning' } as const;

const BURNING: readonly Thing[] = ['sealed', 'pellet', 'press', 'oxygen', 'switch', 'wire', 'hanger', 'mat'];
export const isBurning = (thing: Thing): boolean => BURNING.includes(thing) || isLamp(thing);

/** What one of these holds and shows; empty where there is nothing to say. */
export function burningState(thing: Thing, { sealed, fire }: View): string {
  if (isLamp(thing)) {
    const lamp = fire?.lamps[numberIn(thing) - 1];
    return lamp
      ? joined([
          LAMP_AT[lamp.at],
          lamp.flame ? `burning with a ${lamp.flame} flame` : FLAMES[lamp.state],
          lamp.levelMl > 0 ? `about ${near(lamp.levelMl, 10)} mL of fuel` : 'no fuel in it',
        ])
      : '';
  }
  if (thing === 'sealed') return sealed ? sealedState(sealed) : '';
  if (thing === 'pellet') return sealed ? (sealed.pellet ? PELLET_AT[sealed.pellet.at] : 'empty') : '';
  if (thing === 'hanger')
    return fire ? joined([`${fire.gapMm} mm over the wick`, fire.screen && 'a screen around the flame']) : '';
  return '';
}
