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
  String.raw`^(?<width>\d{1,2}\.\d|\d{1,2}(?:\.\d)?(?=L))(?:(?<low>L)|\s*/\s*(?<aspect>\d{2}))?\s*(?<construction>[R-])\s*` +
    String.raw`(?<rim>\d{1,2}(?:\.\d)?)(?:SL)?` +
    SERVICE_PATTERN,
);

/**
 * The inch series of farm tires names no aspect: 85 %, as in the metric sizes that replace them (18.4R38 is 460/85R38).
 * Published: European Tyre and Rim Technical Organisation manual, equivalent sizes (from memory).
 */
export const FARM_INCH_ASPECT_PERCENT = 85;

/** Low sections of implements and flotation, marked L, differ from size to size: about two thirds. Assumption. */
export const FARM_LOW_ASPECT_PERCENT = 67;

/**
 * Farm tires of the inch series, one digit behind the point: `18.4R38`, `16.9-30 8PR`, `11.5/80-15.3`; low sections of
 * implements with or without: `28L-26`, `21.5L-16.1`.
 */
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
        aspectPercent:
          parts.low !== undefined
            ? FARM_LOW_ASPECT_PERCENT
            : parts.aspect === undefined
              ? FARM_INCH_ASPECT_PERCENT
              : Number(parts.aspect),
        rimDiameterMm: inch(Number(parts.rim)),
      },
      parts,
    );
  },
  write(tire) {
    const low = tire.aspectPercent === FARM_LOW_ASPECT_PERCENT;
    const aspect = low ? 'L' : tire.aspectPercent === FARM_INCH_ASPECT_PERCENT ? '' : `/${tire.aspectPercent}`;
    return `${writeInches(tire.sectionWidthMm, low ? 0 : 1)}${aspect}${writeConstruction(tire)}${writeRim(tire)}${writeService(tire)}`;
  },
};
