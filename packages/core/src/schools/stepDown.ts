import { gravel } from '../grounds/gravel';
import type { AxleContext } from '../axle/axleContext';
import { assumption } from '../sources/source';
import { deflectionAndShare } from './deflectionAndShare';
import type { School } from './school';

const onGravel = (context: AxleContext): AxleContext => ({ ...context, ground: gravel });

/**
 * Start high and step down on site: begin at what a gravel track asks for, and let out a step at a time until it goes.
 * That the beginning is the default's gravel pressure is our assumption.
 */
export const stepDown = {
  code: 'stepDown',
  kinds: ['car'],
  source: assumption,
  counted: false,
  targetKpa: (context) => deflectionAndShare.targetKpa(onGravel(context), 'start'),
  trace: (context, _end, targetKpa) => deflectionAndShare.trace(onGravel(context), 'start', targetKpa),
} as const satisfies School;
