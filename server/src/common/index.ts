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
export { Problem, notFound, staleWrite } from './problem.ts';
export { ProblemFilter } from './problem.filter.ts';
export { Open, SessionGuard, Who, type SignedIn } from './session.ts';
export { validationPipe } from './validation.ts';
export { written } from './written.ts';
