export { ClockModule } from './clock.module.ts';
export { Clock, isTimeZone } from './clock.ts';
export {
  Choice,
  Choices,
  Day,
  Flag,
  Formed,
  Id,
  Ids,
  Instant,
  Named,
  Part,
  Parts,
  Pitch,
  Pitches,
  Real,
  Text,
  Texts,
  Whole,
} from './fields.ts';
export { openApiOf } from './open-api-of.ts';
export { databaseFault, isTwice } from './database-faults.ts';
export { demandRoom } from './quota.ts';
export { Problem, notFound, staleWrite } from './problem.ts';
export { ProblemFilter } from './problem.filter.ts';
export { Open, SessionGuard, Who, type SignedIn } from './session.ts';
export { invalid, validationPipe } from './validation.ts';
export { written } from './written.ts';
export { demandStored, readStored, unreadable, type StoredKind } from './stored.ts';
export { UnreadableDto } from './unreadable.dto.ts';
export { Shape, shapeComponents, Shapes } from './shapes.ts';
