import { SOURCES } from '@core/databook/sources';

/** One table of the data book. */
export function Table({ head, children }: { head: string[]; children: React.ReactNode }) {
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={`Table: ${head[0]}`}>
      <table className="[&_td]:border-line mb-8 w-full border-collapse text-sm [&_td]:border-t [&_td]:py-1 [&_td]:pr-4 [&_th]:py-1 [&_th]:pr-4 [&_th]:text-left">
        <thead>
          <tr>
            {head.map((cell) => (
              <th key={cell} scope="col">
                {cell}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>{children}</tbody>
      </table>
    </div>
  );
}

/** The sources in the order of their numbers. */
export const KEYS = Object.keys(SOURCES) as (keyof typeof SOURCES)[];
export const mark = (key: keyof typeof SOURCES) => `[${KEYS.indexOf(key) + 1}]`;
