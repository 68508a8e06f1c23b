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
  Length,
  Matches,
  Max,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator';

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
    IsString({ message: 'is not a text' }),
    Length(min, max, { message: `is between ${String(min)} and ${String(max)} characters long` }),
    Matches(lines ? /^[^\0-\x08\x0b\x0c\x0e-\x1f]*$/ : /^[^\0-\x1f]*$/, {
      message: 'holds characters that cannot be shown',
    }),
    presence(options),
  );
}

/** A text of a fixed form. */
export function Formed(
  form: RegExp,
  message: string,
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
    IsString({ message: 'is not a text', each }),
    Matches(form, { message, each }),
    presence(options),
  );
}

/** A whole number between two others. */
export function Whole(min: number, max: number, options: FieldOptions = {}): PropertyDecorator {
  const message = `is a whole number from ${String(min)} to ${String(max)}`;
  return applyDecorators(
    ApiProperty({ type: 'integer', minimum: min, maximum: max, required: !options.optional }),
    IsInt({ message }),
    Min(min, { message }),
    Max(max, { message }),
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
    IsIn(values, { message: `is one of ${values.join(', ')}` }),
    presence(options),
  );
}

/** A list of some of a few words. */
export function Choices(values: readonly string[], options: FieldOptions = {}): PropertyDecorator {
  return applyDecorators(
    ApiProperty({ type: String, enum: values, isArray: true, required: !options.optional }),
    IsArray({ message: 'is not a list' }),
    ArrayMaxSize(values.length * 2, { message: 'has too many entries' }),
    IsIn(values, { each: true, message: `holds only ${values.join(', ')}` }),
    presence(options),
  );
}

export function Flag(options: FieldOptions = {}): PropertyDecorator {
  return applyDecorators(
    ApiProperty({ type: Boolean, required: !options.optional }),
    IsBoolean({ message: 'is yes or no' }),
    presence(options),
  );
}

export function Id(options: FieldOptions = {}): PropertyDecorator {
  return applyDecorators(
    ApiProperty({ type: String, format: 'uuid', required: !options.optional }),
    IsUUID('all', { message: 'is not an id' }),
    presence(options),
  );
}

/** A list of ids. */
export function Ids(least: number, most: number): PropertyDecorator {
  return applyDecorators(
    ApiProperty({ type: String, format: 'uuid', isArray: true }),
    IsArray({ message: 'is not a list' }),
    ArrayMinSize(least, { message: `has at least ${String(least)} of them` }),
    ArrayMaxSize(most, { message: `has at most ${String(most)} entries` }),
    IsUUID('all', { each: true, message: 'holds only ids' }),
  );
}

/** A calendar day. */
export function Day(options: FieldOptions = {}): PropertyDecorator {
  return applyDecorators(
    ApiProperty({ type: String, format: 'date', required: !options.optional }),
    Matches(/^(19|20|21)\d{2}-\d{2}-\d{2}$/, { message: 'is a day such as 2026-11-25' }),
    IsISO8601({ strict: true }, { message: 'is not a day of the calendar' }),
    presence(options),
  );
}

/** As a browser writes it; ISO 8601 knows forms that neither JavaScript nor PostgreSQL can read. */
const INSTANT = /^(19|20|21)\d{2}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(\.\d{1,6})?(Z|[+-]\d{2}:\d{2})$/;

/** An instant with its zone. */
export function Instant(options: FieldOptions = {}): PropertyDecorator {
  return applyDecorators(
    ApiProperty({ type: String, format: 'date-time', required: !options.optional }),
    Matches(INSTANT, { message: 'is an instant such as 2026-11-25T15:00:00Z' }),
    IsISO8601({ strict: true }, { message: 'is not an instant of the calendar' }),
    presence(options),
  );
}

/** Another object. Swagger takes a function for lazy only where it is written in place. */
export function Part(type: () => Type, options: FieldOptions = {}): PropertyDecorator {
  return applyDecorators(
    ApiProperty({ type: () => type(), required: !options.optional }),
    TypeOf(type),
    IsObject({ message: 'is not a group of fields' }),
    ValidateNested({ message: 'is not complete' }),
    presence(options),
  );
}

/** A list of objects. */
export function Parts(type: () => Type, most: number, options: FieldOptions = {}): PropertyDecorator {
  return applyDecorators(
    ApiProperty({ type: () => type(), isArray: true, required: !options.optional }),
    TypeOf(type),
    IsArray({ message: 'is not a list' }),
    ArrayMaxSize(most, { message: `has at most ${String(most)} entries` }),
    IsObject({ each: true, message: 'is not a list of groups of fields' }),
    ValidateNested({ each: true, message: 'is not complete' }),
    presence(options),
  );
}
