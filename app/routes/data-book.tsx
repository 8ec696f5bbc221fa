import { CONSTANTS } from '@core/databook/constants';
import { BURETTE_50, PIPETTES, VOLUMETRIC_FLASKS } from '@core/databook/glassware';
import { INDICATORS } from '@core/databook/indicators';
import { IONS, IONS_SOURCE } from '@core/databook/ions';
import { ACID_SOLIDS, SOLIDS } from '@core/databook/solids';
import { SOLUTES, soluteOf } from '@core/databook/solutes';
import { SOURCES } from '@core/databook/sources';
import { Densities } from '@app/databook/densities';
import { KEYS, mark, Table } from '@app/databook/table';
import { Page } from '@app/ui/page';
import { Formula } from '@app/ui/formula';

export function meta() {
  return [{ title: 'Data book · Fen' }];
}

export default function DataBook() {
  return (
    <Page title="Data book" wide>
      <h2 className="mb-2 text-lg">Acids and bases, 25 °C</h2>
      <Table head={['Name', 'Formula', 'Molar mass / g mol⁻¹', 'Kind', 'pKa', 'Source']}>
        {SOLUTES.map((solute) => (
          <tr key={solute.id}>
            <td>{solute.name}</td>
            <td>
              <Formula>{solute.formula}</Formula>
            </td>
            <td className="font-mono">{solute.molarMassGPerMol}</td>
            <td>{solute.kind}</td>
            <td className="font-mono">{solute.pKas.join('; ') || '–'}</td>
            <td>{mark(solute.source)}</td>
          </tr>
        ))}
      </Table>
      <h2 className="mb-2 text-lg">Solid acids, by molar mass</h2>
      <Table head={['Name', 'Formula', 'Molar mass / g mol⁻¹', 'Protons it can give', 'pKa, 25 °C']}>
        {[...ACID_SOLIDS]
          .sort((a, b) => a.molarMassGPerMol - b.molarMassGPerMol)
          .map((solid) => {
            const solute = soluteOf(Object.keys(solid.gives)[0] ?? '');
            const hidden = solute.kind === 'salt' ? solute.pKas.length - solute.protons : 0;
            return (
              <tr key={solid.id}>
                <td>{solid.name}</td>
                <td>
                  <Formula>{solid.formula}</Formula>
                </td>
                <td className="font-mono">{solid.molarMassGPerMol}</td>
                <td className="font-mono">{solute.pKas.length - hidden}</td>
                <td className="font-mono">{solute.pKas.slice(hidden).join('; ')}</td>
              </tr>
            );
          })}
      </Table>
      <h2 className="mb-2 text-lg">Solid bases</h2>
      <Table head={['Name', 'Formula', 'Molar mass / g mol⁻¹', 'In water']}>
        {SOLIDS.filter((solid) => !ACID_SOLIDS.includes(solid)).map((solid) => (
          <tr key={solid.id}>
            <td>{solid.name}</td>
            <td>
              <Formula>{solid.formula}</Formula>
            </td>
            <td className="font-mono">{solid.molarMassGPerMol}</td>
            <td>{solid.insoluble ? 'does not dissolve; in acid it does' : 'dissolves'}</td>
          </tr>
        ))}
      </Table>
      <h2 className="mb-2 text-lg">Ions, limiting molar conductivity at 25 °C</h2>
      <Table head={['Ion', 'Λ° / S cm² mol⁻¹', 'Source']}>
        {Object.entries(IONS).map(([ion, value]) => (
          <tr key={ion}>
            <td>
              <Formula>{ion}</Formula>
            </td>
            <td className="font-mono">{value}</td>
            <td>{mark(IONS_SOURCE)}</td>
          </tr>
        ))}
      </Table>
      <h2 className="mb-2 text-lg">Indicators</h2>
      <Table head={['Name', 'Solution', 'Range of pH and colours', 'pK', 'Source']}>
        {INDICATORS.map((indicator) => (
          <tr key={indicator.id}>
            <td>{indicator.name}</td>
            <td>{indicator.solution}</td>
            <td>
              {indicator.ranges.map((r) => `${r.from.toFixed(1)} to ${r.to.toFixed(1)}, ${r.colours}`).join('; ')}
            </td>
            <td className="font-mono">{indicator.pKas.join('; ')}</td>
            <td>{mark(indicator.source)}</td>
          </tr>
        ))}
      </Table>
      <Densities />
      <h2 className="mb-2 text-lg">Glassware, class A, 20 °C</h2>
      <Table head={['Piece', 'Division', 'Tolerance', 'Source']}>
        <tr>
          <td>Burette, {BURETTE_50.capacityMl} mL</td>
          <td>{BURETTE_50.divisionMl} mL</td>
          <td>± {BURETTE_50.toleranceMl} mL</td>
          <td>{mark(BURETTE_50.source)}</td>
        </tr>
        {PIPETTES.map((pipette) => (
          <tr key={pipette.capacityMl}>
            <td>Pipette, {pipette.capacityMl} mL</td>
            <td>one mark</td>
            <td>± {pipette.toleranceMl} mL</td>
            <td>{mark(pipette.source)}</td>
          </tr>
        ))}
        {VOLUMETRIC_FLASKS.map((flask) => (
          <tr key={flask.capacityMl}>
            <td>Volumetric flask, {flask.capacityMl} mL</td>
            <td>one mark</td>
            <td>± {flask.toleranceMl} mL</td>
            <td>{mark(flask.source)}</td>
          </tr>
        ))}
      </Table>
      <h2 className="mb-2 text-lg">Constants, as the calculator knows them</h2>
      <Table head={['Symbol', 'Constant', 'Value', 'Source']}>
        {CONSTANTS.map(({ symbol, name, value, unit, source }) => (
          <tr key={symbol}>
            <td className="font-mono">{symbol}</td>
            <td>{name}</td>
            <td className="font-mono">
              {value} {unit}
            </td>
            <td>{source}</td>
          </tr>
        ))}
      </Table>
      <h2 className="mb-2 text-lg">Sources</h2>
      <ol className="list-decimal pl-6 text-sm">
        {KEYS.map((key) => (
          <li key={key}>{SOURCES[key]}</li>
        ))}
      </ol>
    </Page>
  );
}
