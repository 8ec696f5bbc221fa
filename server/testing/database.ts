import { inject } from 'vitest';

/** The database of this worker, which its tests have for themselves. */
export function databaseUrl(): string {
  const urls = inject('databaseUrls');
  const worker = Number(process.env['VITEST_POOL_ID'] ?? 1);
  return urls[(worker - 1) % urls.length] as string;
}
