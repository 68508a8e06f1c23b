import { Injectable } from '@nestjs/common';
import { shippedExercises, type Exercise } from '@soft-lark/core';

@Injectable()
export class ExercisesService {
  private readonly shipped = shippedExercises();

  /** Ids of the exercises in one register. */
  idsInRegister(register: Exercise['register']): string[] {
    return this.shipped.filter((exercise) => exercise.register === register).map(({ id }) => id);
  }

  /** The whole shelf. */
  list(): readonly Exercise[] {
    return this.shipped;
  }
}
