/** Something measured on one wheel that the model of its tire predicts too. Pressures as read, corrected for its known offset. */
export type Observation = {
  readonly of: 'length' | 'width' | 'settles';
  readonly pressureKpa: number;
  readonly loadKg: number;
  readonly valueMm: number;
  /** How well such a thing is read: one standard deviation. Assumption. */
  readonly deviationMm: number;
  /**
   * Readings that are all too long by about the same share one name: poles at the tire's skirt, the sides of a hole
   * in soft ground. Null reads the thing itself.
   */
  readonly offset: string | null;
  /** Which test and run it is of. */
  readonly test: string;
  readonly run: number;
};

/** An observation of a test that is not yet known by its name. */
export type Evidence = Omit<Observation, 'test'>;
