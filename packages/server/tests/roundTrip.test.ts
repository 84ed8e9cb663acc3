import { randomUUID } from 'node:crypto';

import { RESOURCE_NAMES, RESOURCES, type BodyOf, type ResourceName } from '@dunlinmoss/contract';
import { arbitraryOf } from '@dunlinmoss/contract/testing';
import { FAMILY_CODES, familyOf } from '@dunlinmoss/core';
import fc from 'fast-check';

import { createRepositories } from '../src/repositories/repositories';
import type { Repository, Stamped } from '../src/repositories/versioned';
import { anOuting, aRig, testServer, type TestServer } from './testServer';

type AnyRepository = Repository<BodyOf<ResourceName>, BodyOf<ResourceName> & Stamped>;

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.pool.end());

/** What a row points at has to be there; the rest is whatever the schema takes. */
function pointing(body: Record<string, unknown>, there: Readonly<Record<string, string>>): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(body).map(([field, value]) => [field, field in there && value !== null ? there[field] : value]),
  );
}

/** A rig has the axles of its family; an outing that let air out says to what. Hardly any made at random does. */
function possible(name: ResourceName, body: Record<string, unknown>): Record<string, unknown> {
  if (name !== 'rigs') return name === 'outings' ? { ...body, state: 'planned' } : body;
  const axles = body.axles as { position: string }[];
  const family = FAMILY_CODES.find((code) =>
    familyOf(code).axles.every((own) => axles.some(({ position }) => position === own.position)),
  );
  const cases = (body.loadCases as { id: string }[]).map((each, index) => ({
    ...each,
    id: randomUUID(),
    name: `Case ${index}`,
  }));
  return { ...body, family: family ?? body.family, loadCases: cases, loadCaseId: cases[0]?.id ?? null };
}

describe('every kind of row comes back from its tables as it went in', () => {
  it.each(RESOURCE_NAMES)('%s, whatever is in it', async (name) => {
    const repositories = createRepositories(server.pool);
    const repository = repositories[name] as unknown as AnyRepository;
    const owner = server.config.ownerId;
    const by = randomUUID();
    const rig = aRig();
    const outing = anOuting(rig.id);
    const tool = { id: randomUUID(), revision: 0, name: 'Pump', kind: 'coreDeflator', wheelsAtOnce: 1 } as const;
    await repositories.rigs.save(owner, rig, null);
    await repositories.outings.save(owner, outing, null);
    await repositories.tools.save(
      owner,
      {
        ...tool,
        flow: [],
        duty: null,
        budget: null,
        setKpa: null,
        valves: [],
        note: '',
      },
      null,
    );
    const there = { rigId: rig.id, outingId: outing.id, toolId: tool.id };
    const { body: schema, serverOnly } = RESOURCES[name];
    const bodies = arbitraryOf(schema)
      .map((made) =>
        schema.safeParse({
          ...possible(name, pointing(made as Record<string, unknown>, there)),
          id: randomUUID(),
          revision: 0,
        }),
      )
      .filter(({ success }) => success)
      // As it comes over the line, which knows one zero alone.
      .map(({ data }) => JSON.parse(JSON.stringify(data)) as BodyOf<ResourceName>);
    await fc.assert(
      fc.asyncProperty(bodies, async (body) => {
        await repository.save(owner, body, by);
        const row = Object.entries((await repository.get(owner, body.id))!);
        const back = Object.fromEntries(row.filter(([field]) => !(field in serverOnly)));
        expect(back).toEqual({ ...body, revision: 1 });
        expect(Object.fromEntries(row)).toMatchObject({ savedBy: by });
        // What is remembered of it is all of it too.
        expect((await repository.history(owner, body.id))[0]).toMatchObject({ deed: 'saved', savedBy: by, body: back });
      }),
      { numRuns: 25, seed: 20261127 },
    );
  });
});
