import type { Column, Table } from '../../notebook/document';
import type { Plan, Sensor } from './plan';

const column = (id: string, more: Partial<Column>): Column => ({
  id,
  name: '',
  symbol: '',
  unit: 'mL',
  kind: 'recorded',
  formula: '',
  slot: '',
  uncertainty: '',
  digits: null,
  ...more,
});

function curveTable(sensor: Sensor): Table {
  const measured =
    sensor === 'pH'
      ? column('pH', { name: '', symbol: 'pH', unit: '', slot: 'pH' })
      : column('kappa', { name: 'conductivity', symbol: 'kappa', unit: 'mS/cm', slot: 'kappa' });
  return {
    id: 'curve',
    name: sensor === 'pH' ? 'pH curve' : 'Conductivity curve',
    origin: 'logged',
    axes: { x: 'V', y: measured.id },
    columns: [
      column('trial', { name: 'trial', symbol: 'trial', unit: '', slot: 'trial' }),
      column('V', { name: 'delivered', symbol: 'V', slot: 'V' }),
      column('t', { name: 'time', symbol: 't', unit: 's', slot: 't' }),
      measured,
    ],
    rows: [],
  };
}

/** The tables a notebook begins with: what was read, and what follows from it at once. */
export function tablesOf(plan: Plan): Table[] {
  const weighed = [
    column('boat', { name: 'boat with solid', symbol: 'm_1', unit: 'g', slot: 'boat' }),
    column('left', { name: 'boat after tipping', symbol: 'm_2', unit: 'g', slot: 'left' }),
    column('mass', { name: 'mass taken', symbol: 'm', unit: 'g', kind: 'computed', formula: 'm_1 - m_2' }),
  ];
  const titres: Table = {
    id: 'titres',
    name: 'Titres',
    origin: 'readings',
    columns: [
      ...(plan.jar ? weighed : []),
      column('first', { name: 'first reading', symbol: 'V_1', slot: 'first' }),
      column('last', { name: 'last reading', symbol: 'V_2', slot: 'last' }),
      column('titre', { name: 'titre', symbol: 'V_T', kind: 'computed', formula: 'V_2 - V_1' }),
    ],
    rows: [],
  };
  return [...(plan.probe !== 'none' ? [curveTable(plan.probe)] : []), titres];
}
