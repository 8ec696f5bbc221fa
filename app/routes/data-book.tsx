import { data, Form, Link, NavLink } from 'react-router';
import { BOOK_PARTS, BOOK_PART_IDS, BOOK_SOURCES, citedIn, foundInBook, type BookTable } from '@core/databook/book';
import { Button, INPUT } from '@app/ui/form';
import { Formula } from '@app/ui/formula';
import { Page } from '@app/ui/page';
import type { Route } from './+types/data-book';

/** The longest text that is searched for. */
const SEARCH_AT_MOST = 100;

/** One part of the book, or what a search found in all of them; without either, its parts. */
export function loader({ request, params }: Route.LoaderArgs) {
  const search = (new URL(request.url).searchParams.get('search') ?? '').slice(0, SEARCH_AT_MOST).trim();
  const parts = BOOK_PART_IDS.map((id) => ({ id, title: BOOK_PARTS[id].title }));
  const sources = (tables: readonly BookTable[]) =>
    citedIn(tables).map((number) => ({ number, text: BOOK_SOURCES[number - 1] ?? '' }));
  if (search !== '') {
    const found = foundInBook(search).map(({ part, tables }) => ({ ...BOOK_PARTS[part], id: part, tables }));
    return { parts, search, title: null, found, sources: sources(found.flatMap(({ tables }) => tables)) };
  }
  const id = BOOK_PART_IDS.find((known) => known === params.part);
  if (params.part !== undefined && !id) throw data(null, { status: 404 });
  const found = id ? [{ id, title: BOOK_PARTS[id].title, tables: BOOK_PARTS[id].tables() }] : [];
  return {
    parts,
    search,
    title: found[0]?.title ?? null,
    found,
    sources: sources(found.flatMap(({ tables }) => tables)),
  };
}

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.title ? `${loaderData.title} · ` : ''}Data book · Fen` },
];

function Table({ table }: { table: BookTable }) {
  return (
    <section className="mb-8">
      <h3 className="mb-2 text-lg">{table.title}</h3>
      {table.note && <p className="mb-2 text-sm">{table.note}</p>}
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={`Table: ${table.title}`}>
        <table className="[&_td]:border-line w-full border-collapse text-sm [&_td]:border-t [&_td]:py-1 [&_td]:pr-4 [&_th]:py-1 [&_th]:pr-4 [&_th]:text-left">
          <thead>
            <tr>
              {table.columns.map(({ head }) => (
                <th key={head} scope="col">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {table.rows.map((row) => (
              <tr key={row[0]}>
                {row.map((cell, i) => {
                  const kind = table.columns[i]?.kind;
                  return (
                    <td key={i} className={kind === 'number' ? 'font-mono' : ''}>
                      {kind === 'formula' ? <Formula>{cell}</Formula> : cell}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

export default function DataBook({ loaderData }: Route.ComponentProps) {
  const { parts, search, found, sources } = loaderData;
  return (
    <Page title="Data book" wide>
      <div className="mb-6 flex flex-wrap items-end gap-x-8 gap-y-3">
        <nav aria-label="Parts of the data book" className="flex flex-wrap gap-x-5 gap-y-1">
          {parts.map(({ id, title }) => (
            <NavLink
              key={id}
              to={`/data-book/${id}`}
              className={({ isActive }) =>
                isActive ? 'border-ink text-ink border-b-[3px] font-serif no-underline' : 'font-serif'
              }
            >
              {title}
            </NavLink>
          ))}
        </nav>
        <Form method="get" action="/data-book" role="search" className="ml-auto flex items-end gap-2">
          <label className="text-sm">
            Search the whole book
            <input
              key={search}
              name="search"
              type="search"
              defaultValue={search}
              maxLength={SEARCH_AT_MOST}
              className={`${INPUT} block h-8 w-56`}
            />
          </label>
          <Button>Search</Button>
        </Form>
      </div>
      {search !== '' && found.length === 0 && (
        <p role="status">
          Nothing in the book has “{search}”. Try a name, a formula such as CO2, or one word of what you look for.
        </p>
      )}
      {search === '' && found.length === 0 && <p>Choose a part of the book, or search all of it.</p>}
      {found.map((part) => (
        <section key={part.id}>
          {search === '' ? (
            <h2 className="sr-only">{part.title}</h2>
          ) : (
            <h2 className="mb-3 text-lg">
              <Link to={`/data-book/${part.id}`}>{part.title}</Link>
            </h2>
          )}
          {part.tables.map((table) => (
            <Table key={table.title} table={table} />
          ))}
        </section>
      ))}
      {sources.length > 0 && (
        <section>
          <h2 className="mb-2 text-lg">Sources</h2>
          <ul className="text-sm">
            {sources.map(({ number, text }) => (
              <li key={number}>
                [{number}] {text}
              </li>
            ))}
          </ul>
        </section>
      )}
    </Page>
  );
}
