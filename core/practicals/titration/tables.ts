import type { Table } from '../../notebook/document';
import { column, slotColumn, trialsTable } from '../tables';
import type { Plan, Sensor } from './plan';
import { SLOTS } from './slots';

function curveTable(sensor: Sensor): Table {
  const measured = slotColumn(sensor === 'pH' ? 'pH' : 'kappa', SLOTS);
  return {
    id: 'curve',
    name: sensor === 'pH' ? 'pH curve' : 'Conductivity curve',
    origin: 'logged',
    axes: { x: 'V', y: measured.id },
    columns: [
      column('trial', { name: 'trial', symbol: 'trial', unit: '', slot: 'trial' }),
      column('V', { name: 'delivered', symbol: 'V', unit: 'mL', slot: 'V' }),
      column('t', { name: 'time', symbol: 't', unit: 's', slot: 't' }),
      measured,
    ],
    rows: [],
  };
}

/** The tables a notebook begins with: what was read, and what follows from it at once. */
export function tablesOf(plan: Plan): Table[] {
  const weighed = [
    slotColumn('boat', SLOTS),
    slotColumn('left', SLOTS),
    column('mass', { name: 'mass taken', symbol: 'm', unit: 'g', kind: 'computed', formula: 'm_1 - m_2' }),
  ];
  const titres = trialsTable('titres', 'Titres', [
    ...(plan.jar ? weighed : []),
    slotColumn('first', SLOTS),
    slotColumn('last', SLOTS),
    column('titre', { name: 'titre', symbol: 'V_T', unit: 'mL', kind: 'computed', formula: 'V_2 - V_1' }),
  ]);
  return [...(plan.probe !== 'none' ? [curveTable(plan.probe)] : []), titres];
}
