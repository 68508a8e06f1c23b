import type { FaultCode } from '@soft-lark/core';
import { applyDecorators, type Type } from '@nestjs/common';
import { ApiProperty } from '@nestjs/swagger';
import { Transform, Type as TypeOf } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsISO8601,
  IsObject,
  IsString,
  IsUUID,
  MaxLength,
  MinLength,
  Matches,
  Max,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { refusedBy } from './field-faults.ts';

interface FieldOptions {
  readonly optional?: boolean;
}

/** Left out is fine where optional; `null` never is. */
function presence({ optional = false }: FieldOptions): PropertyDecorator {
  return optional ? ValidateIf((_, value) => value !== undefined) : applyDecorators();
}

/** A line of text, trimmed, without control characters. */
export function Text(
  options: FieldOptions & { readonly max: number; readonly min?: number; readonly lines?: boolean },
): PropertyDecorator {
  const { max, min = 1, lines = false, optional = false } = options;
  return applyDecorators(
    ApiProperty({ type: String, minLength: min, maxLength: max, required: !optional }),
    Transform(({ value }: { value: unknown }) => (typeof value === 'string' ? value.trim() : value)),
    IsString(refusedBy('no-text')),
    MinLength(min, refusedBy('too-short', { count: min })),
    MaxLength(max, refusedBy('too-long', { count: max })),
    Matches(lines ? /^[^\0-\x08\x0b\x0c\x0e-\x1f]*$/ : /^[^\0-\x1f]*$/, refusedBy('bad-characters')),
    presence(options),
  );
}

/** A text of a fixed form. */
export function Formed(
  form: RegExp,
  fault: FaultCode,
  options: FieldOptions & { readonly example?: string; readonly each?: boolean } = {},
): PropertyDecorator {
  const { example, each = false } = options;
  return applyDecorators(
    ApiProperty({
      type: String,
      pattern: form.source,
      isArray: each,
      required: !options.optional,
      ...(example && { example }),
    }),
    IsString({ ...refusedBy('no-text'), each }),
    Matches(form, { ...refusedBy(fault), each }),
    presence(options),
  );
}

/** A whole number between two others. */
export function Whole(min: number, max: number, options: FieldOptions = {}): PropertyDecorator {
  const refused = refusedBy('whole-between', { least: min, most: max });
  return applyDecorators(
    ApiProperty({ type: 'integer', minimum: min, maximum: max, required: !options.optional }),
    IsInt(refused),
    Min(min, refused),
    Max(max, refused),
    presence(options),
  );
}

/** A pitch as a MIDI number. */
export function Pitch(options: FieldOptions = {}): PropertyDecorator {
  return Whole(0, 127, options);
}

/** One of a few words. */
export function Choice(values: readonly string[], options: FieldOptions = {}): PropertyDecorator {
  return applyDecorators(
    ApiProperty({ type: String, enum: values, required: !options.optional }),
    IsIn(values, refusedBy('not-among', { words: values.join(', ') })),
    presence(options),
  );
}

/** A list of some of a few words. */
export function Choices(values: readonly string[], options: FieldOptions = {}): PropertyDecorator {
  return applyDecorators(
    ApiProperty({ type: String, enum: values, isArray: true, required: !options.optional }),
    IsArray(refusedBy('no-list')),
    ArrayMaxSize(values.length * 2, refusedBy('too-many', { count: values.length * 2 })),
    IsIn(values, { each: true, ...refusedBy('not-among', { words: values.join(', ') }) }),
    presence(options),
  );
}

export function Flag(options: FieldOptions = {}): PropertyDecorator {
  return applyDecorators(
    ApiProperty({ type: Boolean, required: !options.optional }),
    IsBoolean(refusedBy('no-yes-or-no')),
    presence(options),
  );
}

export function Id(options: FieldOptions = {}): PropertyDecorator {
  return applyDecorators(
    ApiProperty({ type: String, format: 'uuid', required: !options.optional }),
    IsUUID('all', refusedBy('no-id')),
    presence(options),
  );
}

/** A list of ids. */
export function Ids(least: number, most: number): PropertyDecorator {
  return applyDecorators(
    ApiProperty({ type: String, format: 'uuid', isArray: true }),
    IsArray(refusedBy('no-list')),
    ArrayMinSize(least, refusedBy('too-few', { count: least })),
    ArrayMaxSize(most, refusedBy('too-many', { count: most })),
    IsUUID('all', { each: true, ...refusedBy('no-id') }),
  );
}

/** A calendar day. */
export function Day(options: FieldOptions = {}): PropertyDecorator {
  return applyDecorators(
    ApiProperty({ type: String, format: 'date', required: !options.optional }),
    Matches(/^(19|20|21)\d{2}-\d{2}-\d{2}$/, refusedBy('no-day')),
    IsISO8601({ strict: true }, refusedBy('no-calendar-day')),
    presence(options),
  );
}

/** As a browser writes it; ISO 8601 knows forms that neither JavaScript nor PostgreSQL can read. */
const INSTANT = /^(19|20|21)\d{2}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(\.\d{1,6})?(Z|[+-]\d{2}:\d{2})$/;

/** An instant with its zone. */
export function Instant(options: FieldOptions = {}): PropertyDecorator {
  return applyDecorators(
    ApiProperty({ type: String, format: 'date-time', required: !options.optional }),
    Matches(INSTANT, refusedBy('no-instant')),
    IsISO8601({ strict: true }, refusedBy('no-calendar-day')),
    presence(options),
  );
}

/** Another object. Swagger takes a function for lazy only where it is written in place. */
export function Part(type: () => Type, options: FieldOptions = {}): PropertyDecorator {
  return applyDecorators(
    ApiProperty({ type: () => type(), required: !options.optional }),
    TypeOf(type),
    IsObject(refusedBy('no-fields')),
    ValidateNested(refusedBy('not-complete')),
    presence(options),
  );
}

/** A list of objects. */
export function Parts(type: () => Type, most: number, options: FieldOptions = {}): PropertyDecorator {
  return applyDecorators(
    ApiProperty({ type: () => type(), isArray: true, required: !options.optional }),
    TypeOf(type),
    IsArray(refusedBy('no-list')),
    ArrayMaxSize(most, refusedBy('too-many', { count: most })),
    IsObject({ each: true, ...refusedBy('no-fields') }),
    ValidateNested({ each: true, ...refusedBy('not-complete') }),
    presence(options),
  );
}
