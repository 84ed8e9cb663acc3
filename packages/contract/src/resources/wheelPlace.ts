import { WHEEL_CODES } from '@dunlinmoss/core';
import { z } from 'zod';

import { axlePosition } from './loadCase';

/** One wheel of a rig, as fields of whatever is told of it. */
export const wheelPlace = { position: axlePosition, wheel: z.enum(WHEEL_CODES) };
