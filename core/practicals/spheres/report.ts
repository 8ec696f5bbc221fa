import { gasOf } from '../../databook/gases';
import type { Ask, SampleQuantity, Truths } from '../../report/asks';
import type { Slip } from '../contract';
import { askFor, askName, reportOf } from '../report-parts';
import { slotColumn, trialsTable } from '../tables';
import { HOLE_NM, RUN_PS, SLOT_IDS, SLOTS } from './plan';
import { resultsOf, type Row } from './rows';
import type { Sample, Setup } from './sample';
import { STRETCHES } from './steps';

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

export const briefOf = (setup: Setup): string[] => [
  `In one vessel, a cube with an edge of ${setup.edgeNm} nm, fly ${setup.count} particles of helium and as many of another gas. They fly by the laws of motion, in real units, and come off one another and off the walls. Helium is drawn as rings, the other gas as discs.`,
  'Put a jacket of the temperature on your card around the vessel: what comes off a wall then has the speeds of a gas of that temperature. Let them fly for 200 ps, so that all of them have been at the walls; then for a stretch that you record.',
  `A stretch is ${RUN_PS.least} to ${RUN_PS.most} ps long; one second of the bench clock is four of them. Over it the counters take the means of all looks: they waver, for there are few particles, and the longer the stretch the less.`,
  'It can be filled with helium alone, or with the other gas alone, too: is anything of either another then than when both are in it?',
  `Record at least ${STRETCHES} stretches of ${RUN_PS.most} ps, at three temperatures. Which of the two has the larger mean energy, which is faster, and by how much?`,
  `Then take a fresh filling, warm it, open the hole in the right wall (${HOLE_NM} nm from its middle to its edge, with nothing behind it), let them fly, and record how many of each have left. Do that a few times.`,
  `At the same temperature both have the same mean energy, ½ m v²: the speeds tell the masses. Helium’s molar mass is in the data book. The other is one of: ${optionsOf(setup).join(', ')}.`,
];

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
