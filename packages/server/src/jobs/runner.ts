import { randomUUID } from 'node:crypto';
import { setTimeout as sleep } from 'node:timers/promises';

import type { Pool } from 'mysql2/promise';
import type { Logger } from 'pino';

import { JOBS_AT_ONCE } from '../limits';
import { inTransaction, isDiskFull, isPassing, type Connection } from '../db/pool';
import {
  dropParts,
  HELD_S,
  holdJob,
  isFile,
  JobLost,
  markJob,
  releaseJob,
  takeJob,
  type Job,
  type JobKind,
  type JobName,
  type JobState,
} from '../repositories/jobs';

/** What somebody waits for with the finger on the glass does not stand behind what takes an hour. */
const LANES: readonly (readonly JobKind[])[] = [
  ['rows', 'loads', 'paper'],
  ['log', 'archive', 'out'],
];
/** How often it is looked for what another server left, ms. */
const LOOK_MS = 3_000;
/** A database that was away is tried again after so long, so often, before the job is left to whoever looks next, ms. */
const AGAIN_MS = 1_000;
const TRIES = 8;
/**
 * A job at which servers ended so often without its coming any further is refused: it may be what ended them, and would
 * end each start after it.
 */
const MOST_INTERRUPTED = 2;

/** What a step came to: where it is now, what it says, and whether that is the end. */
export interface Step {
  readonly mark: unknown;
  readonly told: unknown;
  readonly state?: JobState;
}

/** What work is done with. */
export interface Hands {
  readonly pool: Pool;
  /** One transaction of it: what it writes and how far it has come are kept together. */
  readonly step: (work: (connection: Connection) => Promise<Step>) => Promise<void>;
  /** Throws where it has to be left off: asked for between steps that write nothing. */
  readonly check: () => void;
}

/** Does a job from its mark on, step by step, and ends it with a step whose state is `done` or `refused`. */
export type Work = (job: Job, hands: Hands) => Promise<void>;

class Stopping extends Error {}

/** Jobs that wait for one another. */
interface Lane {
  readonly kinds: readonly JobKind[];
  /** What came in here, in its order. */
  readonly ours: JobName[];
  atWork: number;
}

/**
 * Works on jobs that have come in whole, on whichever server. One that is killed in the middle is gone on with by another,
 * from the last step that was kept.
 */
export class JobRunner {
  private readonly holder = randomUUID();
  private readonly lanes: readonly Lane[] = LANES.map((kinds) => ({ kinds, ours: [], atWork: 0 }));
  private stopped = false;
  private timer: NodeJS.Timeout | undefined;

  constructor(
    private readonly pool: Pool,
    private readonly log: Logger,
    private readonly works: Readonly<Record<JobKind, Work>>,
  ) {}

  /** Looks for what others left, from now on. */
  start(): void {
    this.timer = setInterval(() => this.wake(), LOOK_MS);
    this.timer.unref();
    this.wake();
  }

  /** Lets go of what it is at after the step under way. */
  stop(): void {
    this.stopped = true;
    clearInterval(this.timer);
    this.timer = undefined;
  }

  /** There is something to do: this, or, once it was started, whatever there is. */
  wake(job?: Job): void {
    for (const lane of this.lanes) {
      if (job && !lane.kinds.includes(job.kind)) continue;
      if (job) lane.ours.push(job);
      this.goOn(lane);
    }
  }

  private goOn(lane: Lane): void {
    if (this.stopped || lane.atWork >= JOBS_AT_ONCE) return;
    lane.atWork += 1;
    void this.turn(lane);
  }

  private async turn(lane: Lane): Promise<void> {
    try {
      for (;;) {
        if (this.stopped) return;
        const own = lane.ours.shift();
        if (!own && !this.timer) return;
        const job = await takeJob(this.pool, this.holder, lane.kinds, own);
        if (!job && own) continue;
        if (!job) return;
        // There may be more.
        this.goOn(lane);
        await this.work(job);
      }
    } catch (error) {
      if (!isPassing(error)) this.log.error({ err: error }, 'looking for jobs');
    } finally {
      lane.atWork -= 1;
    }
  }

  private async work(job: Job): Promise<void> {
    const holding = setInterval(
      () => void holdJob(this.pool, job, this.holder).catch(() => undefined),
      (HELD_S * 1000) / 3,
    );
    const check = (): void => {
      if (this.stopped) throw new Stopping();
    };
    const hands: Hands = {
      pool: this.pool,
      check,
      step: async (work) => {
        check();
        for (let run = 1; ; run += 1) {
          try {
            await inTransaction(this.pool, async (connection) => {
              const { mark, told, state } = await work(connection);
              await markJob(connection, job, this.holder, { mark, told, ...(state && { state }) });
            });
            return;
          } catch (error) {
            if (!isPassing(error) || run === TRIES) throw error;
            await sleep(AGAIN_MS);
            check();
          }
        }
      },
    };
    const refuse = (code: 'internal' | 'serverStopped' | 'diskFull'): Promise<unknown> =>
      inTransaction(this.pool, (connection) =>
        markJob(connection, job, this.holder, { mark: null, told: { problem: { code } }, state: 'refused' }),
      ).catch(() => undefined);
    try {
      if (job.interrupted >= MOST_INTERRUPTED) {
        this.log.error({ job: job.id, kind: job.kind }, 'a job at which servers ended is refused');
        await refuse('serverStopped');
        return;
      }
      await this.works[job.kind](job, hands);
      // Of a file they are what was asked for.
      if (!isFile(job)) await dropParts(this.pool, job);
    } catch (error) {
      if (error instanceof JobLost) return;
      if (error instanceof Stopping || isPassing(error)) {
        await releaseJob(this.pool, job, this.holder).catch(() => undefined);
        return;
      }
      this.log.error({ err: error }, `a job: ${job.kind}`);
      await refuse(isDiskFull(error) ? 'diskFull' : 'internal');
    } finally {
      clearInterval(holding);
    }
  }
}
