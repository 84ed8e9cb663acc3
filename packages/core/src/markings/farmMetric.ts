import { inch } from '../units/units';
import type { Flexion } from '../tires/tire';
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

const PATTERN = new RegExp(
  String.raw`^(?<cyclicBefore>CFO)?\s*(?<flexion>IF|VF)?\s*${METRIC_SIZE}(?<cyclicAfter>\s*CFO)?` + SERVICE_PATTERN,
);

/** Farm tires: section width in mm, aspect in percent, rim in inches: `VF380/90R46 173D`, `480/80R50 159A8/B`, `600/50-22.5`. */
export const farmMetric: Notation = {
  code: 'farmMetric',
  example: 'VF380/90R46 173D',
  read(text) {
    const parts = PATTERN.exec(text)?.groups;
    if (!parts) return null;
    const cyclic = parts.cyclicBefore !== undefined || parts.cyclicAfter !== undefined;
    const marked = cyclic || parts.flexion !== undefined;
    if (!marked && metricKind(parts.width!, parts.rim!, parts.speedSymbol) !== 'farm') return null;
    return finishTire(
      {
        notation: 'farmMetric',
        use: 'farm',
        construction: readConstruction(parts.construction!),
        sectionWidthMm: Number(parts.width),
        aspectPercent: Number(parts.aspect),
        rimDiameterMm: inch(Number(parts.rim)),
        ...(parts.flexion && { flexion: parts.flexion as Flexion }),
        ...(cyclic && { cyclicField: true as const }),
      },
      parts,
    );
  },
  write(tire) {
    const size = `${tire.sectionWidthMm}/${tire.aspectPercent}${writeConstruction(tire)}${writeRim(tire)}`;
    return `${tire.flexion ?? ''}${size}${tire.cyclicField ? ' CFO' : ''}${writeService(tire)}`;
  },
};
