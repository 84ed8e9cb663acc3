/**
 * Bead-seat diameters of bicycle rims, mm. Published: ISO 5775-1 and -2 (from memory). 559 is 26 in, 584 is 27.5 in
 * and 650B, 622 is 29 in, 28 in and 700C; 406 and 507 are 20 and 24 in with a decimal width.
 */
export const BEAD_SEATS_MM = [305, 349, 355, 406, 451, 507, 520, 540, 547, 559, 571, 584, 590, 597, 622, 630, 635];

/** The bead seat of a rim that inches with a decimal width name. */
export const BEAD_SEAT_OF_INCH: Readonly<Record<string, number>> = {
  '20': 406,
  '24': 507,
  '26': 559,
  '27.5': 584,
  '28': 622,
  '29': 622,
};

/** The bead seat of a rim that the French names give, diameter and letter. */
export const BEAD_SEAT_OF_FRENCH: Readonly<Record<string, number>> = {
  '700C': 622,
  '650A': 590,
  '650B': 584,
  '650C': 571,
  '600A': 540,
};

/** A bicycle tire is about as high as it is wide. Assumption; the person measures the width. */
export const BICYCLE_ASPECT_PERCENT = 100;
