import { z } from 'zod';

import { CALCULATORS } from './calculators/registry';
import {
  centralState,
  centralTarget,
  deviceDriving,
  deviceFaults,
  deviceFlow,
  deviceSetup,
  deviceState,
  gaugeShows,
  monitorPackets,
  sentPackets,
  probeProfile,
} from './devices';
import { ARCHIVE_PATH, ARCHIVE_TYPE, archiveEvent } from './exchange/archive';
import { exchangeFile, importOutcome } from './exchange/exchangeFile';
import { loadsEvent } from './exchange/loadsCsv';
import { historyOf, removeQuery } from './resources/row';
import { importQuery, importState, openImports } from './imports';
import { logAdded, logBatch, logDeleted, logDeletion, logEvent, logKeeping, logQuery, downsampledLog } from './log';
import { planQuery, rigCard, rigNextStep, rigPlan } from './answers';
import { changes, changesQuery } from './changes';
import { sheets } from './paper';
import { PEOPLE_PATHS } from './people/paths';
import { problem } from './problem';
import { PHOTO_PATH, PHOTO_TYPE } from './resources/photo';
import { RESOURCES } from './resources/registry';

type Json = Record<string, unknown>;

const schemaOf = (schema: z.ZodType, io: 'input' | 'output' = 'output'): Json => {
  const { $schema: _, ...rest } = z.toJSONSchema(schema, { io, unrepresentable: 'any' }) as Json;
  return rest;
};
const json = (schema: Json): Json => ({ content: { 'application/json': { schema } } });
const component = (name: string): Json => ({ $ref: `#/components/schemas/${name}` });
const answer = (description: string, schema: Json): Json => ({ description, ...json(schema) });
const refusal = (description: string): Json => ({
  description,
  content: { 'application/problem+json': { schema: component('Problem') } },
});
const REFUSED = { 400: refusal('Refused, with the fields'), 503: refusal('The database is away; try again') };
const capital = (text: string): string => text[0]!.toUpperCase() + text.slice(1);

const idParameter: Json = { name: 'id', in: 'path', required: true, schema: { type: 'string', format: 'uuid' } };

const queryParameters = (query: z.ZodObject): Json[] => {
  const { properties = {}, required = [] } = schemaOf(query, 'input') as { properties?: Json; required?: string[] };
  return Object.entries(properties).map(([name, schema]) => ({
    name,
    in: 'query',
    required: required.includes(name),
    schema,
  }));
};

function resourcePaths(
  name: string,
  { path, query, body }: { path: string; query: z.ZodObject; body: z.ZodType },
): Json {
  const row = component(`${capital(name)}Row`);
  const stale = { 409: refusal('Saved by someone else since; the present row is in `present`') };
  const missing = { 404: refusal('Not there') };
  return {
    [`/${path}`]: {
      get: {
        summary: `A page of ${name}`,
        parameters: queryParameters(query),
        responses: { 200: answer('The page', component(`${capital(name)}Page`)), ...REFUSED },
      },
    },
    [`/${path}/{id}`]: {
      parameters: [idParameter],
      get: { summary: `One of the ${name}`, responses: { 200: answer('The row', row), ...missing, ...REFUSED } },
      put: {
        summary: 'Save; the same save twice is one row',
        requestBody: { required: true, ...json(component(capital(name))) },
        responses: { 200: answer('The saved row', row), ...stale, ...REFUSED },
      },
      delete: {
        summary:
          'Archive, from where it can be brought back; forever deletes what was archived, with all that hangs on it',
        parameters: queryParameters(removeQuery),
        responses: { 204: { description: 'Archived' }, ...missing, ...stale, ...REFUSED },
      },
    },
    [`/${path}/{id}/history`]: {
      parameters: [idParameter],
      get: {
        summary: 'What it was, newest first, with who changed it; as far back as is kept',
        responses: { 200: answer('Its versions', schemaOf(historyOf(body))), ...missing, ...REFUSED },
      },
    },
    [`/${path}/{id}/restore`]: {
      parameters: [idParameter],
      post: { summary: 'Bring back', responses: { 200: answer('The row', row), ...missing, ...REFUSED } },
    },
  };
}

const body = (schema: z.ZodType): Json => ({ requestBody: { required: true, ...json(schemaOf(schema, 'input')) } });
const importParameters = queryParameters(importQuery);
const asParameter = queryParameters(importQuery.pick({ as: true }));
const csv = { content: { 'text/csv': { schema: { type: 'string' } } } };
const NO_RIG = { 404: refusal('No such rig') };
const NOT_THERE = { 404: refusal('No such rig, or nothing switched on') };

/** Answers about a rig from all that is kept of it. */
const answerPaths = (): Json => ({
  '/rigs/{id}/plan': {
    parameters: [idParameter],
    get: {
      summary: 'Pressures of a rig on a ground, from its loads and everything that was measured on its tires',
      parameters: queryParameters(planQuery),
      responses: { 200: answer('The plan, or what stands in its way', schemaOf(rigPlan)), ...NO_RIG, ...REFUSED },
    },
  },
  '/rigs/{id}/next-step': {
    parameters: [idParameter],
    get: {
      summary: 'The one next step with a rig: of an airing or an outing under way, or because it stands low',
      responses: { 200: answer('The step', schemaOf(rigNextStep)), ...NO_RIG, ...REFUSED },
    },
  },
  '/rigs/{id}/card': {
    parameters: [idParameter],
    get: {
      summary: 'A plan for every ground of a rig, in one load case',
      parameters: queryParameters(planQuery.pick({ loadCaseId: true })),
      responses: { 200: answer('The card', schemaOf(rigCard)), ...NO_RIG, ...REFUSED },
    },
  },
});

/** What changed since a mark. The rows are those of the lists, so they are named, not written out again. */
function changesPath(): Json {
  const { properties, ...shape } = schemaOf(changes) as { properties: Json };
  const change = (name: string): Json => ({
    type: 'object',
    required: ['kind', 'id', 'row'],
    properties: {
      kind: { const: name },
      id: { type: 'string', format: 'uuid' },
      row: { anyOf: [component(`${capital(name)}Row`), { type: 'null' }] },
    },
  });
  const items = { type: 'array', items: { oneOf: Object.keys(RESOURCES).map(change) } };
  return {
    '/changes/stream': {
      get: {
        summary: 'Says when something changed: server-sent events `changed`, without what; `/changes` has that',
        responses: {
          200: { description: 'Each event', content: { 'text/event-stream': { schema: { type: 'object' } } } },
        },
      },
    },
    '/changes': {
      get: {
        summary:
          'Every row that changed since a mark, or every row there is; a device goes by it to work without a signal',
        parameters: queryParameters(changesQuery),
        responses: { 200: answer('The changes', { ...shape, properties: { ...properties, items } }), ...REFUSED },
      },
    },
  };
}

/** The log of a rig: handed over in batches, thinned, and as a table. */
const logPaths = (): Json => ({
  '/rigs/{id}/log': {
    parameters: [idParameter],
    get: {
      summary: 'The log of a rig, thinned: each stretch of time with its least and most',
      parameters: queryParameters(logQuery),
      responses: { 200: answer('The log', schemaOf(downsampledLog)), ...NOT_THERE, ...REFUSED },
    },
    post: {
      summary: 'Adds readings of monitors; one wheel at one time is one row, however often it arrives',
      ...body(logBatch),
      responses: { 200: answer('How many were new', schemaOf(logAdded)), ...NOT_THERE, ...REFUSED },
    },
    delete: {
      summary: 'Deletes the readings between two times, for good',
      parameters: queryParameters(logDeletion),
      responses: { 200: answer('How many there were', schemaOf(logDeleted)), ...NOT_THERE, ...REFUSED },
    },
  },
  '/log-keeping': {
    get: {
      summary: 'For how many months this space keeps each reading of monitors; null for good',
      responses: { 200: answer('The months', schemaOf(logKeeping)) },
    },
    put: {
      summary:
        'Says so. Older readings are left out from then on and taken away within a day; what they add up to, every ten minutes, stays for good',
      ...body(logKeeping),
      responses: { 200: answer('The months', schemaOf(logKeeping)), ...REFUSED },
    },
  },
  '/export/log/{id}': {
    parameters: [idParameter],
    get: {
      summary: 'The log of a rig as a table, with what was read by hand',
      responses: { 200: { description: 'The table', ...csv }, ...NOT_THERE },
    },
  },
  '/import/log/{id}': {
    parameters: [idParameter],
    post: {
      summary: 'Reads a table of readings in, of any length: all of it or nothing. Goes on where it broke',
      parameters: importParameters,
      requestBody: { required: true, ...csv },
      responses: {
        200: { description: 'One value a line', content: { 'application/x-ndjson': { schema: schemaOf(logEvent) } } },
        ...NOT_THERE,
      },
    },
  },
});

const zip = { content: { [ARCHIVE_TYPE]: { schema: { type: 'string', format: 'binary' } } } };

/** Everything of a space, logs and photos too, as one file. */
const archivePaths = (): Json => ({
  [`/${ARCHIVE_PATH}`]: {
    post: {
      summary: 'Reads such a file in: what is here already stays as it is. Goes on where it broke',
      parameters: importParameters,
      requestBody: { required: true, ...zip },
      responses: {
        200: {
          description: 'One value a line',
          content: { 'application/x-ndjson': { schema: schemaOf(archiveEvent) } },
        },
        ...REFUSED,
      },
    },
  },
});

/** Everything as one file, put together first and then fetched. */
const filePaths = (): Json => ({
  '/archives/{id}': {
    parameters: [idParameter],
    put: {
      summary:
        'Has everything put together as one file, of this moment: /imports/{id} tells when it is there, for an hour',
      responses: { 202: answer('How far', schemaOf(importState)), ...REFUSED },
    },
    get: {
      summary: 'The file, or a range of its bytes',
      responses: {
        200: { description: 'The archive', ...zip },
        206: { description: 'A part of it', ...zip },
        404: refusal('It is not there, not yet, or not any more'),
      },
    },
  },
});

const pdf = { content: { 'application/pdf': { schema: { type: 'string', format: 'binary' } } } };

/** Sheets on paper, laid out first and then fetched. */
const paperPaths = (): Json => ({
  '/papers/{id}': {
    parameters: [idParameter],
    put: {
      summary:
        'Has sheets laid out as one PDF: /imports/{id} tells when it is there, for an hour. The same again is made once',
      ...body(sheets),
      responses: { 202: answer('How far', schemaOf(importState)), ...REFUSED },
    },
    get: {
      summary: 'The PDF, or a range of its bytes',
      responses: {
        200: { description: 'The PDF', ...pdf },
        206: { description: 'A part of it', ...pdf },
        404: refusal('It is not there, not yet, or not any more'),
      },
    },
  },
});

/** What comes under a name of its own. */
const importPaths = (): Json => ({
  '/imports': {
    get: {
      summary: 'What has begun to come in and has not ended, whoever sends it',
      responses: { 200: answer('Each with how far it is', schemaOf(openImports)), ...REFUSED },
    },
  },
  '/imports/{id}': {
    parameters: [idParameter],
    get: {
      summary: 'How far an import has come: its bytes, then its work, then what it came to',
      responses: { 200: answer('How far', schemaOf(importState)), 404: refusal('No such import'), ...REFUSED },
    },
    delete: {
      summary: 'Forgets an import that has not come in whole, or has ended; what was taken in stays',
      responses: { 204: { description: 'Forgotten' }, 409: refusal('It is being taken in'), ...REFUSED },
    },
  },
});

const jpeg = { content: { [PHOTO_TYPE]: { schema: { type: 'string', format: 'binary' } } } };

/** Kept photos of prints. */
const photoPaths = (): Json => ({
  [`/${PHOTO_PATH}/{id}`]: {
    parameters: [idParameter],
    get: { summary: 'A kept photo', responses: { 200: { description: 'The photo', ...jpeg }, ...NOT_THERE } },
    put: {
      summary: 'Keeps a photo, once: a JPEG without EXIF data',
      requestBody: { required: true, ...jpeg },
      responses: { 204: { description: 'Kept' }, ...REFUSED },
    },
  },
});

/** The simulated stand-ins of a rig. */
function devicePaths(): Json {
  const base = '/devices/rigs/{id}';
  const wheel = ['position', 'wheel'].map((name) => ({ name, in: 'path', required: true, schema: { type: 'string' } }));
  const parameters = [idParameter];
  const state = { responses: { 200: answer('How they stand', schemaOf(deviceState)), ...NOT_THERE, ...REFUSED } };
  const told = (description: string, schema: z.ZodType): Json => ({
    responses: { 200: answer(description, schemaOf(schema)), ...NOT_THERE, ...REFUSED },
  });
  const pressureQuery = (name: string): Json => ({
    name,
    in: 'query',
    required: true,
    schema: { type: 'number', minimum: 0, maximum: 2000 },
  });
  return {
    '/devices/probe/{id}': {
      parameters,
      get: {
        summary: 'One push of the simulated soil probe into untouched soil and two tracks, by depth',
        parameters: [pressureQuery('trackAKpa'), pressureQuery('trackBKpa')],
        ...told('The readings', probeProfile),
      },
    },
    [base]: {
      parameters,
      get: { summary: 'How the simulated devices of a rig stand', ...state },
      put: { summary: 'Switches them on', ...body(deviceSetup), ...state },
      delete: { summary: 'Switches them off', responses: { 204: { description: 'Off' } } },
    },
    [`${base}/faults`]: {
      parameters,
      put: { summary: 'Has these faults and no others', ...body(deviceFaults), ...state },
    },
    [`${base}/driving`]: { parameters, put: { summary: 'Drives off, or stops', ...body(deviceDriving), ...state } },
    [`${base}/monitors`]: {
      parameters,
      get: {
        summary: 'What the monitors remember, a packet a minute',
        parameters: [{ name: 'minutes', in: 'query', schema: { type: 'integer', minimum: 1, maximum: 1440 } }],
        ...told('The packets', monitorPackets),
      },
    },
    [`${base}/monitors/stream`]: {
      parameters,
      get: {
        summary: 'What the monitors say, live: server-sent events `packets` and `off`',
        responses: {
          200: { description: 'Each event', content: { 'text/event-stream': { schema: schemaOf(sentPackets) } } },
          ...NOT_THERE,
        },
      },
    },
    [`${base}/gauge/{position}/{wheel}`]: {
      parameters: [...parameters, ...wheel],
      get: { summary: 'What the gauge shows on a valve', ...told('What it shows', gaugeShows) },
    },
    [`${base}/wheels/{position}/{wheel}/flow`]: {
      parameters: [...parameters, ...wheel],
      put: { summary: 'Lets air out, puts it in, or stops', ...body(deviceFlow), ...told('What it has', gaugeShows) },
    },
    [`${base}/central`]: {
      parameters,
      get: { summary: 'What the central-inflation controller does', ...told('Each axle', centralState) },
      put: { summary: 'Sends it to other pressures', ...body(centralTarget), ...told('Each axle', centralState) },
    },
  };
}

/** People, sessions, crews, invitations. */
function peoplePaths(): Json {
  const paths: Record<string, Json> = {};
  const WHO = { 401: refusal('Nobody is signed in'), 403: refusal('Not allowed') };
  for (const { method, path, summary, input, output } of PEOPLE_PATHS) {
    const parameters = [...path.matchAll(/\{(\w+)\}/g)].map(([, name]) => ({ ...idParameter, name }));
    const done = output ? { 200: answer('As it is now', schemaOf(output)) } : { 204: { description: 'Done' } };
    paths[path] ??= parameters.length > 0 ? { parameters } : {};
    paths[path][method] = { summary, ...(input && body(input)), responses: { ...done, ...WHO, ...REFUSED } };
  }
  return paths;
}

/** The description of the whole API, made from the schemas that guard it. */
export function openApi(): Json {
  const schemas: Json = { Problem: schemaOf(problem), ExchangeFile: schemaOf(exchangeFile, 'input') };
  const previewParameter: Json = {
    name: 'preview',
    in: 'query',
    description: 'With true nothing is kept: the answer says what would be done',
    schema: { type: 'boolean', default: false },
  };
  let paths: Json = {
    '/export': {
      get: {
        summary: 'Everything kept, or one rig, as one file',
        parameters: [{ name: 'rig', in: 'query', schema: { type: 'string', format: 'uuid' } }],
        responses: { 200: answer('The file', component('ExchangeFile')), 404: refusal('No such rig') },
      },
    },
    '/import': {
      post: {
        summary: 'Reads such a file in, of this version or an earlier one: all of it or nothing',
        parameters: [previewParameter, ...asParameter],
        requestBody: { required: true, ...json(component('ExchangeFile')) },
        responses: { 200: answer('What it did, row by row', schemaOf(importOutcome)), ...REFUSED },
      },
    },
    '/export/loads.csv': {
      get: {
        summary: 'The load on every wheel of every rig, in every load case, as a table',
        parameters: [{ name: 'rig', in: 'query', schema: { type: 'string', format: 'uuid' } }],
        responses: { 200: { description: 'The table', content: { 'text/csv': { schema: { type: 'string' } } } } },
      },
    },
    '/import/loads': {
      post: {
        summary:
          'Reads a table of weighed loads in: all of it or nothing. Without `apply` it only says what it would do',
        parameters: [
          {
            name: 'apply',
            in: 'query',
            description: 'The digest of what was said: just that is done, or nothing when things have changed since',
            schema: { type: 'string' },
          },
          ...asParameter,
        ],
        requestBody: { required: true, content: { 'text/csv': { schema: { type: 'string' } } } },
        responses: {
          200: {
            description: 'One value a line',
            content: { 'application/x-ndjson': { schema: schemaOf(loadsEvent) } },
          },
          ...REFUSED,
        },
      },
    },
  };
  paths = {
    ...paths,
    ...changesPath(),
    ...answerPaths(),
    ...logPaths(),
    ...photoPaths(),
    ...archivePaths(),
    ...filePaths(),
    ...paperPaths(),
    ...importPaths(),
    ...devicePaths(),
    ...peoplePaths(),
  };
  for (const [name, resource] of Object.entries(RESOURCES)) {
    schemas[capital(name)] = schemaOf(resource.body, 'input');
    schemas[`${capital(name)}Row`] = schemaOf(resource.row);
    schemas[`${capital(name)}Page`] = schemaOf(resource.page);
    paths = { ...paths, ...resourcePaths(name, resource) };
  }
  for (const { name, summary, input, output } of CALCULATORS) {
    paths[`/calc/${name}`] = {
      post: {
        summary,
        requestBody: { required: true, ...json(schemaOf(input, 'input')) },
        responses: { 200: answer('The result', schemaOf(output)), 400: REFUSED[400] },
      },
    };
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Dunlinmoss',
      version: '1',
      description:
        'Values are SI; the unit is the end of each field name: pressureKpa, loadKg, lengthMm. Each path about rows is also ' +
        'there under /in/{crew}: /api/v1/in/{crew}/rigs has the rigs of that crew, /api/v1/rigs those of whoever asks.',
    },
    servers: [{ url: '/api/v1' }],
    paths,
    components: { schemas },
  };
}
