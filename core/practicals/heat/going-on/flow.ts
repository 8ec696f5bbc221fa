import { byStretches } from '../../time-passes';
import type { Bench } from '../bench';
import { STEP_S } from './rates';
import { Stretch } from './stretch';

export const { advance, broughtUp } = byStretches<Bench>(STEP_S, (bench) => new Stretch(bench));
