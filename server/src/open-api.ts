import type { INestApplication } from '@nestjs/common';
import { DocumentBuilder, SwaggerModule, type OpenAPIObject } from '@nestjs/swagger';
import { shapeComponents } from './common/index.ts';

/** The OpenAPI document of the API, from the code. */
export function openApiDocument(app: INestApplication): OpenAPIObject {
  const about = new DocumentBuilder().setTitle('Soft Lark').setVersion('1').build();
  const document = SwaggerModule.createDocument(app, about, {
    operationIdFactory: (controller, method) => `${controller.replace('Controller', '')}_${method}`,
  });
  const schemas = { ...document.components?.schemas, ...shapeComponents() };
  return { ...document, components: { ...document.components, schemas } } as OpenAPIObject;
}
