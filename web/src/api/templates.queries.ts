import { queryOptions } from '@tanstack/react-query';
import { api, dataOf, type Schemas } from './client.ts';

export type Template = Schemas['TemplateDto'];

/** Routines the studio keeps to begin others from. */
export const templatesQuery = queryOptions({
  queryKey: ['templates'],
  queryFn: () => dataOf(api.GET('/api/templates')),
});

export const keepTemplate = (body: Schemas['NewTemplateDto']): Promise<Template> =>
  dataOf(api.POST('/api/templates', { body }));

export const removeTemplate = (templateId: string): Promise<unknown> =>
  dataOf(api.DELETE('/api/templates/{templateId}', { params: { path: { templateId } } }));
