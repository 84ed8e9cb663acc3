import { BEAD_SEATS_MM, BICYCLE_ASPECT_PERCENT } from './beadSeats';
import { finishTire, type Notation } from './notation';

/** What stands in brackets behind the ISO size says the same again in another notation. */
const PATTERN = /^(?<width>\d{2,3})\s*-\s*(?<bead>\d{3})(?:\s*\(.*\))?$/;

/** Bicycles, ISO 5775: nominal width and bead seat in mm: `42-622`. */
export const bicycleIso: Notation = {
  code: 'bicycleIso',
  example: '42-622',
  read(text) {
    const parts = PATTERN.exec(text)?.groups;
    if (!parts) return null;
    const beadSeatMm = Number(parts.bead);
    if (!BEAD_SEATS_MM.includes(beadSeatMm)) {
      return { ok: false, problem: { code: 'unknownBeadSeat', beadSeatMm, known: BEAD_SEATS_MM } };
    }
    return finishTire(
      {
        notation: 'bicycleIso',
        use: 'bicycle',
        construction: 'bias',
        sectionWidthMm: Number(parts.width),
        aspectPercent: BICYCLE_ASPECT_PERCENT,
        rimDiameterMm: beadSeatMm,
      },
      parts,
    );
  },
  write: (tire) => `${tire.sectionWidthMm}-${tire.rimDiameterMm}`,
};
