import { Piscina } from 'piscina';

/**
 * One thread beside the event loop, begun when it is first needed and ended when nobody asks any more, unless it is kept.
 *
 * @param filename the module that it runs
 * @param most how much memory it may take, MB, how many may wait for it, and whether it is kept
 */
export function oneThread(
  filename: string,
  most: { readonly memoryMb: number; readonly waiting?: number; readonly kept?: boolean },
): () => Piscina {
  let thread: Piscina | undefined;
  return () =>
    (thread ??= new Piscina({
      filename,
      execArgv: ['--import', 'tsx'],
      minThreads: most.kept ? 1 : 0,
      maxThreads: 1,
      ...(most.waiting !== undefined && { maxQueue: most.waiting }),
      idleTimeout: 60_000,
      resourceLimits: { maxOldGenerationSizeMb: most.memoryMb },
    }));
}
