import { whenIdle } from './whenIdle';

const idle: (() => void)[] = [];
beforeAll(() => {
  Object.assign(globalThis, { requestIdleCallback: (run: () => void) => idle.push(run) });
});
const rest = (): void => idle.splice(0).forEach((run) => run());
const finger = (type: string, pointerId = 1): boolean =>
  document.body.dispatchEvent(Object.assign(new Event(type, { bubbles: true }), { pointerId }));

describe('what waits until nothing else is to be done', () => {
  it('waits as long as a finger is down, also the last of two, and where it was lifted elsewhere', () => {
    const ran: string[] = [];
    whenIdle(() => ran.push('before'));
    rest();
    finger('pointerdown', 7);
    finger('pointerdown', 8);
    whenIdle(() => ran.push('under a finger'));
    rest();
    finger('pointerup', 8);
    rest();
    expect(ran).toEqual(['before']);
    finger('pointercancel', 7);
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
    // A menu swallowed the end of the first press: the mouse has still one finger.
    finger('pointerdown');
    finger('pointerdown');
    whenIdle(() => ran.push('again'));
    rest();
    expect(ran).toHaveLength(3);
    finger('pointerup');
    rest();
    expect(ran).toHaveLength(4);
  });
});
