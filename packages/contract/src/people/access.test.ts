import { neededRole } from './access';
import { mayAs, ROLES } from './roles';

describe('mayAs', () => {
  it('lets each do what those below may, and no more', () => {
    ROLES.forEach((role, at) => ROLES.forEach((needed, need) => expect(mayAs(role, needed)).toBe(at >= need)));
  });
});

describe('neededRole', () => {
  it.each([
    ['GET', '/rigs', {}, 'viewer'],
    ['HEAD', '/rigs', {}, 'viewer'],
    ['POST', '/calc/tape', {}, 'viewer'],
    ['PUT', '/rigs/1', {}, 'member'],
    ['DELETE', '/rigs/1', { revision: '3' }, 'member'],
    ['DELETE', '/rigs/1', { revision: '3', forever: 'true' }, 'lead'],
    ['DELETE', '/rigs/1/log', {}, 'lead'],
    ['POST', '/rigs/1/log', {}, 'member'],
    ['POST', '/import', {}, 'lead'],
    ['POST', '/import/loads', {}, 'lead'],
    ['POST', '/archive', {}, 'lead'],
    ['PUT', '/log-keeping', {}, 'lead'],
    ['GET', '/log-keeping', {}, 'viewer'],
    // Something that nobody has thought of yet is not a viewer's.
    ['PATCH', '/whatever', {}, 'member'],
  ] as const)('of %s %s %j is %s', (method, path, query, role) => {
    expect(neededRole(method, path, query)).toBe(role);
  });
});
