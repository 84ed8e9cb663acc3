import { assumption } from '../sources/source';
import type { Modifier } from './modifier';

/** A loose seedbed in place of stubble: the same pressure, every rut counts. */
export const seedbed = {
  code: 'seedbed',
  kinds: ['farm'],
  on: 'field',
  source: assumption,
} as const satisfies Modifier;
