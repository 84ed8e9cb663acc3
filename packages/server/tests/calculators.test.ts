import SwaggerParser from '@apidevtools/swagger-parser';
import { CALCULATORS } from '@dunlinmoss/contract/api';
import request from 'supertest';

import { testServer, type TestServer } from './testServer';

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.pool.end());

const calculate = (name: string, input: object) => request(server.app).post(`/api/v1/calc/${name}`).send(input);
const tire = { tireMarking: '245/75R16', loadRange: 'standard' };

const EXAMPLES: Record<string, { input: object; output: object }> = {
  'air-pressure': { input: { altitudeM: 0 }, output: { airPressureKpaAbs: 101.325 } },
  'tire-marking': {
    input: { marking: 'LT285/70R17 121/118Q E' },
    output: { ok: true, sectionWidthMm: 285, loadKg: 1450, dualLoadKg: 1320, speedKmh: 160, loadRange: 'E' },
  },
  contact: {
    input: { ...tire, wheelLoadKg: 500, pressureKpa: 310 },
    output: { contact: { pressureKpa: 310, widthMm: 183.75 } },
  },
  'ground-plan': {
    input: {
      ground: 'softSand',
      beadLocks: false,
      stuckAccepted: false,
      axles: [{ position: 'front', ...tire, leftLoadKg: 500, rightLoadKg: 480, placardKpa: 240 }],
    },
    output: { ok: true, value: { ground: 'softSand', axles: [{ wheelLoadKg: 500, roadKpa: 240 }] } },
  },
  tape: {
    input: {
      ...tire,
      wheelLoadKg: 500,
      method: 'marks',
      surface: 'firm',
      readings: [{ pressureKpa: 240, lengthMm: 150 }],
    },
    output: { verdict: 'tooFewReadings', growth: null },
  },
};

describe('every calculator', () => {
  it.each(CALCULATORS.map(({ name, output }) => [name, output] as const))(
    '%s answers as described',
    async (name, output) => {
      const example = EXAMPLES[name]!;
      const { body } = await calculate(name, example.input).expect(200);
      expect(body).toMatchObject(example.output);
      expect(output.parse(body)).toEqual(body);
    },
  );

  it.each(CALCULATORS.map(({ name }) => name))('%s refuses a field it does not know', async (name) => {
    const { body } = await calculate(name, { ...EXAMPLES[name]!.input, moon: 'full' }).expect(400);
    expect(body.fields).toContainEqual(expect.objectContaining({ path: '/moon', code: 'unknownField' }));
  });

  it('says that there is no safe number instead of giving one', async () => {
    const { axles, ...rest } = EXAMPLES['ground-plan']!.input as { axles: object[] };
    const heavy = { ...rest, axles: [{ ...axles[0], leftLoadKg: 2500 }] };
    const { body } = await calculate('ground-plan', heavy).expect(200);
    expect(body).toMatchObject({ ok: false, problem: { code: 'placardCannotCarry', wheelLoadKg: 2500 } });
  });
});

describe('openapi.json', () => {
  it('is a valid description of every path', async () => {
    const { body } = await request(server.app).get('/api/v1/openapi.json').expect(200);
    // Throws where the description breaks the standard or points at a schema that is not there.
    await SwaggerParser.validate(structuredClone(body));
    for (const { name } of CALCULATORS) expect(body.paths).toHaveProperty([`/calc/${name}`, 'post']);
    for (const path of ['/rigs', '/rigs/{id}', '/outings/{id}/restore', '/tests', '/export', '/import']) {
      expect(body.paths).toHaveProperty([path]);
    }
  });
});
