/** Where rows hang on a student; `$2` is the student. */
const ITS_ROUTINES = '(select id from routine where studio_id = $1 and student_id = $2)';

/** Every table with something of a student in it, and which of its rows those are. What hangs on the student goes with it. */
export const STUDENT_TABLES = {
  student: 'id = $2',
  lesson: 'student_id = $2',
  day_condition: 'student_id = $2',
  group_member: 'student_id = $2',
  range_check: 'student_id = $2',
  voice_lock: 'student_id = $2',
  routine: 'student_id = $2',
  routine_version: `routine_id in ${ITS_ROUTINES}`,
  exercise: 'student_id = $2',
  exercise_version: 'exercise_id in (select id from exercise where studio_id = $1 and student_id = $2)',
  mute: `student_id = $2 or routine_id in ${ITS_ROUTINES}`,
  run: 'student_id = $2',
  run_key: 'run_id in (select id from run where studio_id = $1 and student_id = $2)',
  advice_answer: 'student_id = $2',
  run_correction: 'run_id in (select id from run where studio_id = $1 and student_id = $2)',
  home_link: 'student_id = $2',
} as const;
export type StudentTable = keyof typeof STUDENT_TABLES;
export const STUDENT_TABLE_NAMES = Object.keys(STUDENT_TABLES) as readonly StudentTable[];

/** What opens a door, or says whose studio it is, is no data of the student. */
export const COLUMNS_LEFT_OUT = ['studio_id', 'token_hash', 'account_id'] as const;
