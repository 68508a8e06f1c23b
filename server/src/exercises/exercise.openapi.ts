import type { exerciseSchema } from '@soft-lark/core';
import type { ApiResponseSchemaHost } from '@nestjs/swagger';

type SchemaObject = ApiResponseSchemaHost['schema'];

/** The exercise as an OpenAPI schema, from the one schema the shelf is checked with. */
export function exerciseOpenApi(schema: typeof exerciseSchema): SchemaObject {
  return schema.toJSONSchema({ target: 'openapi-3.0', io: 'output' }) as SchemaObject;
}
