/** One line to the person at the terminal. */
export const say = (line) => process.stdout.write(`${line}\n`);

/** A failure that is told in one line, without a stack. */
export class PlainError extends Error {}

/** Runs a script's main function; a plain error ends it with its one line. */
export function run(main) {
  main().catch((error) => {
    process.stderr.write(`${error instanceof PlainError ? error.message : (error.stack ?? error)}\n`);
    process.exit(1);
  });
}
