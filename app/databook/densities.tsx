import { LIQUIDS } from '@core/databook/liquids';
import { MATERIALS } from '@core/databook/materials';
import { VESSELS } from '@core/databook/vessels';
import { CALLIPER, RULER } from '@core/instruments/length';
import { mark, Table } from './table';

/** What a density is looked up in, and what measures it. */
export function Densities() {
  return (
    <>
      <h2 className="mb-2 text-lg">Solids, by density near 20 °C</h2>
      <Table head={['Material', 'Density / g cm⁻³', 'Looks', 'Source']}>
        {[...MATERIALS]
          .sort((a, b) => a.densityGPerMl - b.densityGPerMl)
          .map((material) => (
            <tr key={material.id}>
              <td>{material.name}</td>
              <td className="font-mono">{material.densityGPerMl.toFixed(material.decimals)}</td>
              <td>{material.look}</td>
              <td>{mark(material.source)}</td>
            </tr>
          ))}
      </Table>
      <h2 className="mb-2 text-lg">Liquids, by density at 20 °C</h2>
      <p className="mb-2 text-sm">
        Near 20 °C the density at another temperature t is ρ₂₀ (1 − β (t − 20 °C)). For water: Kell’s equation, 0.99821
        g/mL at 20 °C, 0.99705 at 25 °C.
      </p>
      <Table head={['Liquid', 'Density / g mL⁻¹', 'Expansion β / 10⁻³ K⁻¹', 'Source']}>
        {[...LIQUIDS]
          .sort((a, b) => a.density20GPerMl - b.density20GPerMl)
          .map((liquid) => (
            <tr key={liquid.id}>
              <td>{liquid.name}</td>
              <td className="font-mono">{liquid.density20GPerMl.toFixed(4)}</td>
              <td className="font-mono">{liquid.expansionPerKK?.toFixed(2) ?? 'by equation'}</td>
              <td>{mark(liquid.source)}</td>
            </tr>
          ))}
      </Table>
      <h2 className="mb-2 text-lg">Measuring vessels and tools</h2>
      <Table head={['Piece', 'Division', 'Tolerance', 'Source']}>
        {VESSELS.map((vessel) => (
          <tr key={vessel.id}>
            <td className="first-letter:uppercase">{vessel.name}</td>
            <td>{vessel.divisionMl === null ? 'engraved volume' : `${vessel.divisionMl} mL`}</td>
            <td>± {vessel.toleranceMl} mL</td>
            <td>{mark(vessel.source)}</td>
          </tr>
        ))}
        <tr>
          <td>Vernier calliper, {CALLIPER.capacityMm} mm</td>
          <td>{CALLIPER.vernierMm} mm</td>
          <td>± {CALLIPER.toleranceMm} mm</td>
          <td>{mark('iso13385')}</td>
        </tr>
        <tr>
          <td>Ruler, {RULER.capacityMm} mm</td>
          <td>{RULER.divisionMm} mm</td>
          <td>± 0.1 mm</td>
          <td>{mark('model')}</td>
        </tr>
      </Table>
    </>
  );
}
