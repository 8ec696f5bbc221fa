import { withCommonActs } from '../with-common-acts';
import { impacts } from './kinds/impacts';
import { many } from './kinds/many';
import { oneLaw } from './kinds/one-law';
import { cylinder } from './practical';

/** The practicals with particles under a piston. */
export const CYLINDER_PRACTICALS = {
  oneLaw: withCommonActs(cylinder(oneLaw)),
  impacts: withCommonActs(cylinder(impacts)),
  many: withCommonActs(cylinder(many)),
};
