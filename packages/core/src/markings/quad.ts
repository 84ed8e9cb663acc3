import { finishTire, readConstruction, SERVICE_PATTERN, writeInches, writeService, type Notation } from './notation';
import { sizeFromOuterDiameter, writeOuterDiameterSize } from './outerDiameterSize';

const PATTERN = new RegExp(
  String.raw`^(?<prefix>AT)?\s*(?<outer>\d{2}(?:\.\d)?)\s*X\s*(?<width>\d{1,2}(?:\.\d{1,2})?)\s*(?<construction>[R-])\s*(?<rim>\d{1,2})` +
    SERVICE_PATTERN,
);

/** A bare size on a larger rim whose width has a fraction is a light truck's: `31x10.5R15`. Assumption. */
const LARGEST_BARE_RIM_INCH = 14;

/** Quads and side-by-sides: outer diameter, section width and rim in inches: `AT25x8-12`, `30x10R15`. */
export const quad: Notation = {
  code: 'quad',
  example: 'AT25x8-12',
  read(text) {
    const parts = PATTERN.exec(text)?.groups;
    if (!parts) return null;
    const asLightTruck = parts.width!.includes('.') && Number(parts.rim) > LARGEST_BARE_RIM_INCH;
    if (parts.prefix === undefined && asLightTruck) return null;
    return finishTire(
      {
        notation: 'quad',
        use: 'quad',
        construction: readConstruction(parts.construction!),
        ...sizeFromOuterDiameter(Number(parts.outer), Number(parts.width), Number(parts.rim)),
      },
      parts,
    );
  },
  write(tire) {
    return `AT${writeOuterDiameterSize(tire, writeInches(tire.sectionWidthMm, 0))}${writeService(tire)}`;
  },
};
