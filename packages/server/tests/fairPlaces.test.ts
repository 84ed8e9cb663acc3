import { FairPlaces } from '../src/fairPlaces';
import { NoPlace } from '../src/places';

/** Asks, and tells in which order turns came. */
function asking(places: FairPlaces) {
  const turns: string[] = [];
  return {
    turns,
    ask: (of: string, name = of): Promise<void> => places.take(of).then(() => void turns.push(name)),
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
    const places = new FairPlaces(3, 100);
    const { turns, ask } = asking(places);
    for (let index = 1; index <= 6; index++) void ask('loud', `loud ${index}`);
    void ask('quiet');
    await settled();
    expect(turns).toEqual(['loud 1', 'loud 2', 'loud 3']);
    places.give('loud');
    await settled();
    // The loud one has two yet, as many as are its own now.
    expect(turns.at(-1)).toBe('quiet');
    places.give('quiet');
    await settled();
    expect(turns).toHaveLength(4);
    places.give('loud');
    await settled();
    expect(turns.at(-1)).toBe('loud 4');
  });

  it('gives one all of them again once nobody else has asked for a while', async () => {
    const places = new FairPlaces(4, 100);
    const { turns, ask } = asking(places);
    await ask('quiet');
    places.give('quiet');
    for (let index = 0; index < 6; index++) void ask('loud');
    await settled();
    expect(turns).toHaveLength(3);
    jest.advanceTimersByTime(2_500);
    void ask('loud');
    places.give('loud');
    await settled();
    expect(turns).toHaveLength(6);
  });

  it('refuses where the lines are too long, or a turn does not come in time, and forgets who left', async () => {
    const places = new FairPlaces(1, 1, 5_000);
    await places.take('a');
    const late = places.take('b').catch((error: unknown) => error);
    await expect(places.take('c')).rejects.toBeInstanceOf(NoPlace);
    jest.advanceTimersByTime(5_001);
    expect(await late).toBeInstanceOf(NoPlace);
    places.give('a');
    await expect(places.take('b')).resolves.toBeUndefined();
    places.give('b');
  });

  it('loses no place over thousands of turns of many', async () => {
    const places = new FairPlaces(5, 10_000);
    let [inWork, most, done] = [0, 0, 0];
    const work = async (of: string, ticks: number): Promise<void> => {
      await places.take(of);
      inWork += 1;
      most = Math.max(most, inWork);
      for (let tick = 0; tick < ticks; tick++) await settled();
      inWork -= 1;
      done += 1;
      places.give(of);
    };
    await Promise.all(Array.from({ length: 2_000 }, (_, index) => work(`space ${(index * index) % 37}`, index % 3)));
    expect(done).toBe(2_000);
    expect(most).toBe(5);
    expect(inWork).toBe(0);
  });
});
