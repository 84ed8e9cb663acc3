import { sampleRig } from '@dunlinmoss/domain/testing';
import { keptCache } from './cache';
import { arrived } from './rows';
import { readStored, shaped } from '../settings/storage';

const kept = () => new Map(readStored<[string, { data: { revision: number } }][]>(shaped('cache')));
const leave = () => globalThis.dispatchEvent(new Event('pagehide'));

describe('keptCache', () => {
  it('keeps what was read for the next page, newer where it was saved since', () => {
    const cache = keptCache();
    const rig = sampleRig();
    const path = `/rigs/${rig.id}`;
    cache.set(path, { data: rig });
    cache.set('/rigs/none', { data: undefined, error: 'x' });
    leave();
    expect([...kept()]).toEqual([[path, { data: rig }]]);

    arrived('rigs', { ...rig, revision: 3 });
    leave();
    expect(kept().get(path)!.data.revision).toBe(3);
    // Somebody else saved after that, and it was read here.
    cache.set(path, { data: { ...rig, revision: 4 } });
    leave();
    expect(kept().get(path)!.data.revision).toBe(4);
  });
});
