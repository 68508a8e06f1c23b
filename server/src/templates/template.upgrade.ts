import { templateSchema, type KeptTemplate } from '@soft-lark/core';
import { readStored, unreadable, type StoredKind, type UnreadableDto } from '../common/index.ts';
import type { StoredTemplate, Template } from './template.entity.ts';

const TEMPLATES: StoredKind<KeptTemplate> = { what: 'template', schema: templateSchema };

/** A template as the core reads it today; null where it cannot be read. */
export function readTemplate({ schema, ...value }: StoredTemplate): KeptTemplate | null {
  return readStored(TEMPLATES, { schema, value });
}

/** What is to be said of a template that cannot be read; null where it can. */
export function unreadableTemplate({ id, name, body: { schema, ...value } }: Template): UnreadableDto | null {
  return unreadable({ id, name }, TEMPLATES, { schema, value });
}
