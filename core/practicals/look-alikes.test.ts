import { describe, expect, it } from 'vitest';
import { MATERIALS } from '../databook/materials';
import { checkReport } from '../report/check';
import { verdictOn } from '../report/verdict';
import { ALUMINIUM_PIECES, held, moved, rehearsed } from './measuring/testing';
import { displace } from './measuring/practised-student';
import type { Sample } from './measuring/sample';
import { PRACTICALS } from './registry';

/** What the tray cannot tell apart is not given out together, and what readings leave open is not called wrong. */

describe('a pool that the tray cannot tell apart', () => {
  const objection = (id: keyof typeof PRACTICALS, setup: object) =>
    PRACTICALS[id].objections(PRACTICALS[id].setup.parse(setup))[0];

  it('is not set: two white plastics within half a percent, by any of the benches', () => {
    for (const id of ['displacement', 'regular-solids'] as const)
      expect(objection(id, { solids: ['polypropylene', 'paraffin-wax', 'lead'] })).toEqual({
        field: 'solids',
        sentence:
          'With what is on the tray nobody can tell polypropylene from paraffin wax: they look alike, and differ by 0.6 %. Leave one of them out.',
      });
  });

  it('may be set where an eye tells them apart, or a finer tool does', () => {
    // Brass and bronze differ by 2.9 %; copper and nickel by 0.7 %, but one is red.
    expect(objection('displacement', { solids: ['copper', 'nickel'] })).toBeUndefined();
    // Fused quartz and PTFE, 1.4 %: the one is clear, the other white. Zinc and tin: 2.1 %.
    expect(objection('displacement', { solids: ['fused-quartz', 'ptfe', 'zinc', 'tin'] })).toBeUndefined();
    // Copper’s neighbours of its own look do not come so near; silver and lead lie 7.6 % apart.
    expect(objection('regular-solids', { solids: ['silver', 'lead'] })).toBeUndefined();
    const near = { liquids: ['propan-2-ol', 'ethanol'] };
    expect(objection('liquid-density', near)).toBeUndefined();
    expect(objection('liquid-density', { ...near, vessels: ['cylinder-50'] })?.sentence).toMatch(
      /put the density bottle on the tray/,
    );
    expect(objection('liquid-density', { liquids: ['ethanol', 'acetone'] })?.sentence).toMatch(/differ by 0.1 %/);
  });

  it('is named for acids of like molar mass and pKa alone', () => {
    // Tartaric acid and its neighbours differ in one of the two.
    expect(objection('unknown-acid', { acids: ['mandelic-acid', 'phenoxyacetic-acid'] })).toBeUndefined();
  });
});

describe('a name that the readings leave open', () => {
  it('is not called wrong, and the right one says what else is possible', async () => {
    const wax: Sample = {
      ...ALUMINIUM_PIECES,
      lots: [{ materialId: 'polypropylene', shape: { kind: 'lumps' }, volumesMl: [1.2, 1.3, 1.4, 1.1, 1.2, 1.3] }],
    };
    const run = await rehearsed(
      PRACTICALS.displacement,
      async ({ act, view }) => {
        await act({ kind: 'squirt', into: 1, ml: 10 });
        await act({ kind: 'sinker', vessel: 1, on: true });
        await act({ kind: 'look', at: 'vessel', n: 1 });
        await act({ kind: 'eye', mm: 0 });
        await act({ kind: 'record', trial: 1, which: 'V1', text: (view().levels[0] as number).toFixed(2) });
        await act({ kind: 'weigh', vessel: 1 });
        await act({ kind: 'tare' }, 3);
        for (let trial = 1; trial <= 6; trial++) {
          await act({ kind: 'put', lot: 1, count: 1, into: 1, how: 'tied' });
          await act({ kind: 'recordMass', trial, which: 'm' }, 3);
          await act({ kind: 'record', trial, which: 'V2', text: (view().levels[0] as number).toFixed(2) });
        }
      },
      { sample: wax },
    );
    const { value } = moved(run, 'densityA');
    expect(Math.abs(value / 0.905 - 1)).toBeLessThan(0.02);
    const said = (name: string) => {
      const item = held(run, 'nameA', name);
      return item ? verdictOn(item) : null;
    };
    expect(said('polypropylene')).toBe('right, though your readings do not rule out paraffin wax');
    expect(said('paraffin wax')).toBe('not what it is, though your readings do not rule it out');
    // Whose readings they are, the teacher knows.
    const item = held(run, 'nameA', 'paraffin wax');
    expect(item && verdictOn(item, 'teacher')).toBe('not what it is, though the readings do not rule it out');
    // As dense as water would be is far away; oak is near, but looks like wood.
    for (const name of ['nylon 66', 'oak']) expect(said(name)).toBe('not right');
  });

  it('is ruled out by what an eye tells', async () => {
    const run = await rehearsed(
      PRACTICALS.displacement,
      (hands) => displace(hands, { vessel: 1, lot: 1, row: 1, amounts: [4, 4, 4, 4, 4, 4] }),
      { sample: ALUMINIUM_PIECES },
    );
    // Calcite, 2.71 g/cm³, lies nearer to aluminium, 2.70, than any reading here tells. It is white.
    const calcite = MATERIALS.find(({ id }) => id === 'calcite');
    const item = held(run, 'nameA', calcite?.name ?? '');
    expect(item && verdictOn(item)).toBe('not right');
  });

  it('says nothing more where nobody knows the truth', () => {
    const asks = PRACTICALS.displacement.asks({}).filter(({ key }) => key === 'nameA');
    const checked = checkReport({
      asks,
      answers: { nameA: { text: 'lead' } },
      quantities: [],
      truths: {},
      leftOpen: { nameA: ['lead'] },
    });
    expect(checked.ok && checked.items[0] && verdictOn(checked.items[0])).toBe(null);
  });
});
