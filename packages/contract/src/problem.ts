import { z } from 'zod';

/** Every reason the API can give, in `code`. */
export const PROBLEM_CODES = [
  'invalid',
  'malformedJson',
  'bodyTooLarge',
  'mediaType',
  'unknownHost',
  'otherSite',
  'signIn',
  'wrongPassphrase',
  'wrongPasskey',
  'needsName',
  'wrongCode',
  'tooManyTries',
  'nameTaken',
  'byInvitation',
  'aloneHere',
  'notMember',
  'notAllowed',
  'lastOwner',
  'firstPerson',
  'codeNotGiven',
  'invitationUnknown',
  'invitationUsed',
  'invitationExpired',
  'tooMany',
  'tooManyStreams',
  'underWay',
  'notFound',
  'staleRevision',
  'missingReference',
  'databaseAway',
  'stopping',
  'overloaded',
  'tooLong',
  'tooSlow',
  'serverStopped',
  'diskFull',
  'internal',
] as const;

/** One field that was refused. `path` is the JSON pointer of the field (RFC 6901). */
export const fieldProblem = z.object({
  path: z.string(),
  code: z.string(),
  message: z.string(),
  /** The bound, where there is one, in the unit of the field's name. */
  limit: z.number().optional(),
  params: z.record(z.string(), z.unknown()).optional(),
});

/** Problem details (RFC 9457) with a stable code, the refused fields, and the present row of a stale save. */
export const problem = z.object({
  type: z.string(),
  title: z.string(),
  status: z.int(),
  code: z.enum(PROBLEM_CODES),
  fields: z.array(fieldProblem).optional(),
  present: z.unknown().optional(),
  /** That row was archived. */
  presentArchived: z.boolean().optional(),
  /** When the next try is taken, s. */
  retryAfterS: z.number().optional(),
});

export type Problem = z.infer<typeof problem>;
export type ProblemCode = (typeof PROBLEM_CODES)[number];
export type FieldProblem = z.infer<typeof fieldProblem>;

const limitOf = (issue: z.core.$ZodIssue): number | undefined => {
  if (issue.code === 'too_big') return Number(issue.maximum);
  if (issue.code === 'too_small') return Number(issue.minimum);
  return undefined;
};

const pointer = (path: readonly PropertyKey[]): string =>
  path.map((part) => `/${String(part).replaceAll('~', '~0').replaceAll('/', '~1')}`).join('');

/** What a schema refused, as the API and the forms tell it. */
export function fieldProblems(error: z.core.$ZodError): FieldProblem[] {
  return error.issues.flatMap((issue): FieldProblem[] => {
    if (issue.code === 'unrecognized_keys') {
      return issue.keys.map((key) => ({
        path: pointer([...issue.path, key]),
        code: 'unknownField',
        message: 'This field is not known here',
      }));
    }
    const limit = limitOf(issue);
    const params = issue.code === 'custom' ? issue.params : undefined;
    return [
      {
        path: pointer(issue.path),
        code: typeof params?.code === 'string' ? params.code : issue.code,
        message: issue.message,
        ...(limit !== undefined && { limit }),
        ...(params && { params }),
      },
    ];
  });
}

/** A schema of this contract, for those who have one without knowing the library it is written in. */
export type Schema<Value> = z.ZodType<Value>;

export type Checked<Value> =
  { readonly ok: true; readonly value: Value } | { readonly ok: false; readonly problems: readonly FieldProblem[] };

/** A value held against a schema: as the schema gives it back, or what it refuses. */
export function checkedBy<Value>(schema: Schema<Value>, value: unknown): Checked<Value> {
  const result = schema.safeParse(value);
  return result.success ? { ok: true, value: result.data } : { ok: false, problems: fieldProblems(result.error) };
}
