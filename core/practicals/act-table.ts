import { z } from 'zod';
import type { Outcome } from './outcome';

/** Acts of a bench as a table: each says once what belongs to it, what it does, and its line in the teacher's log. */

type Shape = Record<string, z.ZodType>;
type Told<Fields extends Shape> = keyof Fields extends never ? object : z.infer<z.ZodObject<Fields>>;

interface Entry<Bench, Fields extends Shape> {
  fields: Fields;
  does(bench: Bench, act: Told<Fields>): Outcome<Bench>;
  says: string | ((act: Told<Fields>) => string);
}

/** An act whose fields are whatever they are. */
interface AnyEntry<Bench> {
  fields: Shape;
  does(bench: Bench, act: never): Outcome<Bench>;
  says: string | ((act: never) => string);
}

/**
 * What makes one act of a bench.
 * @returns a function of the fields of an act beside its kind, of what it does, and of its line in the log
 */
export const actsOn =
  <Bench>() =>
  <Fields extends Shape>(
    fields: Fields,
    does: Entry<Bench, Fields>['does'],
    says: Entry<Bench, Fields>['says'],
  ): Entry<Bench, Fields> => ({ fields, does, says });

/** The acts of a table: a union told apart by their kinds. */
export type ActOf<Table extends Record<string, { fields: Shape }>> = {
  [Kind in keyof Table & string]: { kind: Kind } & Told<Table[Kind]['fields']>;
}[keyof Table & string];

/** What a practical has of its acts: their schema, what each does, and each as a line of the teacher's log. */
export function actTable<Bench, Table extends Record<string, AnyEntry<Bench>>>(
  table: Table,
): {
  act: z.ZodType<ActOf<Table>>;
  perform(bench: Bench, act: ActOf<Table>): Outcome<Bench>;
  describe(act: ActOf<Table>): string;
} {
  const options: z.ZodObject[] = Object.entries(table).map(([kind, { fields }]) =>
    z.object({ kind: z.literal(kind), ...fields }),
  );
  const entryOf = ({ kind }: { kind: keyof Table }) => table[kind] as AnyEntry<Bench>;
  return {
    // What is built from a table has the type that is read off it.
    act: z.discriminatedUnion('kind', options as never) as unknown as z.ZodType<ActOf<Table>>,
    perform: (bench, act) => entryOf(act).does(bench, act as never),
    describe: (act) => {
      const { says } = entryOf(act);
      return typeof says === 'string' ? says : says(act as never);
    },
  };
}
