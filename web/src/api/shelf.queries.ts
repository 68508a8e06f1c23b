import { queryOptions, type QueryClient } from '@tanstack/react-query';
import type { Exercise } from '@soft-lark/core';
import { api, dataOf, type Schemas } from './client.ts';

/** An exercise as it stands on the shelf; `own` where the studio made it. */
export type ShelfExercise = Exercise & { readonly own?: Schemas['OwnMarkDto'] };
export type Shelf = ReadonlyMap<string, ShelfExercise>;
export type Collection = Schemas['CollectionDto'];
export type ShelfImport = Schemas['ShelfImportDto'];

/** The whole shelf, by id: the studio's own first, then what ships. Archived ones are in it; routines may have them. */
export const shelfQuery = queryOptions({
  queryKey: ['exercises'],
  queryFn: () => dataOf(api.GET('/api/exercises')),
  staleTime: 60_000,
  select: (exercises): Shelf => new Map(exercises.map((exercise) => [exercise.id, exercise as ShelfExercise])),
});

/** The exercise alone, as it is written to the shelf. */
export function exerciseOf(exercise: ShelfExercise): Exercise {
  const alone: Exercise & { own?: unknown } = { ...exercise };
  delete alone.own;
  return alone;
}

export const keepExercise = (exercise: Exercise, version: number, studentId?: string): Promise<ShelfExercise> =>
  dataOf(
    api.PUT('/api/exercises/{exerciseId}', {
      params: { path: { exerciseId: exercise.id } },
      body: { version, exercise, ...(studentId !== undefined && { studentId }) },
    }),
  );

export const archiveExercise = (exerciseId: string, isArchived: boolean): Promise<unknown> =>
  dataOf(api.PUT('/api/exercises/{exerciseId}/archive', { params: { path: { exerciseId } }, body: { isArchived } }));

export type ExerciseVersion = { readonly version: number; readonly savedAt: string; readonly exercise: Exercise };

/** How an exercise of the studio's own stood after each change, the latest first. */
export const versionsQuery = (exerciseId: string) =>
  queryOptions({
    queryKey: ['exercises', exerciseId, 'versions'],
    queryFn: async (): Promise<readonly ExerciseVersion[]> =>
      (await dataOf(
        api.GET('/api/exercises/{exerciseId}/versions', { params: { path: { exerciseId } } }),
      )) as readonly ExerciseVersion[],
  });

export const collectionsQuery = queryOptions({
  queryKey: ['collections'],
  queryFn: () => dataOf(api.GET('/api/collections')),
});

export const keepCollection = ({ id, ...body }: Collection): Promise<Collection> =>
  dataOf(api.PUT('/api/collections/{collectionId}', { params: { path: { collectionId: id } }, body }));

export const removeCollection = (collectionId: string): Promise<unknown> =>
  dataOf(api.DELETE('/api/collections/{collectionId}', { params: { path: { collectionId } } }));

export const importsQuery = queryOptions({
  queryKey: ['imports'],
  queryFn: () => dataOf(api.GET('/api/exercises/imports')),
});

/** Everything an import may have changed is asked for again. */
export async function refreshShelf(queries: QueryClient): Promise<void> {
  await Promise.all(
    ['exercises', 'collections', 'imports'].map((key) => queries.invalidateQueries({ queryKey: [key] })),
  );
}

export const takeImport = (body: Schemas['ImportDto'], signal: AbortSignal): Promise<ShelfImport> =>
  dataOf(api.POST('/api/exercises/imports', { body, signal }));

export const undoImport = (importId: string): Promise<ShelfImport> =>
  dataOf(api.DELETE('/api/exercises/imports/{importId}', { params: { path: { importId } } }));
