import { faultsOf } from '@soft-lark/core';
import { applyDecorators } from '@nestjs/common';
import { ApiProperty, getSchemaPath } from '@nestjs/swagger';
import { Transform } from 'class-transformer';
import { ArrayMaxSize, IsArray, ValidateBy, ValidateIf } from 'class-validator';
import { refusedBy } from './field-faults.ts';
import { fieldProblem, type FieldProblem } from './problem.ts';

/** A schema of the core, as far as the server asks it. */
export interface CoreSchema {
  readonly safeParse: (
    value: unknown,
  ) =>
    | { readonly success: true; readonly data: unknown }
    | { readonly success: false; readonly error: Parameters<typeof faultsOf>[0] };
  readonly toJSONSchema: (options: { target: 'openapi-3.0'; io: 'output' }) => unknown;
}

/** Schemas that fields of requests have, by the name they have in the OpenAPI document. */
const named = new Map<string, CoreSchema>();

/** A value that its schema refused, with why; nothing reads it a second time. */
class Unread {
  constructor(readonly faults: readonly FieldProblem[]) {}
}

/** Faults under the name of the field they are in. */
function within(field: string, faults: readonly FieldProblem[]): readonly FieldProblem[] {
  return faults.map((fault) => ({ ...fault, field: fault.field ? `${field}.${fault.field}` : field }));
}

/** A value as its schema reads it, or why it cannot be read. */
function read(value: unknown, schema: CoreSchema): unknown {
  const parsed = schema.safeParse(value);
  if (parsed.success) return parsed.data;
  return new Unread(faultsOf(parsed.error).map(({ path, ...fault }) => fieldProblem(path.join('.'), fault)));
}

function faultsIn(value: unknown, schema: CoreSchema): readonly FieldProblem[] {
  const found = read(value, schema);
  return found instanceof Unread ? found.faults : [];
}

/** The schema of the core that a rule was given; none where it has another context, or none. */
export function shapeIn(context: unknown): CoreSchema | undefined {
  return typeof context === 'object' && context !== null && 'schema' in context
    ? (context.schema as CoreSchema)
    : undefined;
}

/** The first faults of a field: a list is not looked at any further once there are enough of them. */
export function firstFaults(value: unknown, schema: CoreSchema, field: string, most: number): readonly FieldProblem[] {
  if (!Array.isArray(value)) return within(field, faultsIn(value, schema)).slice(0, most);
  const found: FieldProblem[] = [];
  for (const [index, one] of value.entries()) {
    if (found.length >= most) break;
    found.push(...within(`${field}.${String(index)}`, faultsIn(one, schema)));
  }
  return found.slice(0, most);
}

/** What is wrong inside of a field that a schema refused; none where it has another kind of decorator. */
export function shapeFaults(field: string, value: unknown): readonly FieldProblem[] {
  if (value instanceof Unread) return within(field, value.faults);
  return Array.isArray(value)
    ? value.flatMap((one: unknown, index) =>
        one instanceof Unread ? within(`${field}.${String(index)}`, one.faults) : [],
      )
    : [];
}

/** The schemas of the core that requests have, as the OpenAPI document names them. */
export function shapeComponents(): Readonly<Record<string, unknown>> {
  return Object.fromEntries(
    [...named].map(([name, schema]) => [name, schema.toJSONSchema({ target: 'openapi-3.0', io: 'output' })]),
  );
}

function checked(schema: CoreSchema, each: boolean): PropertyDecorator {
  return ValidateBy(
    { name: 'shape', validator: { validate: (value: unknown) => value !== undefined && !(value instanceof Unread) } },
    { each, ...refusedBy('missing', undefined, { schema }) },
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
    IsArray(refusedBy('no-list')),
    ArrayMaxSize(most, refusedBy('too-many', { count: most })),
    checked(schema, true),
    optional ? ValidateIf((_, value) => value !== undefined) : applyDecorators(),
  );
}
