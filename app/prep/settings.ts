import { z } from 'zod';
import { parseTyped } from '@core/analysis/quantity';
import { nameById } from '@core/databook/names';

/** One control of a settings form, made from a property of a Zod schema and its meta data. */
export type SettingField = {
  name: string;
  label: string;
  help?: string;
  unit?: string;
  names?: Readonly<Record<string, string>>;
} & (
  | { kind: 'number'; value: number; min?: number; max?: number }
  | { kind: 'numbers'; value: number[] }
  | { kind: 'switch'; value: boolean }
  | { kind: 'choice'; value: string; options: string[] }
  | { kind: 'choices'; value: string[]; options: string[] }
);

const common = {
  label: z.string(),
  help: z.string().optional(),
  unit: z.string().optional(),
  /** What options are called, where it is not what they are. */
  options: z.record(z.string(), z.string()).optional(),
};
const limits = { minimum: z.number().optional(), maximum: z.number().optional() };
const enumeration = z.array(z.string());

const propertySchema = z.union([
  z.object({
    ...common,
    type: z.literal('array'),
    items: z.object({ enum: enumeration }),
    default: enumeration,
  }),
  z.object({
    ...common,
    type: z.literal('array'),
    items: z.object({ type: z.literal('number') }),
    default: z.array(z.number()),
  }),
  z.object({ ...common, type: z.literal('string'), enum: enumeration, default: z.string() }),
  z.object({ ...common, type: z.literal('boolean'), default: z.boolean() }),
  z.object({ ...common, ...limits, type: z.enum(['number', 'integer']), default: z.number() }),
]);

function fieldOf(name: string, property: z.infer<typeof propertySchema>): SettingField {
  const { label, help, unit } = property;
  const options =
    property.type === 'string'
      ? property.enum
      : 'items' in property && 'enum' in property.items
        ? property.items.enum
        : [];
  const names = Object.fromEntries(
    options.flatMap((option) => {
      const known = property.options?.[option] ?? nameById(option);
      return known === undefined ? [] : [[option, known]];
    }),
  );
  const base = { name, label, help, unit, names };
  if (property.type === 'array') {
    return 'enum' in property.items
      ? { ...base, kind: 'choices', value: property.default as string[], options: property.items.enum }
      : { ...base, kind: 'numbers', value: property.default as number[] };
  }
  if (property.type === 'string') return { ...base, kind: 'choice', value: property.default, options: property.enum };
  if (property.type === 'boolean') return { ...base, kind: 'switch', value: property.default };
  return { ...base, kind: 'number', value: property.default, min: property.minimum, max: property.maximum };
}

/** The controls for an object schema whose properties each have a default and a label in their meta data. */
export function settingFields(schema: z.ZodType): SettingField[] {
  const json = z.toJSONSchema(schema, { io: 'input' });
  return Object.entries(json.properties ?? {}).map(([name, property]) => fieldOf(name, propertySchema.parse(property)));
}

/** What a setting stands at, in words: for reading, once it is set. */
export function settingText(field: SettingField, value: unknown): string {
  const named = (option: string) => field.names?.[option] ?? option.replaceAll('-', ' ');
  const unit = field.unit ? ` ${field.unit}` : '';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (Array.isArray(value)) return `${value.map((one) => named(String(one))).join(', ')}${unit}`;
  return typeof value === 'number' || typeof value === 'string' ? `${named(String(value))}${unit}` : '';
}

/** The same fields, standing at what was chosen. */
export const standingAt = (fields: readonly SettingField[], values: unknown): SettingField[] =>
  fields.map((field) => {
    const chosen =
      typeof values === 'object' && values !== null ? new Map(Object.entries(values)).get(field.name) : undefined;
    // Chosen by this very schema, so it is of the field's own kind.
    return chosen === undefined ? field : ({ ...field, value: chosen } as SettingField);
  });

export type SettingMistakes = Record<string, string>;

function numbersIn(text: string): string[] {
  const separator = text.includes('.') ? /[;,\s]+/ : /[;\s]+|,\s+/;
  return text.split(separator).filter((part) => part !== '');
}

/** Zod's own words for limits, as a sentence with the unit. */
function sentenceOf(issue: z.core.$ZodIssue, field: SettingField | undefined): string {
  const unit = field?.unit ? ` ${field.unit}` : '';
  const isDefault = /^(Too (small|big)|Invalid)/.test(issue.message);
  if (isDefault && issue.code === 'too_small') return `It must be at least ${issue.minimum}${unit}.`;
  if (isDefault && issue.code === 'too_big') return `It must be at most ${issue.maximum}${unit}.`;
  if (isDefault) return field?.kind === 'number' ? 'Type a whole number.' : 'Choose one of those offered.';
  return issue.message;
}

/**
 * Reads a posted settings form against its schema.
 * @returns the parsed value, or a sentence for each field at fault
 */
export function readSettings<T>(schema: z.ZodType<T>, form: FormData): { value: T } | { mistakes: SettingMistakes } {
  const fields = settingFields(schema);
  const mistakes: SettingMistakes = {};
  const typed = (name: string) => String(form.get(name) ?? '');
  const toNumber = (name: string, text: string) => {
    const number = parseTyped(text);
    if (!number || number.unit !== '')
      mistakes[name] = text.trim() === '' ? 'Type a number.' : `“${text.slice(0, 30)}” is not a number.`;
    return number?.value ?? NaN;
  };
  const raw: Record<string, unknown> = {};
  for (const field of fields) {
    const { name, kind } = field;
    if (kind === 'number') raw[name] = toNumber(name, typed(name));
    else if (kind === 'numbers') raw[name] = numbersIn(typed(name)).map((part) => toNumber(name, part));
    else if (kind === 'switch') raw[name] = form.has(name);
    // A page that was opened before there was this choice says nothing of it: then it is as it comes.
    else if (kind === 'choice') raw[name] = form.has(name) ? typed(name) : undefined;
    else raw[name] = form.getAll(name).map(String);
  }
  if (Object.keys(mistakes).length > 0) return { mistakes };
  const parsed = schema.safeParse(raw);
  if (parsed.success) return { value: parsed.data };
  for (const issue of parsed.error.issues) {
    const name = String(issue.path[0] ?? 'form');
    mistakes[name] ??= sentenceOf(
      issue,
      fields.find((field) => field.name === name),
    );
  }
  return { mistakes };
}
