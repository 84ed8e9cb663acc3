import fc from 'fast-check';
import type { z } from 'zod';
import type { $ZodCheck, $ZodType } from 'zod/v4/core';

/** What of a schema's definition is read here; each kind of schema has some of it. */
interface Definition {
  readonly type: string;
  readonly checks?: readonly $ZodCheck[];
  readonly shape?: Readonly<Record<string, $ZodType>>;
  readonly element?: $ZodType;
  readonly items?: readonly $ZodType[];
  readonly rest?: $ZodType | null;
  readonly options?: readonly $ZodType[];
  readonly innerType?: $ZodType;
  readonly in?: $ZodType;
  readonly keyType?: $ZodType;
  readonly valueType?: $ZodType;
  readonly entries?: Readonly<Record<string, string | number>>;
  readonly values?: readonly unknown[];
  readonly format?: string;
}

interface Bounds {
  min: number;
  max: number;
  minExclusive: boolean;
  maxExclusive: boolean;
}

/** Lists longer than this are not made: their limits have tests of their own. */
const LONGEST = 6;

const definitionOf = (schema: $ZodType): Definition => schema._zod.def as unknown as Definition;

/** The checks of a schema by name, with what they ask. */
function checksOf(definition: Definition): readonly Readonly<Record<string, unknown>>[] {
  return (definition.checks ?? []).map((check) => check._zod.def as unknown as Readonly<Record<string, unknown>>);
}

function numberBounds(definition: Definition, least: number, most: number): Bounds {
  const bounds = { min: least, max: most, minExclusive: false, maxExclusive: false };
  for (const { check, value, inclusive } of checksOf(definition)) {
    if (check === 'greater_than' && (value as number) >= bounds.min) {
      bounds.min = value as number;
      bounds.minExclusive = inclusive !== true;
    }
    if (check === 'less_than' && (value as number) <= bounds.max) {
      bounds.max = value as number;
      bounds.maxExclusive = inclusive !== true;
    }
  }
  return bounds;
}

function numberOf(definition: Definition): fc.Arbitrary<number> {
  const whole = definition.format === 'safeint' || checksOf(definition).some(({ format }) => format === 'safeint');
  if (whole) {
    const { min, max, minExclusive, maxExclusive } = numberBounds(definition, -1e9, 1e9);
    return fc.integer({ min: min + (minExclusive ? 1 : 0), max: max - (maxExclusive ? 1 : 0) });
  }
  const bounds = numberBounds(definition, -1e300, 1e300);
  const { min, max, minExclusive, maxExclusive } = bounds;
  const inside = fc.double({ ...bounds, minExcluded: minExclusive, maxExcluded: maxExclusive, noNaN: true });
  // Trouble sits at the ends of a range, at round numbers, and where two fields are the same.
  const marked = [min, max, 0, 1, 100].filter(
    (value) => (minExclusive ? value > min : value >= min) && (maxExclusive ? value < max : value <= max),
  );
  // Most doubles are next to nothing: spread them over the range and its powers of ten instead.
  const spread = fc
    .integer({ min: 1, max: 999 })
    .chain((part) =>
      fc.constantFrom(min + ((max - min) * part) / 1000, min + (max - min) * 10 ** ((part - 1000) / 200)),
    );
  return fc.oneof(
    { weight: 1, arbitrary: inside },
    { weight: 4, arbitrary: spread },
    { weight: 2, arbitrary: fc.constantFrom(...marked, ...(marked.length === 0 ? [(min + max) / 2] : [])) },
  );
}

function lengthsOf(definition: Definition): { minLength: number; maxLength: number } {
  let [minLength, maxLength] = [0, LONGEST];
  for (const { check, minimum, maximum, length } of checksOf(definition)) {
    if (check === 'min_length') minLength = minimum as number;
    if (check === 'max_length') maxLength = Math.min(maxLength, maximum as number);
    if (check === 'length_equals') minLength = maxLength = length as number;
  }
  return { minLength, maxLength: Math.max(minLength, maxLength) };
}

function stringOf(definition: Definition): fc.Arbitrary<string> {
  const formats = [definition.format, ...checksOf(definition).map(({ format }) => format)];
  if (formats.includes('uuid')) return fc.uuid();
  if (formats.includes('datetime')) {
    return fc
      .date({ min: new Date('1990-01-01'), max: new Date('2100-01-01'), noInvalidDate: true })
      .map((date) => date.toISOString());
  }
  return fc.oneof(
    // Markings are read from strings: real ones among the noise.
    fc.constantFrom('265/65R17 112T', '57-584', '480/80R42 151D', 'AT25x8-12 2*', '27.5x2.25', 'LT245/75R16 120/116Q'),
    fc.string(lengthsOf(definition)),
  );
}

/** Axles come front to rear and each once, as no rig has them otherwise; else a refinement would refuse nearly all. */
function arrayOf(definition: Definition): fc.Arbitrary<unknown[]> {
  const element = definition.element!;
  const lengths = lengthsOf(definition);
  const position = definitionOf(element).shape?.position;
  if (!position || 'wheel' in definitionOf(element).shape!) return fc.array(arbitraryOfSchema(element), lengths);
  const places = Object.values(definitionOf(position).entries!);
  const placeOf = (each: unknown): number => places.indexOf((each as { position: string }).position);
  return fc
    .uniqueArray(arbitraryOfSchema(element), { ...lengths, selector: placeOf })
    .map((all) => all.sort((a, b) => placeOf(a) - placeOf(b)));
}

function bareArbitraryOf(schema: $ZodType): fc.Arbitrary<unknown> {
  const definition = definitionOf(schema);
  switch (definition.type) {
    case 'object':
      return fc.record(
        Object.fromEntries(Object.entries(definition.shape!).map(([key, value]) => [key, arbitraryOfSchema(value)])),
      );
    case 'array':
      return arrayOf(definition);
    case 'tuple': {
      const first = fc.tuple(...definition.items!.map(arbitraryOfSchema));
      if (!definition.rest) return first;
      return fc
        .tuple(first, fc.array(arbitraryOfSchema(definition.rest), { maxLength: LONGEST }))
        .map(([some, rest]) => [...some, ...rest]);
    }
    case 'union':
      return fc.oneof(...definition.options!.map(arbitraryOfSchema));
    case 'record':
      return fc.dictionary(
        arbitraryOfSchema(definition.keyType!) as fc.Arbitrary<string>,
        arbitraryOfSchema(definition.valueType!),
        { maxKeys: LONGEST },
      );
    case 'nullable':
      return fc.option(arbitraryOfSchema(definition.innerType!), { nil: null });
    case 'optional':
    case 'default':
    case 'prefault':
      return fc.option(arbitraryOfSchema(definition.innerType!), { nil: undefined });
    case 'nonoptional':
    case 'readonly':
      return arbitraryOfSchema(definition.innerType!);
    case 'pipe':
      return arbitraryOfSchema(definition.in!);
    case 'enum':
      return fc.constantFrom(...Object.values(definition.entries!));
    case 'literal':
      return fc.constantFrom(...definition.values!);
    case 'boolean':
      return fc.boolean();
    case 'number':
      return numberOf(definition);
    case 'string':
      return stringOf(definition);
    case 'null':
      return fc.constant(null);
    default:
      throw new Error(`arbitraryOf: expected a kind of schema that it knows, got ${definition.type}`);
  }
}

/** Values of a part; what its own refinements refuse is left out. */
function arbitraryOfSchema(schema: $ZodType): fc.Arbitrary<unknown> {
  const bare = bareArbitraryOf(schema);
  const refined = checksOf(definitionOf(schema)).some(({ check }) => check === 'custom');
  return refined ? bare.filter((value) => (schema as z.ZodType).safeParse(value).success) : bare;
}

/**
 * Valid inputs of a schema for property tests, with the ends of every range among them. Made from the schema itself, so
 * a new field or calculator is covered without a line here.
 */
export const arbitraryOf = <Schema extends z.ZodType>(schema: Schema): fc.Arbitrary<z.input<Schema>> =>
  arbitraryOfSchema(schema) as fc.Arbitrary<z.input<Schema>>;

/**
 * Valid inputs near plausible ones: some fields, also of the things in its lists, are replaced by what the schema takes.
 * Wholly random ones hardly ever get past the first check of a computation.
 */
export const nearby = <Schema extends z.ZodObject>(
  schema: Schema,
  examples: readonly z.input<Schema>[],
): fc.Arbitrary<z.input<Schema>> =>
  fc
    .constantFrom(...examples)
    .chain((example) => changed(schema, example))
    .filter((value) => schema.safeParse(value).success) as fc.Arbitrary<z.input<Schema>>;

/** What of the fields is kept as it is, of one in so many. */
const KEPT = 15;

function changed(schema: $ZodType, value: unknown): fc.Arbitrary<unknown> {
  const definition = definitionOf(schema);
  if (definition.type === 'object' && typeof value === 'object' && value !== null) {
    const given = value as Readonly<Record<string, unknown>>;
    return fc.record(
      Object.fromEntries(Object.entries(definition.shape!).map(([key, part]) => [key, mostly(part, given[key])])),
      { noNullPrototype: true },
    );
  }
  if (definition.type === 'array' && Array.isArray(value)) {
    return fc.tuple(...value.map((each) => changed(definition.element!, each)));
  }
  return arbitraryOfSchema(schema);
}

const mostly = (schema: $ZodType, value: unknown): fc.Arbitrary<unknown> =>
  typeof value === 'object' && value !== null
    ? changed(schema, value)
    : fc.oneof({ weight: KEPT, arbitrary: fc.constant(value) }, { weight: 1, arbitrary: arbitraryOfSchema(schema) });
