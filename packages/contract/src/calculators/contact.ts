import { contactPatch, DEFAULT_CONTACT_CONSTANT } from '@dunlinmoss/core';
import { z } from 'zod';

import { someLoadKg, pressureKpa } from '../quantities';
import { defineCalculator } from './calculator';
import { tireInput } from '../marking';
import { buildOf } from '../rig/build';
import { contactConstant, contactPatchShape } from './shapes';

export const contactCalculator = defineCalculator({
  name: 'contact',
  summary: 'Deflection, contact length, area and ground pressure of one wheel; null where the tire is squeezed flat',
  input: z.strictObject({
    ...tireInput,
    wheelLoadKg: someLoadKg,
    pressureKpa,
    contactConstant: contactConstant.optional(),
  }),
  output: z.strictObject({ contact: contactPatchShape.nullable() }),
  run: (input) => ({
    contact: contactPatch(
      {
        ...buildOf(input),
        contactFactor: (input.contactConstant ?? DEFAULT_CONTACT_CONSTANT) / DEFAULT_CONTACT_CONSTANT,
      },
      input.wheelLoadKg,
      input.pressureKpa,
    ),
  }),
});
