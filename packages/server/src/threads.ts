import { Piscina } from 'piscina';

/**
 * Threads beside the event loop, each begun when it is first needed and ended when nobody asks any more, unless one is kept.
 *
 * @param filename the module that they run
 * @param most how much memory each may take, MB, how many there may be, how many may wait for them, and whether one is kept
 */
export function threads(
  filename: string,
  most: { readonly memoryMb: number; readonly atOnce?: number; readonly waiting?: number; readonly kept?: boolean },
): () => Piscina {
  let pool: Piscina | undefined;
  return () =>
    (pool ??= new Piscina({
      filename,
      execArgv: ['--import', 'tsx'],
      minThreads: most.kept ? 1 : 0,
      maxThreads: most.atOnce ?? 1,
      ...(most.waiting !== undefined && { maxQueue: most.waiting }),
      idleTimeout: 60_000,
      resourceLimits: { maxOldGenerationSizeMb: most.memoryMb },
    }));
}
