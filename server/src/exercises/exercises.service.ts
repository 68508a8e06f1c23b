import { Injectable } from '@nestjs/common';
import { shippedExercises, type Exercise } from '@soft-lark/core';

@Injectable()
export class ExercisesService {
  private readonly shipped = shippedExercises();

  /** The whole shelf. */
  list(): readonly Exercise[] {
    return this.shipped;
  }
}
