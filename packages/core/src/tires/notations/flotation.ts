import { inch } from '../../units/units';
import { outerDiameterMm } from '../tire';
import {
  finishTire,
  readConstruction,
  SERVICE_PATTERN,
  writeConstruction,
  writeService,
  type Notation,
} from './notation';

const PATTERN = new RegExp(
  String.raw`^(?<outer>\d{2}(?:\.\d{1,2})?)\s*X\s*(?<width>\d{1,2}\.\d{2})\s*(?<construction>[RDB-])\s*(?<rim>\d{2}(?:\.5)?)(?:\s*LT)?` +
    SERVICE_PATTERN,
);

/** Outer diameter, section width and rim in inches: `35x12.50R17LT`, `31x10.50-15`. */
export const flotation: Notation = {
  code: 'flotation',
  example: '35x12.50R17LT',
  read(text) {
    const parts = PATTERN.exec(text)?.groups;
    if (!parts) return null;
    const widthInch = Number(parts.width);
    const rimInch = Number(parts.rim);
    return finishTire(
      {
        notation: 'flotation',
        use: 'lightTruck',
        construction: readConstruction(parts.construction!),
        sectionWidthMm: inch(widthInch),
        aspectPercent: (100 * (Number(parts.outer) - rimInch)) / 2 / widthInch,
        rimDiameterMm: inch(rimInch),
      },
      parts,
    );
  },
  write(tire) {
    const inches = (mm: number, digits: number): string => (mm / inch(1)).toFixed(digits);
    const outer = Number(inches(outerDiameterMm(tire), 2));
    const rim = Number(inches(tire.rimDiameterMm, 1));
    return `${outer}x${inches(tire.sectionWidthMm, 2)}${writeConstruction(tire)}${rim}LT${writeService(tire)}`;
  },
};
