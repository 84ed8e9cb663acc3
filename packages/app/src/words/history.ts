import { changesBetween } from '@dunlinmoss/domain';

import type { Units } from '../settings/preferences';
import { placeText, valueText } from './waiting';

/** What one version changed against the one before, field by field: `Axle, rear, road pressure: 35 psi, was 30 psi`. */
export const changesText = (before: object, after: object, units: Units): string[] =>
  changesBetween({ ...before, revision: 0 }, { ...after, revision: 0 }).map(
    ({ path, before: was, after: is }) =>
      `${placeText(path, is === undefined ? before : after)}: ${valueText(path, is, units)}, was ${valueText(path, was, units)}`,
  );
