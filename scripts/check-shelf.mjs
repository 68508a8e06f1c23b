// Refuses to build with an exercise that does not fit the schema, does not parse, or names a relative that is not there.
import { checkShelf, shippedExercises } from '../core/dist/index.js';

const exercises = shippedExercises();
const problems = checkShelf(exercises);
if (problems.length > 0) {
  console.error(`The shelf has ${problems.length} problems:\n${problems.join('\n')}`);
  process.exit(1);
}
console.log(`shelf: ${exercises.length} exercises, all sound`);
