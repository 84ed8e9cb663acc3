import { v7 } from 'uuid';

/** An id for a new row, made here so that a save can be repeated safely. Sorts by time. */
export const newId = (): string => v7();
