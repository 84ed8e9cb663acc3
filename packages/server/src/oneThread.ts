import { Piscina } from 'piscina';

/**
 * One thread beside the event loop, begun when it is first needed and ended when nobody asks any more.
 *
 * @param filename the module that it runs
 * @param most how much memory it may take, MB, and how many may wait for it
 */
export function oneThread(
  filename: string,
  most: { readonly memoryMb: number; readonly waiting?: number },
): () => Piscina {
  let thread: Piscina | undefined;
  return () =>
    (thread ??= new Piscina({
      filename,
      execArgv: ['--import', 'tsx'],
      minThreads: 0,
      maxThreads: 1,
      ...(most.waiting !== undefined && { maxQueue: most.waiting }),
      idleTimeout: 60_000,
      resourceLimits: { maxOldGenerationSizeMb: most.memoryMb },
    }));
}
