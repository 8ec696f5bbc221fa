import { RateLimiterMemory, RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import { pool } from './db';
import { Refused } from './sentences';

type Kind = 'join-address';

/** Points and seconds: five classes behind one address may join at once. */
const LIMITS: Record<Kind, { points: number; duration: number }> = {
  'join-address': { points: 400, duration: 900 },
};

const limiters = new Map<Kind, Promise<RateLimiterPostgres>>();

function limiter(kind: Kind): Promise<RateLimiterPostgres> {
  let found = limiters.get(kind);
  if (!found) {
    const { points, duration } = LIMITS[kind];
    found = new Promise((resolve, reject) => {
      const made: RateLimiterPostgres = new RateLimiterPostgres(
        {
          storeClient: pool(),
          tableName: 'rate_limits',
          keyPrefix: kind,
          points,
          duration,
          insuranceLimiter: new RateLimiterMemory({ points, duration }),
        },
        (error) => (error ? reject(error) : resolve(made)),
      );
    });
    limiters.set(kind, found);
  }
  return found;
}

/** Counts one try against a key. @throws Refused with the waiting time when there were too many */
export async function countTry(kind: Kind, key: string): Promise<void> {
  try {
    await (await limiter(kind)).consume(key);
  } catch (error) {
    if (!(error instanceof RateLimiterRes)) throw error;
    const minutes = Math.max(1, Math.ceil(error.msBeforeNext / 60_000));
    throw new Refused(`There were too many tries. Wait ${minutes} min and try again.`);
  }
}
