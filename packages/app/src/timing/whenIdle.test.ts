import { whenIdle } from './whenIdle';

const idle: (() => void)[] = [];
beforeAll(() => {
  Object.assign(globalThis, { requestIdleCallback: (run: () => void) => idle.push(run) });
});
const rest = (): void => idle.splice(0).forEach((run) => run());
const finger = (type: string): boolean => document.body.dispatchEvent(new Event(type, { bubbles: true }));

describe('what waits until nothing else is to be done', () => {
  it('waits as long as a finger is down, also the last of two, and where it was lifted elsewhere', () => {
    const ran: string[] = [];
    whenIdle(() => ran.push('before'));
    rest();
    finger('pointerdown');
    finger('pointerdown');
    whenIdle(() => ran.push('under a finger'));
    rest();
    finger('pointerup');
    rest();
    expect(ran).toEqual(['before']);
    finger('pointercancel');
    rest();
    expect(ran).toEqual(['before', 'under a finger']);

    finger('pointerdown');
    whenIdle(() => ran.push('lifted elsewhere'));
    rest();
    // A field that is left is not the page that is left.
    finger('blur');
    rest();
    expect(ran).toHaveLength(2);
    dispatchEvent(new Event('blur'));
    rest();
    expect(ran.at(-1)).toBe('lifted elsewhere');
    // A finger that nobody saw come down does not count.
    finger('pointerup');
    finger('pointerdown');
    whenIdle(() => ran.push('again'));
    rest();
    expect(ran).toHaveLength(3);
    finger('pointerup');
    rest();
    expect(ran).toHaveLength(4);
  });
});
