import type { ApiResponseSchemaHost } from '@nestjs/swagger';

type SchemaObject = ApiResponseSchemaHost['schema'];

/** A schema of the core that can be written down as OpenAPI has it. */
interface Written {
  readonly toJSONSchema: (options: { target: 'openapi-3.0'; io: 'output' }) => unknown;
}

/** A schema of the core as OpenAPI has it, with what the server adds to it; `always` names what is never left out. */
export function openApiOf(
  schema: Written,
  added: NonNullable<SchemaObject['properties']>,
  always: readonly string[] = [],
): SchemaObject {
  const written = schema.toJSONSchema({ target: 'openapi-3.0', io: 'output' }) as SchemaObject;
  return {
    ...written,
    properties: { ...written.properties, ...added },
    required: [...(written.required ?? []), ...always],
  };
}
