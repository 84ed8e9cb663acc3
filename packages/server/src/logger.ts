import { pino, type Logger } from 'pino';

/**
 * What is logged of an error: its kind and where it came from. What it says is left out, because a database says which
 * value it choked on, and that may be a name or a note of somebody's.
 */
export function safeError(error: unknown): object {
  if (!(error instanceof Error)) return { type: typeof error };
  const { code, errno, sqlState } = error as { code?: unknown; errno?: unknown; sqlState?: unknown };
  return {
    type: error.name,
    ...(code !== undefined && { code }),
    ...(errno !== undefined && { errno }),
    ...(sqlState === undefined && { message: error.message }),
    ...(sqlState !== undefined && { sqlState }),
    at: (error.stack ?? '')
      .split('\n')
      .filter((line) => /^\s+at /.test(line))
      .slice(0, 12)
      .map((line) => line.trim()),
  };
}

/** The server's log: JSON, a line each, on its standard output. Neither what is asked for nor headers are in it. */
export const createLogger = (level: string, destination?: NodeJS.WritableStream): Logger =>
  pino(
    {
      level,
      serializers: {
        err: safeError,
        req: ({ id, method, url }: { id?: unknown; method: string; url: string }) => ({
          id,
          method,
          path: url.split('?')[0],
        }),
        res: ({ statusCode }: { statusCode: number }) => ({ statusCode }),
      },
    },
    ...(destination ? [destination as never] : []),
  );
