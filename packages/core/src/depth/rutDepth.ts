import { published, type Source } from '../sources/source';
import type { FieldTire } from './onSoil';
import { STANDARD_GRAVITY } from '../units/units';

/** From memory. */
export const RUT_SOURCE: Source = published('Maclaurin 1990');

/** Past this share of the wheel's diameter it has sunk in, and no figure means anything. Assumption. */
const SINKS_IN_SHARE = 1 / 3;

/**
 * How deep a rut one pass leaves, from a cone: N = CI·b^0.8·d^0.8·δ^0.4/W, z = 0.224·d·N^−1.25, m. Published: Maclaurin
 * 1990 (from memory). Null where the wheel sinks in.
 *
 * @param coneKpa mean over the top hand or two
 * @param deflectionM how far the tire is flattened
 */
export function rutDepthM(
  { widthM, diameterM, loadKg }: FieldTire,
  deflectionM: number,
  coneKpa: number,
): number | null {
  const loadKn = (loadKg * STANDARD_GRAVITY) / 1000;
  const mobility = (coneKpa * widthM ** 0.8 * diameterM ** 0.8 * deflectionM ** 0.4) / loadKn;
  const rutM = 0.224 * diameterM * mobility ** -1.25;
  return rutM > diameterM * SINKS_IN_SHARE ? null : rutM;
}
