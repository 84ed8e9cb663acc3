import type { FamilyCode } from '@dunlinmoss/core';
import { familyOf } from '@dunlinmoss/core';
import type { NoPlan } from '@dunlinmoss/domain';

import type { Units } from '../settings/preferences';
import { axleName } from './axles';
import { pressure } from './format';
import { loadProblemText } from './loads';
import { questionText } from './questions';

/** Why there is no pressure yet, and what it takes. */
export function waitingText(reason: NoPlan, family: FamilyCode, units: Units): string {
  const { kind } = familyOf(family);
  switch (reason.code) {
    case 'loads':
      return loadProblemText(reason.problem, kind, units);
    case 'doubtfulLoad':
      return `${axleName(reason.position, kind)}: ${questionText('mass', reason.question, units)} Until that is put right there is no pressure for it.`;
    case 'doubtfulRoad':
      return `${axleName(reason.position, kind)}: ${pressure(reason.pressureKpa, units)} on the road is far from what such rigs have. Which is it?`;
  }
}
