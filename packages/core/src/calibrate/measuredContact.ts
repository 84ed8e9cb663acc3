import type { MeasuredContact } from '../contact/contactPatch';
import { judgeTape, type TapeTest } from '../proof/tape';
import { sameSize } from '../tires/sameSize';

/** A tape test that was done, at a time that sorts as text (ISO 8601, UTC). */
export interface DoneTapeTest extends TapeTest {
  readonly performedAt: string;
}

/**
 * The contact constant to plan with for a tire: from the newest test on the same size and carcass that gave a
 * believable one. Undefined where there is none, and the assumption stands.
 */
export function measuredContactFor<Test extends DoneTapeTest>(
  tests: readonly Test[],
  { tire, carcass }: TapeTest['build'],
): (MeasuredContact & { readonly test: Test }) | undefined {
  return tests
    .filter(({ build }) => build.carcass === carcass && sameSize(build.tire, tire))
    .sort((a, b) => b.performedAt.localeCompare(a.performedAt))
    .flatMap((test) => {
      const { contact } = judgeTape(test);
      return contact ? [{ ...contact, test }] : [];
    })[0];
}
