import type { TestProject } from 'vitest/node';

declare module 'vitest' {
  interface ProvidedContext {
    databaseUrl: string;
  }
}

/** The server's tests run on the database of npm test, or on one of their own when run alone. */
export default async function setup(project: TestProject) {
  const given = process.env.DATABASE_URL;
  if (given) {
    project.provide('databaseUrl', given);
    return;
  }
  const module = (await import(new URL('../../scripts/lib/fresh-database.mjs', import.meta.url).href)) as {
    freshDatabase: (name: string) => Promise<{ url: string; stop: () => Promise<void> }>;
  };
  const database = await module.freshDatabase('vitest');
  project.provide('databaseUrl', database.url);
  return () => database.stop();
}
