/** Which figure of a ground is asked for: where to start, and the ends of its window. */
export type Figure = 'start' | 'low' | 'high';
