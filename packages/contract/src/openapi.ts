import { z } from 'zod';

import { CALCULATORS } from './calculators/registry';
import { exchangeFile, importOutcome } from './exchange';
import { problem } from './problem';
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

function resourcePaths(name: string, { path, query }: { path: string; query: z.ZodObject }): Json {
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
        summary: 'Put aside; can be brought back',
        parameters: [{ name: 'revision', in: 'query', required: true, schema: { type: 'integer', minimum: 1 } }],
        responses: { 204: { description: 'Put aside' }, ...missing, ...stale, ...REFUSED },
      },
    },
    [`/${path}/{id}/restore`]: {
      parameters: [idParameter],
      post: { summary: 'Bring back', responses: { 200: answer('The row', row), ...missing, ...REFUSED } },
    },
  };
}

/** The description of the whole API, made from the schemas that guard it. */
export function openApi(): Json {
  const schemas: Json = { Problem: schemaOf(problem), ExchangeFile: schemaOf(exchangeFile, 'input') };
  let paths: Json = {
    '/export': {
      get: {
        summary: 'Everything kept, as one file',
        responses: { 200: answer('The file', component('ExchangeFile')) },
      },
    },
    '/import': {
      post: {
        summary: 'Reads such a file in: all of it or nothing',
        requestBody: { required: true, ...json(component('ExchangeFile')) },
        responses: { 200: answer('What it did', schemaOf(importOutcome)), ...REFUSED },
      },
    },
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
      description: 'Values are SI; the unit is the end of each field name: pressureKpa, loadKg, lengthMm.',
    },
    servers: [{ url: '/api/v1' }],
    paths,
    components: { schemas },
  };
}
