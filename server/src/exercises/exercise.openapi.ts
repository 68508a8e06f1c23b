import type { exerciseSchema } from '@soft-lark/core';
import type { ApiResponseSchemaHost } from '@nestjs/swagger';

type SchemaObject = ApiResponseSchemaHost['schema'];

/** The exercise as an OpenAPI schema, from the one schema the shelf is checked with, and the mark of a studio's own. */
export function shelfExerciseOpenApi(schema: typeof exerciseSchema, ownMark: string): SchemaObject {
  const exercise = schema.toJSONSchema({ target: 'openapi-3.0', io: 'output' }) as SchemaObject;
  return { ...exercise, properties: { ...exercise.properties, own: { $ref: ownMark } } };
}
