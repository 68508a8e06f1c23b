export { StudentDto } from './dto/students.dto.ts';
export { StudentsModule } from './students.module.ts';
export { StudentsService } from './students.service.ts';
export { STUDENT_TABLE_NAMES } from './student-tables.data.ts';
