import type { Me } from '@dunlinmoss/contract';

import { apiHere, roleHere, spaceOf, storeNameOf, whoStore } from './who';

const CREW = { id: 'crew', name: 'Sluice crew', role: 'viewer', personal: false } as const;
const meOf = (id: string, first: boolean): Me => ({
  signIn: true,
  person: { id, name: 'Rushy', first },
  spaces: [{ id, name: 'Rushy', role: 'own', personal: true }, CREW],
});

describe('storeNameOf', () => {
  it('is another for every person and every space, but for the first one’s own, which was there before', () => {
    const names = (['one', 'two'] as const).flatMap((id) =>
      [null, 'crew', 'other'].map((crewId) => storeNameOf({ me: meOf(id, id === 'one'), crewId })),
    );
    expect(new Set(names).size).toBe(6);
    expect(names[0]).toBe(storeNameOf({ me: null, crewId: null }));
  });
});

describe('roleHere', () => {
  it.each([
    ['all, before anything is known', { me: null, crewId: null }, 'own'],
    ['all in one’s own space', { me: meOf('two', false), crewId: null }, 'own'],
    ['the role of the crew', { me: meOf('two', false), crewId: 'crew' }, 'viewer'],
  ] as const)('is %s', (_, who, role) => expect(roleHere(who)).toBe(role));

  it('has no space where the person is no more', () => {
    expect(spaceOf({ me: meOf('two', false), crewId: 'gone' })).toBeUndefined();
  });
});

describe('apiHere', () => {
  it('names the crew, or nothing', () => {
    whoStore.set({ me: meOf('two', false), crewId: 'crew' });
    expect(apiHere()).toBe('/api/v1/in/crew');
    whoStore.set({ me: null, crewId: null });
    expect(apiHere()).toBe('/api/v1');
  });
});
