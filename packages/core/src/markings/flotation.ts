import { finishTire, readConstruction, SERVICE_PATTERN, writeInches, writeService, type Notation } from './notation';
import { sizeFromOuterDiameter, writeOuterDiameterSize } from './outerDiameterSize';

const PATTERN = new RegExp(
  String.raw`^(?<outer>\d{2}(?:\.\d{1,2})?)\s*X\s*(?<width>\d{1,2}\.\d{1,2})\s*(?<construction>[RDB-])\s*(?<rim>\d{2}(?:\.5)?)(?:\s*LT)?` +
    SERVICE_PATTERN,
);

/** Light trucks: outer diameter, section width and rim in inches: `35x12.50R17LT`, `31x10.50-15`. */
export const flotation: Notation = {
  code: 'flotation',
  example: '35x12.50R17LT',
  read(text) {
    const parts = PATTERN.exec(text)?.groups;
    if (!parts) return null;
    return finishTire(
      {
        notation: 'flotation',
        use: 'lightTruck',
        construction: readConstruction(parts.construction!),
        ...sizeFromOuterDiameter(Number(parts.outer), Number(parts.width), Number(parts.rim)),
      },
      parts,
    );
  },
  write(tire) {
    return `${writeOuterDiameterSize(tire, writeInches(tire.sectionWidthMm, 2))}LT${writeService(tire)}`;
  },
};
