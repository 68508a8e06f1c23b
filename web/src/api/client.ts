import createClient from 'openapi-fetch';
import { ApiProblem } from './problem.ts';
import type { components, paths } from './schema.gen.ts';

export type Schemas = components['schemas'];

/** The typed API; every call carries the header that no other site's form can send. */
export const api = createClient<paths>({ baseUrl: '', headers: { 'x-soft-lark': '1' } });

interface Answer<T> {
  readonly data?: T;
  readonly error?: unknown;
  readonly response: Response;
}

/**
 * The data of an answer.
 *
 * @throws ApiProblem where the server refused
 */
export async function dataOf<T>(call: Promise<Answer<T>>): Promise<T> {
  const { data, error, response } = await call;
  if (!response.ok)
    throw new ApiProblem(
      typeof error === 'object' && error !== null ? (error as Record<string, unknown>) : {},
      response.status,
    );
  return data as T;
}
