/** Speeds that can be asked for, km/h. */
export const SPEED_KMH = { least: 1, most: 300 };

/** A restored backup moves every revision up by so many: nobody saves one row as often between a backup and its restore. Assumption. */
export const REVISIONS_OF_AN_EPOCH = 1_000_000;
