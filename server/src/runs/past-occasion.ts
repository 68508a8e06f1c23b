import { occasionOf, type Occasion, type RoutineKind } from '@soft-lark/core';

/** What a run was for: practice at home, or what its routine is for; a lesson where that is gone. */
export function pastOccasion(atHome: boolean, kind: RoutineKind | null): Occasion {
  return atHome ? 'home' : occasionOf(kind ?? 'lesson');
}
