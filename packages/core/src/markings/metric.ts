import { inch } from '../units/units';
import type { TireUse } from '../tires/tire';
import { METRIC_SIZE, metricKind } from './metricSize';
import {
  finishTire,
  readConstruction,
  SERVICE_PATTERN,
  writeConstruction,
  writeRim,
  writeService,
  type Notation,
} from './notation';

const PATTERN = new RegExp(String.raw`^(?<prefix>P|LT)?\s*${METRIC_SIZE}(?<suffix>C|\s*LT)?` + SERVICE_PATTERN);

function wornBy(prefix: string | undefined, suffix: string | undefined, rim: string): TireUse {
  if (prefix === 'LT' || suffix?.trim() === 'LT') return 'lightTruck';
  if (suffix === 'C') return 'commercial';
  // Rims with a half inch are the tubeless rims of trucks.
  return rim.includes('.') ? 'truck' : 'passenger';
}

/** Road tires: section width in mm, aspect in percent, rim in inches: `245/75R16 111T`, `LT285/70R17 121/118Q E`, `235/85R16C`. */
export const metric: Notation = {
  code: 'metric',
  example: '245/75R16 111T',
  read(text) {
    const parts = PATTERN.exec(text)?.groups;
    if (!parts) return null;
    const marked = parts.prefix !== undefined || parts.suffix !== undefined;
    if (!marked && metricKind(parts.width!, parts.rim!, parts.speedSymbol) !== 'road') return null;
    return finishTire(
      {
        notation: 'metric',
        use: wornBy(parts.prefix, parts.suffix, parts.rim!),
        construction: readConstruction(parts.construction!),
        sectionWidthMm: Number(parts.width),
        aspectPercent: Number(parts.aspect),
        rimDiameterMm: inch(Number(parts.rim)),
      },
      parts,
    );
  },
  write(tire) {
    const needsP =
      tire.use === 'passenger' && metricKind(String(tire.sectionWidthMm), writeRim(tire), undefined) !== 'road';
    const prefix = tire.use === 'lightTruck' ? 'LT' : needsP ? 'P' : '';
    const suffix = tire.use === 'commercial' ? 'C' : '';
    return `${prefix}${tire.sectionWidthMm}/${tire.aspectPercent}${writeConstruction(tire)}${writeRim(tire)}${suffix}${writeService(tire)}`;
  },
};
