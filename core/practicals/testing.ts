import fc from 'fast-check';
import { z } from 'zod';

/** Acts made from a practical's own schema, sensible and senseless: what its contract and its golden logs are tried with. */

export type JsonSchema = {
  type?: string;
  maxLength?: number;
  const?: unknown;
  enum?: unknown[];
  oneOf?: JsonSchema[];
  anyOf?: JsonSchema[];
  properties?: Record<string, JsonSchema>;
};

function stringsIn(value: unknown): string[] {
  if (typeof value === 'string') return [value];
  return typeof value === 'object' && value !== null ? Object.values(value).flatMap(stringsIn) : [];
}

function arbitraryOf(schema: JsonSchema, words: string[]): fc.Arbitrary<unknown> {
  const choices = schema.oneOf ?? schema.anyOf;
  if (choices) return fc.oneof(...choices.map((choice) => arbitraryOf(choice, words)));
  if ('const' in schema) return fc.constant(schema.const);
  if (schema.enum) return fc.constantFrom(...schema.enum);
  if (schema.type === 'boolean') return fc.boolean();
  if (schema.type === 'integer') return fc.integer({ min: 1, max: 4 });
  if (schema.type === 'number') {
    const wild = fc.constantFrom(-5, 0, 1e9, 1e-9, 50.0001);
    return fc.oneof(
      { weight: 9, arbitrary: fc.double({ min: 0.05, max: 30, noNaN: true }) },
      { weight: 3, arbitrary: fc.integer({ min: 0, max: 5 }) },
      { weight: 1, arbitrary: wild },
    );
  }
  if (schema.type === 'string')
    return fc.oneof(
      fc.constantFrom(...words.filter((word) => word.length <= (schema.maxLength ?? Infinity)), '12.34', '0.05', ''),
      fc.string({ maxLength: 8 }),
    );
  if (schema.type === 'object') {
    const entries = Object.entries(schema.properties ?? {}).map(
      ([key, part]) => [key, arbitraryOf(part, words)] as const,
    );
    return fc.record(Object.fromEntries(entries));
  }
  throw new Error(`no acts can be made from ${JSON.stringify(schema)}`);
}

/** Any act of a practical, with words of its setup among others. */
export const actsOf = (practical: { act: z.ZodType }, setup: unknown): fc.Arbitrary<unknown> =>
  arbitraryOf(z.toJSONSchema(practical.act) as JsonSchema, stringsIn(setup));
