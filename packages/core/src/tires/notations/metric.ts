import { inch } from '../../units/units';
import type { TireUse } from '../tire';
import {
  finishTire,
  readConstruction,
  SERVICE_PATTERN,
  writeConstruction,
  writeService,
  type Notation,
} from './notation';

const PATTERN = new RegExp(
  String.raw`^(?<prefix>P|LT)?\s*(?<width>\d{1,4})\s*/\s*(?<aspect>\d{1,3})\s*Z?(?<construction>[RDB-])\s*(?<rim>\d{1,2}(?:\.5)?)(?<suffix>C|\s*LT)?` +
    SERVICE_PATTERN,
);

const wornBy = (prefix: string | undefined, suffix: string | undefined): TireUse => {
  if (prefix === 'LT' || suffix?.trim() === 'LT') return 'lightTruck';
  return suffix === 'C' ? 'commercial' : 'passenger';
};

/** Section width in mm, aspect in percent, rim in inches: `245/75R16 111T`, `LT285/70R17 121/118Q E`, `235/85R16C`. */
export const metric: Notation = {
  code: 'metric',
  example: '245/75R16 111T',
  read(text) {
    const parts = PATTERN.exec(text)?.groups;
    if (!parts) return null;
    return finishTire(
      {
        notation: 'metric',
        use: wornBy(parts.prefix, parts.suffix),
        construction: readConstruction(parts.construction!),
        sectionWidthMm: Number(parts.width),
        aspectPercent: Number(parts.aspect),
        rimDiameterMm: inch(Number(parts.rim)),
      },
      parts,
    );
  },
  write(tire) {
    const prefix = tire.use === 'lightTruck' ? 'LT' : '';
    const suffix = tire.use === 'commercial' ? 'C' : '';
    const rim = Number((tire.rimDiameterMm / inch(1)).toFixed(1));
    return `${prefix}${tire.sectionWidthMm}/${tire.aspectPercent}${writeConstruction(tire)}${rim}${suffix}${writeService(tire)}`;
  },
};
