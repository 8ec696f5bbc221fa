import type { Act } from '@core/practicals/solutions/acts';
import type { AmountVerb } from '../use-amounts';
import type { Amount, Give, Hand } from './moves';

/** What can be done at this bench with an amount that is typed. */

/** The act that an amount with its vessels is. */
function actOf({ amount, from, to }: Give, value: number, way: Hand['way']): Act {
  switch (amount) {
    case 'drops':
      return { kind: 'drops', from, to, drops: value };
    case 'ml':
      return { kind: 'measure', from, to, ml: value, by: way };
    case 'portion':
      return { kind: 'slip', vessel: from, ml: value };
    case 'nm':
      return { kind: 'wavelength', nm: value };
    case 'wash':
      return { kind: 'wash', ml: value };
    case 'rinse':
      return { kind: 'rinse', from, ml: value };
    case 'oven':
      return { kind: 'setOven', tempC: value };
    case 'scoop':
      return { kind: 'scoop', g: value };
  }
}

const WORDS: Record<Amount, [verb: string, unit: string]> = {
  drops: ['Drop in', 'drops'],
  ml: ['Put in', 'mL'],
  portion: ['Hand over', 'mL'],
  nm: ['Set the wavelength to', 'nm'],
  wash: ['Wash the solid with', 'mL'],
  rinse: ['Rinse it into the funnel with', 'mL'],
  oven: ['Set it to', '°C'],
  scoop: ['Put into the boat', 'g'],
};

/** An amount of something of one vessel into another. */
export const amountVerb = (give: Give, way: Hand['way']): AmountVerb<Act> => {
  const [verb, unit] = WORDS[give.amount];
  return { verb, unit, act: (value) => actOf(give, value, way) };
};

/** All of them, from the vessel in the hand to one. */
export const amountsFor = ({ from, way }: Hand, to: number): Record<Amount, AmountVerb<Act>> => ({
  drops: amountVerb({ amount: 'drops', from, to }, way),
  ml: amountVerb({ amount: 'ml', from, to }, way),
  portion: amountVerb({ amount: 'portion', from: to, to }, way),
  nm: amountVerb({ amount: 'nm', from, to }, way),
  wash: amountVerb({ amount: 'wash', from, to }, way),
  rinse: amountVerb({ amount: 'rinse', from: to, to }, way),
  oven: amountVerb({ amount: 'oven', from, to }, way),
  scoop: amountVerb({ amount: 'scoop', from, to }, way),
});

export const FIRST_TEXTS: Partial<Record<Amount, string>> = {
  drops: '4',
  portion: '2',
  wash: '10',
  rinse: '10',
  oven: '105',
  scoop: '1',
};
