import { describe, expect, it } from 'vitest';
import { PRACTICALS } from '@core/practicals/registry';
import { rulesSchema } from '@server/assignments';
import { readSettings, settingFields } from './settings';

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
