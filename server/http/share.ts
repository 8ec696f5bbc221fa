import type { NextFunction, Request, Response } from 'express';
import { LRUCache } from 'lru-cache';
import { z } from 'zod';
import { maybeRow, pool } from '../db';
import { tokenHash } from '../secrets';
import { tokenIn } from './session-cookies';

/**
 * Whose share of the server a request is: of the person who is signed in, wherever they sit; of those who are not, of their
 * address, since a cookie that nobody was given is nobody's.
 */

const KNOWN_MS = 30_000;
const known = new LRUCache<string, string>({ max: 5_000, ttl: KNOWN_MS });

const personRow = z.object({ person: z.string() });

/** The person of the first of these sessions that stands. */
async function personOf(tokens: readonly string[]): Promise<string | undefined> {
  const hashes = tokens.map(tokenHash);
  const key = hashes.map((hash) => hash.toString('base64')).join(' ');
  const found = known.get(key);
  if (found) return found;
  const row = await maybeRow(
    pool(),
    personRow,
    `select coalesce(student_id, teacher_id)::text as person from sessions
     where token_hash = any($1) and expires_at > now() order by student_id limit 1`,
    [hashes],
  );
  if (row) known.set(key, row.person);
  return row?.person;
}

/** An address as one place: of IPv6 a whole network, which one machine has for itself. */
const placeOf = (address: string): string =>
  address.includes(':') && !address.includes('.') ? address.split(':').slice(0, 4).join(':') : address;

export const isAddress = (share: string): boolean => share.startsWith('from ');

/** Finds out whose share it is, before a place is asked for; where that cannot be found out now, their address's. */
export async function findShare(request: Request, response: Response, next: NextFunction): Promise<void> {
  const header = request.get('cookie');
  const tokens = (await Promise.all([tokenIn('student', header), tokenIn('teacher', header)])).filter(
    (token) => token !== undefined,
  );
  const person = tokens.length > 0 ? await personOf(tokens).catch(() => undefined) : undefined;
  response.locals['share'] = person ?? `from ${placeOf(request.ip ?? '')}`;
  next();
}
