const LINE_END = 0x0a;
const RETURN = 0x0d;

/** A line is longer than any that is taken. */
export class LineTooLong extends Error {}

const textOf = (line: Buffer): string =>
  line.toString('utf8', 0, line.at(-1) === RETURN ? line.length - 1 : line.length);

/**
 * The lines of bytes as they come, without their ends. Never more of them in memory than one line and one part.
 *
 * @param longest the most bytes that a line may have: more is not waited for
 * @throws LineTooLong
 */
export async function* linesIn(parts: AsyncIterable<Buffer>, longest: number): AsyncGenerator<string> {
  let begun: Buffer[] = [];
  let length = 0;
  for await (const part of parts) {
    let from = 0;
    for (let end = part.indexOf(LINE_END); end >= 0; end = part.indexOf(LINE_END, from)) {
      if (length + end - from > longest) throw new LineTooLong();
      yield textOf(Buffer.concat([...begun, part.subarray(from, end)]));
      begun = [];
      length = 0;
      from = end + 1;
    }
    begun.push(part.subarray(from));
    length += part.length - from;
    if (length > longest) throw new LineTooLong();
  }
  if (length > 0) yield textOf(Buffer.concat(begun));
}
