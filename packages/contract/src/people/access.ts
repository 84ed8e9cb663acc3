/** Calculates with what it is sent, and keeps nothing. */
export const KEEPS_NOTHING = /^\/calc\//;
