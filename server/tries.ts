import { z } from 'zod';
import { maybeRow, pool } from './db';
import { newToken, tokenHash } from './secrets';
import { Refused } from './sentences';

/**
 * Guessing a password is slow and waiting for it grows; knowing it is not. Only failures count. They count for an account
 * as seen from one address, for the account from anywhere, and for the address, and a browser that has signed in to the
 * account before counts by itself, so that nobody is shut out by what somebody else tries beside them. Who joins or signs up is counted beside that.
 */

interface Rule {
  /** Failures that cost no wait. */
  free: number;
  /** The longest wait, s. Each failure doubles it, from one second on. */
  longestS: number;
}

const RULES = {
  /** An account from one address, or from one browser that knows it. */
  account: { free: 6, longestS: 60 },
  /** An account from all addresses together. */
  everywhere: { free: 60, longestS: 60 },
  /** An address: five classes that mistype some of their words are far below it. */
  address: { free: 400, longestS: 30 },
} satisfies Record<string, Rule>;

type Kind = keyof typeof RULES;

/** After so long without a failure, all is forgotten. */
const FORGOTTEN = `interval '1 hour'`;

async function waitS(keys: readonly string[]): Promise<number> {
  const row = await maybeRow(
    pool(),
    z.object({ wait: z.number().nullable() }),
    'select max(extract(epoch from free_at - now()))::float8 as wait from tries where key = any($1)',
    [keys],
  );
  return Math.max(row?.wait ?? 0, 0);
}

async function countFailure(kind: Kind, key: string): Promise<void> {
  const { free, longestS } = RULES[kind];
  await pool().query(
    `insert into tries as t (key, failures, last_at, free_at) values ($1, 1, now(), now())
     on conflict (key) do update set last_at = now(),
       failures = case when t.last_at < now() - ${FORGOTTEN} then 1 else t.failures + 1 end,
       free_at = case when t.last_at < now() - ${FORGOTTEN} or t.failures < $2 then now()
         else now() + make_interval(secs => least($3, power(2, least(t.failures - $2, 20)))) end`,
    [key, free, longestS],
  );
}

/** Newcomers of one address within a quarter of an hour: five classes behind one address may join at once. */
const NEWCOMERS = { most: 400, withinS: 900 };

/** Counts one who joins or signs up, right or wrong. @throws Refused with the waiting time when there were too many */
export async function countNewcomer(address: string): Promise<void> {
  const row = await maybeRow(
    pool(),
    z.object({ count: z.number(), left: z.number() }),
    `insert into tries as t (key, failures, last_at, free_at) values ($1, 1, now(), now())
     on conflict (key) do update set
       failures = case when t.last_at < now() - make_interval(secs => $2) then 1 else t.failures + 1 end,
       last_at = case when t.last_at < now() - make_interval(secs => $2) then now() else t.last_at end
     returning failures as count, extract(epoch from last_at - now())::float8 + $2 as left`,
    [`newcomers ${address}`, NEWCOMERS.withinS],
  );
  if (!row || row.count <= NEWCOMERS.most) return;
  const minutes = Math.max(1, Math.ceil(row.left / 60));
  throw new Refused(`There were too many tries. Wait ${minutes} min and try again.`);
}

/** Those of long ago count for nothing any more; a few go with each failure, so that they never pile up. */
const forgetOld = () =>
  pool().query(
    `delete from tries where key in (select key from tries where last_at < now() - ${FORGOTTEN} order by last_at limit 100)`,
  );

/** Who tries to sign in, and from where. */
export interface Trier {
  address: string;
  /** What this browser's cookie says it is known by; undefined for one that has signed in to nothing. */
  device: string | undefined;
}

const isKnown = async (account: string, device: string | undefined): Promise<boolean> => {
  if (!device) return false;
  const found = await pool().query('select 1 from known_devices where token_hash = $1 and account = $2', [
    tokenHash(device),
    account,
  ]);
  return (found.rowCount ?? 0) > 0;
};

/**
 * Lets somebody try a secret for an account, now or after a wait.
 * @param right whether the secret was right; asked only when the wait is over
 * @throws Refused with the waiting time
 */
export async function trying<T>(
  account: string,
  { address, device }: Trier,
  right: () => Promise<T | undefined>,
): Promise<T | undefined> {
  const known = await isKnown(account, device);
  const own: [Kind, string][] = [['account', `account ${account} ${known ? 'known' : address}`]];
  const shared: [Kind, string][] = [
    ['everywhere', `everywhere ${account}`],
    ['address', `address ${address}`],
  ];
  const counted = known ? own : [...own, ...shared];
  const wait = await waitS(counted.map(([, key]) => key));
  if (wait > 0) {
    const seconds = Math.ceil(wait);
    throw new Refused(
      `There were too many wrong tries. Wait ${seconds} ${seconds === 1 ? 'second' : 'seconds'} and try again.`,
    );
  }
  const found = await right();
  if (found === undefined) {
    for (const [kind, key] of counted) await countFailure(kind, key);
    await forgetOld();
  } else await pool().query('delete from tries where key = $1', [own[0]?.[1]]);
  return found;
}

const DEVICE_DAYS = 400;
/** One browser of a shared machine knows so many accounts at most; the oldest are forgotten. */
const ACCOUNTS_AT_MOST = 300;

/** Remembers that a browser has signed in to an account. @returns what its cookie is to hold */
export async function knowDevice(account: string, device: string | undefined): Promise<string> {
  const token = device ?? newToken('device');
  await pool().query(
    `insert into known_devices (token_hash, account, expires_at) values ($1, $2, now() + make_interval(days => $3))
     on conflict (token_hash, account) do update set expires_at = excluded.expires_at`,
    [tokenHash(token), account, DEVICE_DAYS],
  );
  await pool().query(
    `delete from known_devices where expires_at < now() or (token_hash = $1 and account in
       (select account from known_devices where token_hash = $1 order by expires_at desc offset $2))`,
    [tokenHash(token), ACCOUNTS_AT_MOST],
  );
  return token;
}
