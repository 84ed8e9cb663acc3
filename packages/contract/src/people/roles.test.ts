import { mayAs, ROLES } from './roles';

describe('mayAs', () => {
  it('lets each do what those below may, and no more', () => {
    ROLES.forEach((role, at) => ROLES.forEach((needed, need) => expect(mayAs(role, needed)).toBe(at >= need)));
  });
});
