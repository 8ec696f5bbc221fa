import { gasOf, GASES } from '../../databook/gases';
import { energyAt } from '../../physics/kinetic';
import type { Ask, SampleQuantity, Truths } from '../../report/asks';
import type { BriefParts } from '../method';
import { askFor, askName, reportOf } from '../report-parts';
import { slotColumn, trialsTable } from '../tables';
import type { Slip } from '../contract';
import { SLOT_KEYS, SLOTS } from './plan';
import type { Sample, Setup } from './sample';

/** What is asked about one particle, and what is right. */

const NUMBERS = {
  energyFactor: { key: 'energyFactor', label: 'Twice the temperature: the energy becomes so many times as large', unit: '', digits: 3 },
  speedFactor: { key: 'speedFactor', label: 'Twice the temperature: the speed becomes so many times as large', unit: '', digits: 3 },
  perKelvin: { key: 'perKelvin', label: 'Energy for each kelvin', unit: 'zJ/K', digits: 3 },
  molarMass: { key: 'molarMass', label: 'Molar mass of the gas that the particle is of', unit: 'g/mol', digits: 3 },
}; // prettier-ignore

const OFFERED = GASES.map(({ name }) => name);

export const briefOf = ({ edgeNm }: Setup): BriefParts => ({
  question: [
    'A single particle flies in a closed vessel. Nobody can see one. Here all that it does is shown, by the laws of motion and in real units.',
    'When it gets twice as hot, what of it becomes twice as large? And of which gas is it?',
  ],
  working: [
    'Draw the energy against the temperature. Draw the speed against the root of the temperature. Both should be straight lines through zero.',
    'Its mass follows from energy and speed: E = ½ m v². One mole is 6.022·10²³ particles.',
    'The data book has the molar mass of each gas.',
  ],
  know: [
    'Temperature belongs to very many particles. The gauge shows the temperature of a gas whose particles have this energy on average: E = 3/2 kT.',
    'One zJ is 10⁻²¹ J. One second of the bench clock is four picoseconds of its flight.',
    'A particle of any gas is drawn as a ball of the same size, twice too large.',
    `The vessel is a cube. Its edge is ${edgeNm} nm. The walls take no energy.`,
  ],
});

export const tablesOf = () => [
  trialsTable(
    'rows',
    'Measurements',
    SLOT_KEYS.map((slot) => slotColumn(slot, SLOTS)),
    [{ name: 'root of the temperature', symbol: 'r', unit: 'K^0.5', formula: 'sqrt(T)' }],
    { x: 'T', y: 'E' },
  ),
];

export const quantitiesOf = (): SampleQuantity[] => [
  ...Object.values(NUMBERS).map((quantity) => ({ ...quantity, kind: 'number' as const })),
  { key: 'name', label: 'Gas that the particle is of', kind: 'name', options: OFFERED },
];

export const truthsOf = (sample: Sample): Truths => {
  const { name, molarMassGPerMol } = gasOf(sample.gasId);
  return { energyFactor: 2, speedFactor: Math.SQRT2, perKelvin: energyAt(1), molarMass: molarMassGPerMol, name };
};

export const SLIPS: readonly Slip[] = [
  { key: 'asEnergy', label: 'The speed taken to grow as the energy does', quantity: 'speedFactor', factor: Math.SQRT2 },
  {
    key: 'asSpeed',
    label: 'The energy taken to grow as the speed does',
    quantity: 'energyFactor',
    factor: Math.SQRT1_2,
  },
  { key: 'half', label: 'E = m v² in place of E = ½ m v²', quantity: 'molarMass', factor: 0.5 },
  { key: 'onlyKT', label: 'E = kT in place of E = 3/2 kT', quantity: 'perKelvin', factor: 2 / 3 },
];

export function asksOf(setup: Setup): Ask[] {
  return reportOf({
    measured: {
      label: 'What does the temperature on the gauge say of a single particle?',
      options: ['What its energy of flight stands for', 'How hot its surface is', 'How often it hits the walls', 'How large it has grown'],
    },
    hypothesis: !setup.hypothesis
      ? null
      : {
          label: 'Hypothesis: the temperature is doubled. What becomes of the speed of the particle?',
          options: ['It stays the same', 'It doubles', 'It grows by less than half', 'It becomes four times as large'],
        },
    results: [
      askFor(NUMBERS.energyFactor, setup.bandsPercent),
      askFor(NUMBERS.speedFactor, setup.bandsPercent),
      askFor(NUMBERS.perKelvin, setup.bandsPercent, 'The slope of the energy against the temperature.'),
      { when: 'result', required: true, kind: 'graph', key: 'ofEnergy', label: 'The energy against the temperature', help: '' },
      { when: 'result', required: true, kind: 'graph', key: 'ofSpeed', label: 'The speed against the root of the temperature', help: '' },
      askFor(NUMBERS.molarMass, setup.bandsPercent, 'From the energy and the speed.'),
      askName('Which gas is the particle of?', OFFERED),
    ],
    working: 'How did you come from energy and speed to the molar mass?',
    evidence: { help: 'What of energy and speed is proportional to the temperature, and how do your graphs show it?', words: ['temperature'] },
    aims: ['Tell from a graph what is proportional', 'Say what temperature means for particles', 'Get a mass from an energy and a speed'],
  });
} // prettier-ignore
