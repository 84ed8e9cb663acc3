import { inch } from '../units/units';
import { BEAD_SEAT_OF_INCH, BICYCLE_ASPECT_PERCENT } from './beadSeats';
import { finishTire, writeInches, type Notation } from './notation';

const PATTERN =
  /^(?<nominal>20|24|26|27\.5|28|29)\s*(?:IN|"|'')?\s*X\s*(?:(?<width>\d(?:\.\d{1,3})?)|(?<fraction>\d\s*[\s-]\s*\d\/\d))\s*(?:IN|"|'')?$/;

/** Bicycles: nominal outer diameter and width in inches, the width with a decimal: `29x2.40`, `27.5x2.8`, `26x4.0`. */
export const bicycleInch: Notation = {
  code: 'bicycleInch',
  example: '29x2.40',
  read(text) {
    const parts = PATTERN.exec(text)?.groups;
    if (!parts) return null;
    if (parts.fraction !== undefined) return { ok: false, problem: { code: 'fractionalWidth' } };
    return finishTire(
      {
        notation: 'bicycleInch',
        use: 'bicycle',
        construction: 'bias',
        sectionWidthMm: inch(Number(parts.width)),
        aspectPercent: BICYCLE_ASPECT_PERCENT,
        rimDiameterMm: BEAD_SEAT_OF_INCH[parts.nominal!]!,
      },
      parts,
    );
  },
  write(tire) {
    // 28 and 29 name the same rim; off the road it is called 29.
    const nominal = Object.keys(BEAD_SEAT_OF_INCH).findLast((name) => BEAD_SEAT_OF_INCH[name] === tire.rimDiameterMm);
    return `${nominal}x${writeInches(tire.sectionWidthMm, 2)}`;
  },
};
