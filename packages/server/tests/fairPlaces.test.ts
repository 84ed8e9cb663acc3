import { FairPlaces } from '../src/fairPlaces';
import { NoPlace } from '../src/places';

/** Asks, and tells in which order turns came. */
function asking(places: FairPlaces) {
  const turns: string[] = [];
  const inWork: { readonly of: string; readonly give: () => void }[] = [];
  return {
    turns,
    ask: (of: string, name = of): Promise<void> =>
      places.take(of).then((give) => {
        turns.push(name);
        inWork.push({ of, give });
      }),
    /** Who came first of these is done. */
    end(of: string): void {
      const [first] = inWork.splice(
        inWork.findIndex((each) => each.of === of),
        1,
      );
      first!.give();
      // Once is enough.
      first!.give();
    },
  };
}
const settled = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));

beforeEach(() => jest.useFakeTimers({ doNotFake: ['setImmediate'] }));
afterEach(() => jest.useRealTimers());

describe('FairPlaces', () => {
  it('gives all of them to one who is alone, and no more', async () => {
    const { turns, ask } = asking(new FairPlaces(3, 10));
    for (const name of ['1', '2', '3', '4']) void ask('a', name);
    await settled();
    expect(turns).toEqual(['1', '2', '3']);
  });

  it('lets another one in before the many of one that wait already, in turns', async () => {
    const { turns, ask, end } = asking(new FairPlaces(3, 100));
    for (let index = 1; index <= 6; index++) void ask('loud', `loud ${index}`);
    void ask('quiet');
    await settled();
    expect(turns).toEqual(['loud 1', 'loud 2', 'loud 3']);
    end('loud');
    await settled();
    // The loud one has two yet, more than is its own now.
    expect(turns.at(-1)).toBe('quiet');
    end('quiet');
    end('loud');
    await settled();
    expect(turns).toHaveLength(4);
    end('loud');
    await settled();
    expect(turns.at(-1)).toBe('loud 4');
  });

  it('holds up nobody for what of their own takes long', async () => {
    const { turns, ask, end } = asking(new FairPlaces(9, 100));
    await ask('quiet');
    for (let index = 1; index <= 6; index++) void ask('loud', `loud ${index}`);
    await settled();
    expect(turns).toEqual(['quiet', 'loud 1']);
    jest.advanceTimersByTime(150);
    await settled();
    expect(turns.slice(2)).toEqual(['loud 2']);
    // Three at the most.
    for (let moment = 0; moment < 4; moment += 1) {
      void ask('quiet');
      jest.advanceTimersByTime(150);
      await settled();
    }
    expect(turns.filter((name) => name.startsWith('loud'))).toEqual(['loud 1', 'loud 2', 'loud 3']);
    end('loud');
    await settled();
    expect(turns.at(-1)).toBe('loud 4');
  });

  it('gives one all of them again once nobody else has asked for a while', async () => {
    const { turns, ask, end } = asking(new FairPlaces(4, 100));
    await ask('quiet');
    end('quiet');
    for (let index = 0; index < 6; index++) void ask('loud');
    await settled();
    expect(turns).toHaveLength(2);
    jest.advanceTimersByTime(2_500);
    void ask('loud');
    end('loud');
    await settled();
    expect(turns).toHaveLength(6);
  });

  it('refuses where the lines are too long, or a turn does not come in time, and forgets who left', async () => {
    const places = new FairPlaces(1, 1, 5_000);
    const give = await places.take('a');
    const late = places.take('b').catch((error: unknown) => error);
    await expect(places.take('c')).rejects.toBeInstanceOf(NoPlace);
    jest.advanceTimersByTime(5_001);
    expect(await late).toBeInstanceOf(NoPlace);
    give();
    await expect(places.take('b')).resolves.toBeInstanceOf(Function);
  });

  it('loses no place over thousands of turns of many', async () => {
    const places = new FairPlaces(5, 10_000);
    let [inWork, most, done] = [0, 0, 0];
    const work = async (of: string, ticks: number): Promise<void> => {
      const give = await places.take(of);
      inWork += 1;
      most = Math.max(most, inWork);
      for (let tick = 0; tick < ticks; tick++) await settled();
      inWork -= 1;
      done += 1;
      give();
    };
    await Promise.all(Array.from({ length: 2_000 }, (_, index) => work(`space ${(index * index) % 37}`, index % 3)));
    expect(done).toBe(2_000);
    expect(most).toBe(5);
    expect(inWork).toBe(0);
  });
});
