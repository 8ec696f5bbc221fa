import { pictureNotes } from '../drawn-particles';
import { gasOf } from '../../databook/gases';
import type { Ask, SampleQuantity, Truths } from '../../report/asks';
import type { Slip } from '../contract';
import type { BriefParts } from '../method';
import { askFor, askName, reportOf } from '../report-parts';
import { slotColumn, trialsTable } from '../tables';
import { SLOT_IDS, SLOTS } from './plan';
import { resultsOf, type Row } from './rows';
import type { Sample, Setup } from './sample';

/** What is asked about two gases in one vessel, and what is right. */

const NUMBERS = {
  energyRatio: {
    key: 'energyRatio',
    label: 'Mean energy of the other gas, as a multiple of helium’s',
    unit: '',
    digits: 2,
  },
  speedRatio: { key: 'speedRatio', label: 'Mean speed of helium, as a multiple of the other’s', unit: '', digits: 2 },
  molarMass: { key: 'molarMass', label: 'Molar mass of the other gas', unit: 'g/mol', digits: 2 },
  leakRatio: { key: 'leakRatio', label: 'How many times as fast helium leaves through the hole', unit: '', digits: 1 },
};

const optionsOf = ({ gases }: Setup) => [...new Set(gases)].map((id) => gasOf(id).name).sort();

export const briefOf = (setup: Setup): BriefParts => ({
  question: [
    `Two gases fly in one vessel: ${setup.count} particles of helium, and as many of another gas.`,
    'Helium is drawn as rings, the other gas as discs.',
    'They fly by the laws of motion, in real units. They hit one another and the walls.',
    'What do both gases have in common at one temperature? Which is faster, and by how much? Which gas is the other?',
    `It is one of these: ${optionsOf(setup).join(', ')}.`,
  ],
  working: [
    'For each stretch, divide the two energies, and divide the two speeds. Take the mean of each.',
    'At one temperature both gases have the same mean energy, ½ m v². So the speeds tell the masses.',
    'The data book has the molar mass of helium.',
    'For the leak: which part of each gas has left?',
  ],
  know: [
    'One second of the bench clock is four picoseconds of their flight.',
    'The counters show means over the stretch. There are few particles, so the means waver. A long stretch is surer.',
    'You can fill the vessel with one of the gases alone. Is anything of it different then?',
    `The vessel is a cube. Its edge is ${setup.edgeNm} nm.`,
    ...pictureNotes(false),
  ],
});

export const tablesOf = () => [
  trialsTable(
    'rows',
    'Stretches',
    SLOT_IDS.map((slot) => slotColumn(slot, SLOTS)),
    [
      { name: 'energies', symbol: 'e', unit: '', formula: 'E_2 / E_1' },
      { name: 'speeds', symbol: 'r', unit: '', formula: 'v_1 / v_2' },
    ],
    { x: 'T', y: 'E1' },
  ),
];

export const quantitiesOf = (setup: Setup): SampleQuantity[] => [
  { ...NUMBERS.energyRatio, kind: 'number', few: true },
  { ...NUMBERS.speedRatio, kind: 'number' },
  { ...NUMBERS.molarMass, kind: 'number' },
  { ...NUMBERS.leakRatio, kind: 'number' },
  { key: 'name', label: 'The other gas', kind: 'name', options: optionsOf(setup) },
];

export function truthsOf({ gasId }: Sample): Truths {
  const { molarMassGPerMol, name } = gasOf(gasId);
  const ratio = Math.sqrt(molarMassGPerMol / gasOf('helium').molarMassGPerMol);
  return { energyRatio: 1, speedRatio: ratio, molarMass: molarMassGPerMol, leakRatio: ratio, name };
}

export function slipsOf(rows: readonly Row[]): Slip[] {
  const { speedRatio } = resultsOf(rows);
  if (!speedRatio) return [];
  return [
    {
      key: 'root',
      label: 'The speeds taken to go as the masses, not as their roots',
      quantity: 'molarMass',
      factor: 1 / speedRatio,
    },
    { key: 'inverted', label: 'The ratio upside down', quantity: 'speedRatio', factor: 1 / speedRatio ** 2 },
    { key: 'twice', label: 'The ratio of speeds squared', quantity: 'leakRatio', factor: speedRatio },
  ];
}

export const asksOf = (setup: Setup): Ask[] =>
  reportOf({
    measured: {
      label: 'What do two gases have in common that are in one vessel for long?',
      options: [
        'The mean energy of their particles',
        'The mean speed of their particles',
        'The mass of their particles',
        'How often their particles come to a wall',
      ],
    },
    hypothesis: setup.hypothesis
      ? {
          label: 'Hypothesis: the other gas is four times as heavy as helium. Its particles are then',
          options: ['half as fast', 'a quarter as fast', 'as fast as helium’s'],
        }
      : null,
    results: [
      askFor(NUMBERS.energyRatio, [10, 20, 40], 'The mean of your stretches, with its uncertainty.'),
      askFor(NUMBERS.speedRatio, setup.bandsPercent, 'The mean of your stretches, with its uncertainty.'),
      askFor(
        NUMBERS.molarMass,
        setup.bandsPercent.map((band) => Math.min(2 * band, 100)),
        'From the speeds, by the same mean energy.',
      ),
      askFor(NUMBERS.leakRatio, [25, 50, 100], 'From the parts of both that are left. There are few: it is not sure.'),
      askName('Which gas is it?', optionsOf(setup)),
    ],
    working: 'The ratios, and how the mass follows from the speeds.',
    evidence: {
      help: 'How much did the counters waver from stretch to stretch? Does the leak agree with the speeds?',
      words: ['energy'],
    },
    aims: [
      'Say what temperature has to do with energy, and what with speed',
      'Judge how sure a mean is by how much it wavers',
      'Explain why light gases leak sooner',
    ],
  });
