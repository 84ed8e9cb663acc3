/** The largest row that is taken, bytes of JSON: by a save, and as a line of an archive, which must take all that was saved. */
export const MOST_ROW_BYTES = 2_000_000;

/*
 * What one space, a person's own or a crew's, may have, so that none takes the room of the others. Assumptions: as much as a
 * phone was seen to hold and stay quick, and a photo for each of a few thousand tests.
 */

/** Rows of one kind, archived ones too. */
export const MOST_ROWS = 20_000;
export const MOST_PHOTOS = 5_000;
/** Jobs of one lane that a server works on at once: each keeps the database busy. Assumption. */
export const JOBS_AT_ONCE = 2;
/** Long imports that have begun and not ended. */
export const MOST_IMPORTS = 5;

/** A space has all that it may have. */
export class SpaceFull extends Error {}
