import { availableParallelism } from 'node:os';
import pg from 'pg';
import type { TestProject } from 'vitest/node';

declare module 'vitest' {
  interface ProvidedContext {
    /** One for each worker: tests that run side by side share none. */
    databaseUrls: string[];
  }
}

/** Copies of a migrated database that nobody is connected to. */
async function copies(url: string, count: number): Promise<string[]> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  const source = new URL(url).pathname.slice(1);
  const names = Array.from({ length: count }, (_, i) => `fen_test_${i + 1}`);
  for (const name of names) {
    await client.query(`drop database if exists ${name} with (force)`);
    await client.query(`create database ${name} template "${source}"`);
  }
  await client.end();
  return names.map((name) => Object.assign(new URL(url), { pathname: `/${name}` }).href);
}

/** The server's tests run on copies of the database of npm test, or of one of their own when run alone. */
export default async function setup(project: TestProject) {
  const given = process.env.DATABASE_URL;
  const module = (await import(new URL('../../scripts/lib/fresh-database.mjs', import.meta.url).href)) as {
    freshDatabase: (name: string) => Promise<{ url: string; stop: () => Promise<void> }>;
  };
  const database = given ? { url: given, stop: async () => {} } : await module.freshDatabase('vitest');
  project.provide('databaseUrls', await copies(database.url, Math.max(availableParallelism(), 2)));
  return () => database.stop();
}
