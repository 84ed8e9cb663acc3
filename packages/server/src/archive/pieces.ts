/** What is long lies in parts of one size, but the last. */
export const PART_BYTES = 1_000_000;

/** Gives bytes from one place up to another, out of parts that are had one by one. */
export function piecesFrom(
  partAt: (part: number) => Promise<Buffer>,
): (start: number, end: number) => AsyncGenerator<Buffer> {
  // A directory is read in many small pieces.
  let last: { readonly part: number; readonly bytes: Buffer } | undefined;
  return async function* bytes(start, end) {
    for (let at = start; at < end;) {
      const part = Math.floor(at / PART_BYTES);
      const own = last?.part === part ? last.bytes : await partAt(part);
      last = { part, bytes: own };
      const from = at - part * PART_BYTES;
      const piece = own.subarray(from, Math.min(own.length, from + end - at));
      if (piece.length === 0) return;
      yield piece;
      at += piece.length;
    }
  };
}
