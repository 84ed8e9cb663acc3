import type { TireBuild } from '../contact/stiffness';
import type { Figure } from '../grounds/figure';
import type { AxleContext } from '../axle/axleContext';
import { assumption, type Source } from '../sources/source';
import { readMarking } from '../markings/readMarking';
import { carcassFactor } from '../tires/loadRange';
import { psi } from '../units/units';

const reading = readMarking('265/65R17');
if (!reading.ok) throw new RangeError('The reference rig has a marking that cannot be read');

/**
 * The family wagon for which the trade's pressures hold: 265/65R17, 600 kg on each wheel. Assumption: which load and
 * size those pressures were found on is nowhere written down.
 */
export const REFERENCE_RIG: { readonly build: TireBuild; readonly loadKg: number; readonly source: Source } = {
  build: { tire: reading.value, carcass: carcassFactor('standard') },
  loadKg: 600,
  source: assumption,
};

/** Its cold road pressure. Assumption, with the rest of the rig. */
export const REFERENCE_ROAD_KPA = psi(36);

/** What the trade runs on this ground on the reference rig, kPa. */
export const referenceKpa = ({ ground }: AxleContext, end: Figure): number => psi(ground.onReferenceRig![end]);
