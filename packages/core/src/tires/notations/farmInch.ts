import { inch } from '../../units/units';
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
  String.raw`^(?<width>\d{1,2}\.\d)(?:\s*/\s*(?<aspect>\d{2}))?\s*(?<construction>[R-])\s*(?<rim>\d{1,2}(?:\.\d)?)` +
    SERVICE_PATTERN,
);

/**
 * The inch series of farm tires names no aspect: 85 %, as in the metric sizes that replace them (18.4R38 is 460/85R38).
 * Published: European Tyre and Rim Technical Organisation manual, equivalent sizes (from memory).
 */
export const FARM_INCH_ASPECT_PERCENT = 85;

/** Farm tires of the inch series, one digit behind the point: `18.4R38`, `16.9-30 8PR`, `11.5/80-15.3`. */
export const farmInch: Notation = {
  code: 'farmInch',
  example: '18.4R38 146A8',
  read(text) {
    const parts = PATTERN.exec(text)?.groups;
    if (!parts) return null;
    return finishTire(
      {
        notation: 'farmInch',
        use: 'farm',
        construction: readConstruction(parts.construction!),
        sectionWidthMm: inch(Number(parts.width)),
        aspectPercent: parts.aspect === undefined ? FARM_INCH_ASPECT_PERCENT : Number(parts.aspect),
        rimDiameterMm: inch(Number(parts.rim)),
      },
      parts,
    );
  },
  write(tire) {
    const aspect = tire.aspectPercent === FARM_INCH_ASPECT_PERCENT ? '' : `/${tire.aspectPercent}`;
    return `${writeInches(tire.sectionWidthMm, 1)}${aspect}${writeConstruction(tire)}${writeRim(tire)}${writeService(tire)}`;
  },
};
