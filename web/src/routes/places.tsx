import type { ComponentType } from 'react';
import { Navigate, type RouteObject } from 'react-router';
import { RouteFailure } from '../shell/route-failure.tsx';
import { Shape } from '../ui/shape.tsx';

/** A place that loads when it is opened. */
function place(path: string, load: () => Promise<ComponentType>): RouteObject {
  return { path, ...around(load) };
}

/** What stands around places, loaded with the first of them. */
function around(load: () => Promise<ComponentType>): Pick<RouteObject, 'lazy'> {
  return { lazy: async () => ({ Component: await load() }) };
}

/** The addresses of Soft Lark; each shows one place. */
export const places: RouteObject[] = [
  {
    ...place('/enter', async () => (await import('../places/entry/entry-place.tsx')).EntryPlace),
    errorElement: <RouteFailure />,
    hydrateFallbackElement: <Shape />,
  },
  {
    ...place('/home/:token', async () => (await import('../places/home/home-place.tsx')).HomePlace),
    errorElement: <RouteFailure />,
    hydrateFallbackElement: <Shape />,
  },
  {
    ...around(async () => (await import('../shell/signed-in-only.tsx')).SignedInOnly),
    hydrateFallbackElement: <Shape />,
    errorElement: <RouteFailure />,
    children: [
      place('/sing/:routineId', async () => (await import('../places/piano/piano-place.tsx')).PianoPlace),
      place(
        '/students/:studentId/review',
        async () => (await import('../places/students/review-place.tsx')).ReviewPlace,
      ),
      place(
        '/routines/:routineId/hand-out',
        async () => (await import('../places/hand-out/hand-out-place.tsx')).HandOutPlace,
      ),
      {
        ...around(async () => (await import('../shell/shell.tsx')).Shell),
        errorElement: <RouteFailure />,
        children: [
          { path: '/', element: <Navigate to="/today" replace /> },
          place('/today', async () => (await import('../places/today/today-place.tsx')).TodayPlace),
          place('/students', async () => (await import('../places/students/students-place.tsx')).StudentsPlace),
          place(
            '/students/:studentId',
            async () => (await import('../places/students/student-place.tsx')).StudentPlace,
          ),
          place('/students/:studentId/check', async () => (await import('../places/check/check-place.tsx')).CheckPlace),
          place(
            '/students/:studentId/:tab',
            async () => (await import('../places/students/student-place.tsx')).StudentPlace,
          ),
          place('/students/table', async () => (await import('../places/students/table-place.tsx')).TablePlace),
          place('/groups/:groupId', async () => (await import('../places/groups/group-place.tsx')).GroupPlace),
          place('/routines/:routineId', async () => (await import('../places/bench/bench-place.tsx')).BenchPlace),
          place('/shelf', async () => (await import('../places/shelf/shelf-place.tsx')).ShelfPlace),
          place('/shelf/new', async () => (await import('../places/shelf/exercise-sheet.tsx')).NewExercise),
          place('/shelf/import', async () => (await import('../places/shelf/import-place.tsx')).ImportPlace),
          place('/shelf/compare', async () => (await import('../places/shelf/compare-place.tsx')).ComparePlace),
          place('/shelf/:exerciseId', async () => (await import('../places/shelf/exercise-sheet.tsx')).ExerciseSheet),
          place('/log', async () => (await import('../places/log/log-place.tsx')).LogPlace),
          place('/log/:runId', async () => (await import('../places/log/run-place.tsx')).RunPlace),
          place('/settings', async () => (await import('../places/settings/settings-place.tsx')).SettingsPlace),
          place('/settings/:tab', async () => (await import('../places/settings/settings-place.tsx')).SettingsPlace),
          place('/cautions', async () => (await import('../places/cautions/cautions-place.tsx')).CautionsPlace),
          place('/about', async () => (await import('../places/about/about-place.tsx')).AboutPlace),
          { path: '*', element: <RouteFailure /> },
        ],
      },
    ],
  },
];
