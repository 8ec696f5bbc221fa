import { CALLIPER, RULER } from '../../instruments/length';
import { BURETTE_50, PIPETTES, VOLUMETRIC_FLASKS } from '../glassware';
import { VESSELS } from '../vessels';
import { cited, columns, type BookTable } from './table';

/** Glassware and tools, with what they are made to. */
export const apparatusTables = (): BookTable[] => [
  {
    title: 'Glassware, class A, 20 °C',
    columns: columns('Piece', 'Division', '=Tolerance', 'Source'),
    rows: [
      [
        `Burette, ${BURETTE_50.capacityMl} mL`,
        `${BURETTE_50.divisionMl} mL`,
        `± ${BURETTE_50.toleranceMl} mL`,
        cited(BURETTE_50.source),
      ],
      ...PIPETTES.map(({ capacityMl, toleranceMl, source }) => [
        `Pipette, ${capacityMl} mL`,
        'one mark',
        `± ${toleranceMl} mL`,
        cited(source),
      ]),
      ...VOLUMETRIC_FLASKS.map(({ capacityMl, toleranceMl, source }) => [
        `Volumetric flask, ${capacityMl} mL`,
        'one mark',
        `± ${toleranceMl} mL`,
        cited(source),
      ]),
    ],
  },
  {
    title: 'Measuring vessels and tools',
    columns: columns('Piece', 'Division', '=Tolerance', 'Source'),
    rows: [
      ...VESSELS.map(({ name, divisionMl, toleranceMl, source }) => [
        name.replace(/^./, (first) => first.toUpperCase()),
        divisionMl === null ? 'engraved volume' : `${divisionMl} mL`,
        `± ${toleranceMl} mL`,
        cited(source),
      ]),
      [
        `Vernier calliper, ${CALLIPER.capacityMm} mm`,
        `${CALLIPER.vernierMm} mm`,
        `± ${CALLIPER.toleranceMm} mm`,
        cited('iso13385'),
      ],
      [`Ruler, ${RULER.capacityMm} mm`, `${RULER.divisionMm} mm`, '± 0.1 mm', cited('model')],
    ],
  },
];
