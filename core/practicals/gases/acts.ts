import { z } from 'zod';
import { actsOn, actTable, type ActOf } from '../act-table';
import type { CommonAct } from '../common-acts';
import { BATH_ACTS } from './bath-acts';
import type { Bench } from './bench';
import { COLLECTED_ACTS, freshOne, weighStrip } from './collected-acts';
import { GAS_ACTS } from './gas-acts';
import { emptied, INJECTOR_ACTS, weigh } from './injector-acts';
import { READING_ACTS } from './reading-acts';

const act = actsOn<Bench>();
/** What is done alike in several gears, each in its own way. */
const OF_GEARS = {
  weigh: act(
    { on: z.boolean() },
    (bench, { on }) => (bench.collected ? weighStrip(bench, on) : weigh(bench, { on })),
    ({ on }) => (on ? 'put it on the balance' : 'took it off the balance'),
  ),
  empty: act({}, (bench) => (bench.collected ? freshOne(bench) : emptied(bench)), 'began with a fresh filling'),
};

const ACTS = { ...GAS_ACTS, ...COLLECTED_ACTS, ...INJECTOR_ACTS, ...BATH_ACTS, ...OF_GEARS, ...READING_ACTS };
export type OwnAct = ActOf<typeof ACTS>;
/** All that can be done at this bench. */
export type Act = OwnAct | CommonAct;
export const OWN_ACTS = actTable<Bench, typeof ACTS>(ACTS);
