import type { FamilyCode } from '@dunlinmoss/core';
import { familyOf } from '@dunlinmoss/core';
import type { NoPlan } from '@dunlinmoss/domain';

import type { Units } from '../settings/preferences';
import { axleName } from './axles';
import { loadProblemText } from './loads';
import { questionText } from './questions';

/** Why there is no pressure yet, and what it takes. */
export function waitingText(reason: NoPlan, family: FamilyCode, units: Units): string {
  const { kind } = familyOf(family);
  switch (reason.code) {
    case 'noLoadCase':
      return 'A pressure needs a load: weigh the rig, or work it out.';
    case 'loads':
      return loadProblemText(reason.problem, kind, units);
    case 'doubtfulLoad':
      return `${axleName(reason.position, kind)}: ${questionText('mass', reason.question, units)} Until that is put right there is no pressure for it.`;
    case 'roadMissing':
      return `${axleName(reason.position, kind)}: its road pressure is missing. It stands on the placard.`;
  }
}
