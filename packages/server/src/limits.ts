/** The largest row that is taken, bytes of JSON: by a save, and as a line of an archive, which must take all that was saved. */
export const MOST_ROW_BYTES = 2_000_000;
