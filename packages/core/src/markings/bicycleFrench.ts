import { BEAD_SEAT_OF_FRENCH, BICYCLE_ASPECT_PERCENT } from './beadSeats';
import { finishTire, type Notation } from './notation';

const PATTERN = /^(?<nominal>700|650|600)\s*X\s*(?<width>\d{2,3}(?:\.\d)?)\s*(?<letter>[ABC])?$/;

/** Bicycles: the old diameter names, nominal width in mm: `700x42C`, `650x47B`. */
export const bicycleFrench: Notation = {
  code: 'bicycleFrench',
  example: '700x42C',
  read(text) {
    const parts = PATTERN.exec(text)?.groups;
    if (!parts) return null;
    // 700 without a letter is 700C; the others have several rims to a number.
    const letters = ['A', 'B', 'C'].filter((letter) => `${parts.nominal}${letter}` in BEAD_SEAT_OF_FRENCH);
    const letter = parts.letter ?? (letters.length === 1 ? letters[0] : undefined);
    const beadSeat = letter && BEAD_SEAT_OF_FRENCH[`${parts.nominal}${letter}`];
    if (!beadSeat) return { ok: false, problem: { code: 'rimLetterMissing', letters } };
    return finishTire(
      {
        notation: 'bicycleFrench',
        use: 'bicycle',
        construction: 'bias',
        sectionWidthMm: Number(parts.width),
        aspectPercent: BICYCLE_ASPECT_PERCENT,
        rimDiameterMm: beadSeat,
      },
      parts,
    );
  },
  write(tire) {
    const [name] = Object.entries(BEAD_SEAT_OF_FRENCH).find(([, beadSeat]) => beadSeat === tire.rimDiameterMm)!;
    return `${name.slice(0, -1)}x${tire.sectionWidthMm}${name.at(-1)}`;
  },
};
