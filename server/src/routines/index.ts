export { RoutineDto, RoutineFieldsDto, RoutineVersionDto } from './dto/routines.dto.ts';
export { RoutinesModule } from './routines.module.ts';
export { RoutinesService } from './routines.service.ts';
