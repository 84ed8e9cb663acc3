import { inch } from '../units/units';
import {
  finishTire,
  readConstruction,
  SERVICE_PATTERN,
  writeConstruction,
  writeInches,
  writeRim,
  writeService,
  type Notation,
} from './notation';

/** Wider than this, an inch size with two digits behind the point is a light truck's. Assumption. */
const PATTERN = new RegExp(
  String.raw`^(?<width>[2-4]\.\d{2}|5\.[0-4]\d)\s*(?<construction>[RB-])\s*(?<rim>\d{2})(?:\s*M/C)?` + SERVICE_PATTERN,
);

/** A size of the full-profile series names no aspect. Assumption: the sidewall is as high as the section is wide. */
const ASPECT_PERCENT = 100;

/** Motorcycles, section width and rim in inches: `4.60-18`, `3.00-21 51P`. */
export const motorcycleInch: Notation = {
  code: 'motorcycleInch',
  example: '4.60-18 63P',
  read(text) {
    const parts = PATTERN.exec(text)?.groups;
    if (!parts) return null;
    return finishTire(
      {
        notation: 'motorcycleInch',
        use: 'motorcycle',
        construction: readConstruction(parts.construction!),
        sectionWidthMm: inch(Number(parts.width)),
        aspectPercent: ASPECT_PERCENT,
        rimDiameterMm: inch(Number(parts.rim)),
      },
      parts,
    );
  },
  write(tire) {
    return `${writeInches(tire.sectionWidthMm, 2)}${writeConstruction(tire)}${writeRim(tire)}${writeService(tire)}`;
  },
};
