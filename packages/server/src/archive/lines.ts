const LINE_END = 0x0a;

/** A line is longer than any that is taken. */
export class LineTooLong extends Error {}

/** Whole lines, without their ends. */
export interface Lines {
  readonly lines: readonly string[];
  /** How many bytes there are up to the end of the last of them. */
  readonly bytes: number;
}

/**
 * The lines of bytes as they come. Never more of them in memory than one line and one part.
 *
 * @param longest the most bytes that a line may have: more is not waited for
 * @throws LineTooLong
 */
export async function* linesIn(parts: AsyncIterable<Buffer>, longest: number): AsyncGenerator<Lines> {
  let begun: Buffer[] = [];
  let length = 0;
  let bytes = 0;
  for await (const part of parts) {
    const whole = part.lastIndexOf(LINE_END) + 1;
    if (whole > 0) {
      const lines = Buffer.concat([...begun, part.subarray(0, whole)])
        .toString('utf8')
        .split(/\r?\n/)
        .slice(0, -1);
      if (lines.some((line) => line.length > longest)) throw new LineTooLong();
      bytes += length + whole;
      begun = [];
      length = 0;
      yield { lines, bytes };
    }
    begun.push(part.subarray(whole));
    length += part.length - whole;
    if (length > longest) throw new LineTooLong();
  }
  if (length > 0) yield { lines: [Buffer.concat(begun).toString('utf8').replace(/\r$/, '')], bytes: bytes + length };
}
