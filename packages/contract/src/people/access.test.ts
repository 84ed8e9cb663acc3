import { neededRole } from './access';
import { mayAs, ROLES } from './roles';

describe('mayAs', () => {
  it('lets each do what those below may, and no more', () => {
    ROLES.forEach((role, at) => ROLES.forEach((needed, need) => expect(mayAs(role, needed)).toBe(at >= need)));
  });
});

describe('neededRole', () => {
  it.each([
    ['GET', '/rigs', 'viewer'],
    ['HEAD', '/rigs', 'viewer'],
    ['POST', '/calc/tape', 'viewer'],
    ['PUT', '/rigs/1', 'member'],
    ['DELETE', '/rigs/1', 'member'],
    ['GET', '/log-keeping', 'viewer'],
    // Another spelling of what keeps nothing is not a viewer's, nor is what nobody has thought of yet.
    ['POST', '/CALC/tape', 'member'],
    ['PATCH', '/whatever', 'member'],
  ] as const)('of %s %s is %s', (method, path, role) => {
    expect(neededRole(method, path)).toBe(role);
  });
});
