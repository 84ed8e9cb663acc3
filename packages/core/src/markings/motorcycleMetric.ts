import { inch } from '../units/units';
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

const PATTERN = new RegExp(String.raw`^${METRIC_SIZE}(?<marked>\s*M/C)?` + SERVICE_PATTERN);

/** Motorcycles: section width in mm, aspect in percent, rim in inches: `90/90-21 54S`, `150/70B18`, `150/70R18 M/C 70V`. */
export const motorcycleMetric: Notation = {
  code: 'motorcycleMetric',
  example: '90/90-21 54S',
  read(text) {
    const parts = PATTERN.exec(text)?.groups;
    if (!parts) return null;
    if (parts.marked === undefined && metricKind(parts.width!, parts.rim!, parts.speedSymbol) !== 'motorcycle') {
      return null;
    }
    return finishTire(
      {
        notation: 'motorcycleMetric',
        use: 'motorcycle',
        construction: readConstruction(parts.construction!),
        sectionWidthMm: Number(parts.width),
        aspectPercent: Number(parts.aspect),
        rimDiameterMm: inch(Number(parts.rim)),
      },
      parts,
    );
  },
  write(tire) {
    const bare = metricKind(String(tire.sectionWidthMm), writeRim(tire), undefined) === 'motorcycle';
    return `${tire.sectionWidthMm}/${tire.aspectPercent}${writeConstruction(tire)}${writeRim(tire)}${bare ? '' : ' M/C'}${writeService(tire)}`;
  },
};
