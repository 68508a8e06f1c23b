import { queryOptions } from '@tanstack/react-query';
import { api, dataOf, type Schemas } from './client.ts';

export type SingerGroup = Schemas['GroupDto'];

/** Pairs and small groups that sing together. */
export const groupsQuery = queryOptions({ queryKey: ['groups'], queryFn: () => dataOf(api.GET('/api/groups')) });

export const changeGroup = ({ id, ...body }: SingerGroup): Promise<SingerGroup> =>
  dataOf(api.PUT('/api/groups/{groupId}', { params: { path: { groupId: id } }, body }));

export const removeGroup = (groupId: string): Promise<unknown> =>
  dataOf(api.DELETE('/api/groups/{groupId}', { params: { path: { groupId } } }));
