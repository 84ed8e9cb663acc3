import { wrap, type Remote } from 'comlink';

/** Has one thing done on a thread that ends with it. Throws where the thread can't be started. */
export async function once<Work, Result>(
  worker: Worker,
  ask: (work: Remote<Work>) => Promise<Result>,
): Promise<Result> {
  const failed = new Promise<never>((_, reject) => {
    worker.onerror = ({ message }) => reject(new Error(message));
  });
  try {
    return await Promise.race([ask(wrap<Work>(worker)), failed]);
  } finally {
    worker.terminate();
  }
}
