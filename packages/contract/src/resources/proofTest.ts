import {
  LOAD_RANGE_CODES,
  ROUTINE_CODES,
  routineOf,
  type Field,
  type Fields,
  type RoutineCode,
  type RoutineValue,
  type RoutineValues,
} from '@dunlinmoss/core';
import { z } from 'zod';

import { tireMarking } from '../marking';
import { id, offsetKpa, revision, someLoadKg, timestamp, widthMm } from '../quantities';
import { stamps } from './row';
import { wheelKey } from './wheelRef';

/** What every test has, of whatever kind. */
const common = {
  id,
  revision,
  rigId: id,
  outingId: id.nullable(),
  performedAt: timestamp,
  /** False for one that was set archived: it is kept and shown, and nothing is learned from it. */
  counts: z.boolean().default(true),
};

/** The schema of one field of a routine, from what the core says of it. */
function fieldSchema(field: Field): z.ZodType<RoutineValue> {
  const schema = presentSchema(field);
  return field.optional ? schema.nullable().default(null) : schema;
}

function presentSchema(field: Field): z.ZodType<RoutineValue> {
  switch (field.type) {
    case 'number': {
      const number = field.whole ? z.int() : z.number();
      return number.min(field.min).max(field.max);
    }
    case 'choice':
      return z.enum(field.options as [string, ...string[]]);
    case 'wheel':
      return wheelKey;
    case 'outline':
      return z
        .array(z.tuple([z.number().min(-20_000).max(20_000), z.number().min(-20_000).max(20_000)]))
        .min(3)
        .max(400);
    case 'id':
      return id;
  }
}

const fieldsSchema = (fields: Fields): z.ZodType<RoutineValues> =>
  z.strictObject(Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, fieldSchema(field)])));

/** What is written down of one kind of test: setup once, the rest at every run. */
export const routineFields = (code: RoutineCode) => {
  const { setup, run } = routineOf(code);
  return { setup: fieldsSchema(setup), runs: z.array(fieldsSchema(run)).max(400) };
};

/** What is known of the wheel, whatever was tested on it. */
const ofTheWheel = {
  /** Of the wheel it was made on, or of the heaviest where it is of the whole rig; `wheelKey` writes it so. */
  wheel: wheelKey,
  tireMarking,
  loadRange: z.enum(LOAD_RANGE_CODES),
  /** Null where nobody knows it: what needs it is then withheld. */
  wheelLoadKg: someLoadKg.nullable(),
  /** On the rim, where it was measured. */
  widthMm: widthMm.nullable().default(null),
  gauge: z.strictObject({ gaugeId: id, offsetKpa }).nullable(),
  note: z.string().trim().max(500).default(''),
};

const detailsSchema = (code: RoutineCode) => {
  const { setup, runs } = routineFields(code);
  return z.strictObject({ ...ofTheWheel, setup, runs: runs.min(1) });
};

const made = new Map<RoutineCode, ReturnType<typeof detailsSchema>>();

/**
 * The part of its own of a test. Tire and load are kept as they were on the day. Made once, when it is first asked for: a
 * schema takes longer to make than to use, and those of all routines at once hold up a slow phone.
 */
export function routineDetails(code: RoutineCode): ReturnType<typeof detailsSchema> {
  const details = made.get(code) ?? detailsSchema(code);
  made.set(code, details);
  return details;
}

const routineTest = (code: RoutineCode) =>
  z.strictObject({
    ...common,
    kind: z.literal(code),
    get details() {
      return routineDetails(code);
    },
  });

const everyTest = ROUTINE_CODES.map(routineTest);
const [firstTest, ...otherTests] = everyTest;

/** A test as a person saves it: any of the registry's. */
export const proofTest = z.discriminatedUnion('kind', [firstTest!, ...otherTests]);
const [firstRow, ...otherRows] = everyTest.map((test) => test.extend(stamps));
export const proofTestRow = z.discriminatedUnion('kind', [firstRow!, ...otherRows]);

/** Guards a test's own part by its kind. */
export const detailsOf = (kind: ProofTest['kind'], details: unknown): ProofTest['details'] =>
  routineDetails(kind).parse(details);

export type ProofTest = z.infer<typeof proofTest>;
export type ProofTestRow = z.infer<typeof proofTestRow>;
export type RoutineDetails = ProofTest['details'];
