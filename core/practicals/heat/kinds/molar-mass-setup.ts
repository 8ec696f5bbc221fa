import { z } from 'zod';
import { DISSOLVING, DISSOLVING_IDS, FREEZING_IDS, freezingOf } from '../../../databook/freezing';
import { bands, hypothesisFirst } from '../../settings-parts';
import { isReady, tubeLosses, twoThermometers } from './freezing-parts';
import { digital, readability } from './settings';

/** What the teacher sets of a molar mass by freezing. */

const intoOf = (solvent: string) => (freezingOf(solvent).kind === 'water' ? 'water' : 'organic');

export const setupSchema = z
  .object({
    solvent: z.enum(FREEZING_IDS).default('dichlorobenzene').meta({ label: 'Solvent' }),
    solutes: z
      .array(z.enum(DISSOLVING_IDS))
      .min(2, 'Choose at least two solutes: with one there is nothing to be named.')
      .default(['naphthalene', 'biphenyl', 'benzophenone', 'benzil', 'triphenylmethane', 'docosane'])
      .meta({ label: 'Solutes', help: 'Each student is given one of these; they are the names that are offered. An acid goes in pairs where nothing else bonds it, and a salt comes apart in water: then one depression alone tells too large or too small a molar mass.' }),
    second: z.enum(['none', ...FREEZING_IDS]).default('none').meta({ label: 'Second solvent on the tray', options: { none: 'none' }, help: 'What goes in pairs in the one and stays whole in the other tells two molar masses: one depression alone cannot say which is right.' }),
    thermometer: digital.default('digital 0.01'),
    twoThermometers,
    isReady,
    readability: readability.default('0.001'),
    losses: tubeLosses,
    hypothesis: hypothesisFirst(true),
    bandsPercent: bands([4, 8, 15]),
  })
  .superRefine(({ solvent, solutes, second }, context) => {
    const into = intoOf(solvent);
    const wrong = DISSOLVING.find(({ id, into: where }) => solutes.includes(id) && where !== into);
    const fail = (message: string) => context.addIssue({ code: 'custom', path: ['solutes'], message });
    if (wrong) fail(`${wrong.name.replace(/^./, (c) => c.toUpperCase())} does not dissolve in ${freezingOf(solvent).name}. Take it out.`);
    else if (solutes.includes(solvent)) fail('The solvent is among the solutes. Take it out there.');
    if (second === 'none') return;
    const failSecond = (message: string) => context.addIssue({ code: 'custom', path: ['second'], message });
    if (second === solvent) failSecond('The second solvent is the first. Choose another, or none.');
    else if (intoOf(second) !== into) failSecond(`What dissolves in ${freezingOf(solvent).name} does not dissolve in ${freezingOf(second).name}. Choose another, or none.`);
    else if (solutes.includes(second)) failSecond('The second solvent is among the solutes. Take it out there.');
  }); // prettier-ignore
export type Setup = z.infer<typeof setupSchema>;

/** The solvents on the tray. */
export const solventsIn = ({ solvent, second }: Setup): string[] => (second === 'none' ? [solvent] : [solvent, second]);
