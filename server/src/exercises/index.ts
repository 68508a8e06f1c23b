export { ExercisesModule } from './exercises.module.ts';
export { ExercisesService } from './exercises.service.ts';
