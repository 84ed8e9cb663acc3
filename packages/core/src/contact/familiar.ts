import { commonPractice, type Source } from '../sources/source';
import { psi } from '../units/units';

export const FAMILIAR_SOURCE: Source = commonPractice;

/** How hard other things stand on the ground, kPa, softest first. Common practice, no source. */
export const FAMILIAR = [
  { code: 'snowGroomer', pressureKpa: psi(1) },
  { code: 'trackedMachine', pressureKpa: psi(5) },
  { code: 'person', pressureKpa: psi(8) },
  { code: 'elephant', pressureKpa: psi(35) },
  { code: 'bicycle', pressureKpa: psi(40) },
] as const;

export type FamiliarCode = (typeof FAMILIAR)[number]['code'];
