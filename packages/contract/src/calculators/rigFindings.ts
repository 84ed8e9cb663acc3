import { findingsOf, psi } from '@dunlinmoss/core';
import { z } from 'zod';

import { rig } from '../resources/rig';
import { questionsOf } from '../rig/questions';
import { factsOf, loadCaseOf } from '../rig/rigInput';
import { defineCalculator } from './calculator';

export const rigFindingsCalculator = defineCalculator({
  name: 'rig-findings',
  summary: 'Everything wrong with a rig in the load case that stands today, and every value that hardly can be',
  input: z.strictObject({ rig }),
  output: z.strictObject({
    findings: z.array(z.looseObject({ code: z.string() })),
    questions: z.array(z.looseObject({ path: z.string(), kind: z.string() })),
  }),
  run: ({ rig: given }) => ({
    findings: findingsOf(factsOf(given, loadCaseOf(given), [], psi(1))).map((finding) => ({ ...finding })),
    questions: questionsOf(given).map((question) => ({ ...question })),
  }),
});
