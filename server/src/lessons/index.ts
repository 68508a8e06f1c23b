export { LessonsModule } from './lessons.module.ts';
export { LessonsService } from './lessons.service.ts';
