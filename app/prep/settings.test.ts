import { describe, expect, it } from 'vitest';
import { PRACTICALS } from '@core/practicals/registry';
import { rulesSchema } from '@server/rules';
import { readSettings, settingFields, settingText, standingAt } from './settings';

describe.each([
  ...Object.values(PRACTICALS).map(({ id, setup }) => [id, setup] as const),
  ['rules', rulesSchema] as const,
])('settings of %s', (_, schema) => {
  const fields = settingFields(schema);

  /** What a browser posts from the form as it stands at first. */
  function untouched(): FormData {
    const form = new FormData();
    for (const field of fields) {
      if (field.kind === 'choices') field.value.forEach((option) => form.append(field.name, option));
      else if (field.kind === 'numbers') form.append(field.name, field.value.join('; '));
      else if (field.kind !== 'switch') form.append(field.name, String(field.value));
      else if (field.value) form.append(field.name, 'on');
    }
    return form;
  }

  it('come back from the untouched form as the defaults', () => {
    expect(readSettings(schema, untouched())).toEqual({ value: schema.parse({}) });
    for (const field of fields) expect(field.label).toMatch(/^[A-Z]/);
  });

  it('take a decimal comma, and say what is no number, field by field', () => {
    for (const field of fields.filter(({ kind }) => kind === 'number')) {
      const form = untouched();
      form.set(field.name, 'plenty');
      expect(readSettings(schema, form)).toEqual({ mistakes: { [field.name]: '“plenty” is not a number.' } });
      form.set(field.name, String(field.value).replace('.', ','));
      expect(readSettings(schema, form)).toHaveProperty('value');
    }
  });
});

describe('settings to be read', () => {
  const schema = PRACTICALS['liquid-density'].setup;
  const fields = settingFields(schema);
  const field = (name: string) => fields.find((one) => one.name === name) as (typeof fields)[number];

  it('stand at what was chosen, in names and words, never in ids', () => {
    const chosen = schema.parse({ liquids: ['propan-2-ol', 'ethane-1-2-diol'], drawn: false, bandsPercent: [0.5, 2] });
    const told = Object.fromEntries(standingAt(fields, chosen).map((one) => [one.name, settingText(one, one.value)]));
    expect(told).toMatchObject({ liquids: 'propan-2-ol, ethane-1,2-diol', drawn: 'no', bandsPercent: '0.5, 2 %' });
    expect(told['vessels']).toContain('10 mL measuring cylinder');
    // What was not chosen stands at what it comes with; what is chosen elsewhere is left alone.
    expect(standingAt(fields, { nothing: true })).toEqual(fields);
  });

  it('have a name for every option that is an id of the data book', () => {
    for (const { setup } of Object.values(PRACTICALS))
      for (const one of settingFields(setup))
        if (one.kind === 'choice' || one.kind === 'choices')
          for (const option of one.options)
            if (/^[a-z0-9]+(-[a-z0-9]+)+$/.test(option)) expect(one.names?.[option], option).toMatch(/\w/);
    expect(settingText(field('liquids'), ['propan-2-ol'])).toBe('propan-2-ol');
    expect(
      settingText(
        settingFields(rulesSchema).find(({ name }) => name === 'tellInfluences') as (typeof fields)[number],
        'when-done',
      ),
    ).toBe('when a student has no hand-in left');
  });
});
