import { queryOptions } from '@tanstack/react-query';
import { api, dataOf, type Schemas } from './client.ts';

export type Mute = Schemas['MuteDto'];
export type MutableRule = Schemas['NewMuteDto']['rule'];

/** Rules of the review that are muted anywhere in the studio. */
export const mutesQuery = queryOptions({ queryKey: ['mutes'], queryFn: () => dataOf(api.GET('/api/mutes')) });

export const muteRule = (body: Schemas['NewMuteDto']): Promise<Mute> => dataOf(api.POST('/api/mutes', { body }));

export const unmuteRule = (muteId: string): Promise<unknown> =>
  dataOf(api.DELETE('/api/mutes/{muteId}', { params: { path: { muteId } } }));
