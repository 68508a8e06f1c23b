import { shapeProblems } from '@soft-lark/core';
import { applyDecorators } from '@nestjs/common';
import { ApiProperty, getSchemaPath } from '@nestjs/swagger';
import { Transform } from 'class-transformer';
import { ArrayMaxSize, IsArray, ValidateBy, ValidateIf } from 'class-validator';
import { MOST_FAULTS, type FieldProblem } from './problem.ts';

/** A schema of the core, as far as the server asks it. */
export interface CoreSchema {
  readonly safeParse: (
    value: unknown,
  ) =>
    | { readonly success: true; readonly data: unknown }
    | { readonly success: false; readonly error: Parameters<typeof shapeProblems>[0] };
  readonly toJSONSchema: (options: { target: 'openapi-3.0'; io: 'output' }) => unknown;
}

/** The rule under which class-validator keeps what a schema of the core refuses. */
const SHAPE = 'shape';
/** Schemas that fields of requests have, by the name they have in the OpenAPI document. */
const named = new Map<string, CoreSchema>();

/** Faults under the name of the field they are in. */
function within(field: string, faults: readonly FieldProblem[]): readonly FieldProblem[] {
  return faults.map((fault) => ({ ...fault, field: fault.field ? `${field}.${fault.field}` : field }));
}

function problemsOf(value: unknown, schema: CoreSchema): readonly FieldProblem[] {
  const read = schema.safeParse(value);
  return read.success
    ? []
    : shapeProblems(read.error).map(({ path, message }) => ({ field: path.map(String).join('.'), message }));
}

/** What class-validator tells of a field, as far as shapes are told apart. */
interface Refused {
  readonly property: string;
  readonly value?: unknown;
  readonly contexts?: Readonly<Record<string, unknown>>;
}

/** The schema of the core that a rule was given; none where it has another context, or none. */
export function shapeIn(context: unknown): CoreSchema | undefined {
  return typeof context === 'object' && context !== null && 'schema' in context
    ? (context.schema as CoreSchema)
    : undefined;
}

/** The first faults of a field: a list is not looked at any further once there are enough of them. */
export function firstFaults(value: unknown, schema: CoreSchema, field: string, most: number): readonly FieldProblem[] {
  if (!Array.isArray(value)) return within(field, problemsOf(value, schema)).slice(0, most);
  const found: FieldProblem[] = [];
  for (const [index, one] of value.entries()) {
    if (found.length >= most) break;
    found.push(...within(`${field}.${String(index)}`, problemsOf(one, schema)));
  }
  return found.slice(0, most);
}

/** What is wrong inside of a field, by the schema of the core; none where it has another kind of decorator. */
export function shapeFaults({ property, value, contexts }: Refused): readonly FieldProblem[] {
  const schema = shapeIn(contexts?.[SHAPE]);
  return schema ? firstFaults(value, schema, property, MOST_FAULTS) : [];
}

/** The schemas of the core that requests have, as the OpenAPI document names them. */
export function shapeComponents(): Readonly<Record<string, unknown>> {
  return Object.fromEntries(
    [...named].map(([name, schema]) => [name, schema.toJSONSchema({ target: 'openapi-3.0', io: 'output' })]),
  );
}

function read(value: unknown, schema: CoreSchema): unknown {
  const parsed = schema.safeParse(value);
  return parsed.success ? parsed.data : value;
}

function checked(schema: CoreSchema, each: boolean): PropertyDecorator {
  return ValidateBy(
    { name: SHAPE, validator: { validate: (value: unknown) => schema.safeParse(value).success } },
    { each, message: 'cannot be read', context: { schema } },
  );
}

/**
 * A field that has the shape of a schema of the core, which says all that is wrong inside of it.
 *
 * @param name of the shape in the OpenAPI document
 */
export function Shape(
  name: string,
  schema: CoreSchema,
  { optional = false }: { readonly optional?: boolean } = {},
): PropertyDecorator {
  named.set(name, schema);
  return applyDecorators(
    ApiProperty({ allOf: [{ $ref: getSchemaPath(name) }], required: !optional }),
    Transform(({ value }: { value: unknown }) => read(value, schema)),
    checked(schema, false),
    optional ? ValidateIf((_, value) => value !== undefined) : applyDecorators(),
  );
}

/** A list of them. */
export function Shapes(
  name: string,
  schema: CoreSchema,
  most: number,
  { optional = false }: { readonly optional?: boolean } = {},
): PropertyDecorator {
  named.set(name, schema);
  return applyDecorators(
    ApiProperty({ type: 'array', items: { $ref: getSchemaPath(name) }, maxItems: most, required: !optional }),
    Transform(({ value }: { value: unknown }) =>
      Array.isArray(value) ? value.map((one: unknown) => read(one, schema)) : value,
    ),
    IsArray({ message: 'is not a list' }),
    ArrayMaxSize(most, { message: `has at most ${String(most)} entries` }),
    checked(schema, true),
    optional ? ValidateIf((_, value) => value !== undefined) : applyDecorators(),
  );
}
