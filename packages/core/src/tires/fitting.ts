/** What holds the bead: nothing but air, a ring that clamps it, or a lock at the rim. */
export const BEAD_HOLDS = ['none', 'beadLock', 'rimLock'] as const;
export type BeadHold = (typeof BEAD_HOLDS)[number];

/** How stout a bicycle tire's casing is. */
export const CASINGS = ['thin', 'medium', 'downhill'] as const;
export type Casing = (typeof CASINGS)[number];
