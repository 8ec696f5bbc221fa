import { z } from 'zod';
import { short } from '../../analysis/quantity';
import { actsOn } from '../act-table';
import type { Outcome } from '../contract';
import { done, isAmount, refuse } from '../hands';
import { withIce } from './bath';
import type { Bench } from './bench';
import { hasBath } from './plan';
import { advance } from './flow';

/** What is done with the bath. */

const MOST_HEAT = 10;
const LEAST_ICE_G = 20;
const MOST_ICE_G = 600;
const NO_BATH = 'There is no bath at this bench.';

function heat(bench: Bench, { to }: { to: number }): Outcome<Bench> {
  if (!hasBath(bench.plan)) return refuse(NO_BATH);
  if (!isAmount(to, 0, MOST_HEAT)) return refuse(`The hot plate can be set from 0 to ${MOST_HEAT}.`);
  return done(advance({ ...bench, bath: { ...bench.bath, heat: to } }, 1));
}

function ice(bench: Bench, { g }: { g: number }): Outcome<Bench> {
  if (!hasBath(bench.plan)) return refuse(NO_BATH);
  if (!isAmount(g, LEAST_ICE_G, MOST_ICE_G)) return refuse(`Take between ${LEAST_ICE_G} and ${MOST_ICE_G} g of ice.`);
  if (bench.bath.iceG + g > MOST_ICE_G)
    return refuse(`The bath holds ${MOST_ICE_G} g of ice at the most: let some of it melt first.`);
  return done(advance({ ...bench, bath: withIce(bench.bath, g) }, 2));
}

const act = actsOn<Bench>();
export const BATH_ACTS = {
  heat: act({ to: z.number() }, heat, ({ to }) => `set the hot plate to ${short(to)}`),
  ice: act({ g: z.number() }, ice, ({ g }) => `put ${short(g)} g of ice into the bath`),
};
