import { inch } from '../units/units';
import {
  finishTire,
  readConstruction,
  SERVICE_PATTERN,
  writeConstruction,
  writeRim,
  writeService,
  type Notation,
} from './notation';

const PATTERN = new RegExp(
  String.raw`^(?<width>\d{2}5)\s*(?<construction>R)\s*(?<rim>\d{2})(?<suffix>C)?` + SERVICE_PATTERN,
);

/** A size that names no aspect has one of 82 %. Common practice, no source. */
export const UNNAMED_ASPECT_PERCENT = 82;

/** Vans and small trailers: section width in mm without an aspect: `185R14C 102/100R`. */
export const fullProfileMetric: Notation = {
  code: 'fullProfileMetric',
  example: '185R14C 102/100R',
  read(text) {
    const parts = PATTERN.exec(text)?.groups;
    if (!parts) return null;
    return finishTire(
      {
        notation: 'fullProfileMetric',
        use: parts.suffix === 'C' ? 'commercial' : 'passenger',
        construction: readConstruction(parts.construction!),
        sectionWidthMm: Number(parts.width),
        aspectPercent: UNNAMED_ASPECT_PERCENT,
        rimDiameterMm: inch(Number(parts.rim)),
      },
      parts,
    );
  },
  write(tire) {
    const suffix = tire.use === 'commercial' ? 'C' : '';
    return `${tire.sectionWidthMm}${writeConstruction(tire)}${writeRim(tire)}${suffix}${writeService(tire)}`;
  },
};
