import type { ProblemCode } from '@dunlinmoss/contract';
import { nameKey } from '@dunlinmoss/contract/api';
import type { Pool } from 'mysql2/promise';
import { RateLimiterMySQL, type RateLimiterRes } from 'rate-limiter-flexible';

import { Refusal } from '../problems';

/** Wrong tries at one name from one address, and from one address at any: then it waits, s. */
const OF_NAME = { points: 8, duration: 900 };
const OF_ADDRESS = { points: 60, duration: 3_600 };

/**
 * Counts wrong tries, in the database, so that it does not matter which server they come to. A name is counted together
 * with the address: nobody can lock somebody else out of their own phone.
 */
export interface Throttle {
  /** Runs a try; throws `tooManyTries` before it where there were too many wrong ones. It counts when it throws. */
  guard<T>(name: string, address: string, attempt: () => Promise<T>): Promise<T>;
}

/** A secret that was guessed at. An invitation that is used or too old was none: it names one that there is. */
const WRONG: ReadonlySet<ProblemCode> = new Set(['wrongPassphrase', 'wrongPasskey', 'wrongCode', 'invitationUnknown']);

export function throttle(pool: Pool): Throttle {
  const limiter = (keyPrefix: string, limit: { points: number; duration: number }) =>
    new RateLimiterMySQL({
      // It knows the plain connection alone, which this wraps.
      storeClient: pool.pool,
      storeType: 'pool',
      dbName: (pool.pool.config as unknown as { connectionConfig: { database: string } }).connectionConfig.database,
      tableName: 'wrong_tries',
      tableCreated: true,
      keyPrefix,
      ...limit,
    });
  const ofName = limiter('name', OF_NAME);
  const ofAddress = limiter('address', OF_ADDRESS);
  const refuseAfter = (waits: RateLimiterRes | null, points: number): void => {
    if (waits && waits.consumedPoints >= points && waits.msBeforeNext > 0) {
      throw new Refusal('tooManyTries', { retryAfterS: Math.ceil(waits.msBeforeNext / 1000) });
    }
  };
  return {
    async guard(name, address, attempt) {
      const key = `${nameKey(name).slice(0, 80)} ${address}`;
      refuseAfter(await ofName.get(key), OF_NAME.points);
      refuseAfter(await ofAddress.get(address), OF_ADDRESS.points);
      try {
        const done = await attempt();
        await ofName.delete(key);
        return done;
      } catch (error) {
        if (error instanceof Refusal && WRONG.has(error.code)) {
          await Promise.all([ofName.penalty(key), ofAddress.penalty(address)]);
        }
        throw error;
      }
    },
  };
}
