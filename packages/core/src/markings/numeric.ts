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

const PATTERN = new RegExp(
  String.raw`^(?<width>\d{1,2}\.\d{2})\s*(?<construction>[RDB-])\s*(?<rim>\d{2}(?:\.5)?)(?:\s*LT)?` + SERVICE_PATTERN,
);

/** A size of the full-profile series names no aspect. Assumption: the sidewall is as high as the section is wide. */
export const FULL_PROFILE_ASPECT_PERCENT = 100;

/** From here on an inch size is a truck's. Assumption. */
const TRUCK_FROM_INCH = 8;

/** Light trucks and trucks, section width and rim in inches, full profile: `7.50R16`, `11.00R20`. */
export const numeric: Notation = {
  code: 'numeric',
  example: '7.50R16',
  read(text) {
    const parts = PATTERN.exec(text)?.groups;
    if (!parts) return null;
    return finishTire(
      {
        notation: 'numeric',
        use: Number(parts.width) < TRUCK_FROM_INCH ? 'lightTruck' : 'truck',
        construction: readConstruction(parts.construction!),
        sectionWidthMm: inch(Number(parts.width)),
        aspectPercent: FULL_PROFILE_ASPECT_PERCENT,
        rimDiameterMm: inch(Number(parts.rim)),
      },
      parts,
    );
  },
  write(tire) {
    return `${writeInches(tire.sectionWidthMm, 2)}${writeConstruction(tire)}${writeRim(tire)}${writeService(tire)}`;
  },
};
