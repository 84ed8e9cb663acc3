import { MessageChannel as NodeChannel } from 'node:worker_threads';

type InTask = typeof import('./inTask').inTask;
const fresh = (): InTask => jest.requireActual<typeof import('./inTask')>('./inTask').inTask;

describe.each(['messages', 'timers'] as const)('something in a task of its own, by %s', (by) => {
  const open: InstanceType<typeof NodeChannel>[] = [];
  beforeEach(() => {
    jest.resetModules();
    if (by === 'timers') return;
    Object.assign(globalThis, {
      MessageChannel: class extends NodeChannel {
        constructor() {
          super();
          open.push(this);
        }
      },
    });
  });
  afterEach(() => {
    Reflect.deleteProperty(globalThis, 'MessageChannel');
    for (const { port1 } of open.splice(0)) port1.close();
  });

  it('is run behind those asked for before, none of them at once, and none that was let be', async () => {
    const inTask = fresh();
    const ran: string[] = [];
    inTask(() => ran.push('first'));
    const letBe = inTask(() => ran.push('let be'));
    await new Promise<void>((resolve) => {
      inTask(() => {
        // What a task asks for comes behind what was asked for by then.
        inTask(() => {
          ran.push('asked for within');
          resolve();
        });
        ran.push('second');
      });
      inTask(() => ran.push('third'));
      letBe();
      expect(ran).toEqual([]);
    });
    expect(ran).toEqual(['first', 'second', 'third', 'asked for within']);
    expect(open).toHaveLength(by === 'messages' ? 1 : 0);
    // Once it ran there is nothing to let be.
    letBe();
  });
});
