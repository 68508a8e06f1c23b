export { abcOf } from './abc-write.ts';
export { readAbc } from './abc-read.ts';
export { isZip, unpackMusicXml } from './compressed.ts';
export {
  exerciseFileOf,
  openExerciseFile,
  readExercise,
  type ExerciseCollection,
  type ExerciseFault,
  type ReadExercise,
} from './exercise-file.ts';
export { planImport, VERDICTS, type Verdict } from './import-plan.ts';
export { signatureTonic } from './key-signatures.ts';
export {
  LARGEST_FILE,
  melodyOf,
  notCarried,
  patternOfMelody,
  proposeTonic,
  type FormatName,
  type WrittenPattern,
} from './melody.ts';
export { readMidiFile } from './midi-read.ts';
export { MICROSECONDS_A_MINUTE, midiBytes, midiFileOf, TICKS } from './midi-write.ts';
export { noteValues, type NoteValue } from './note-values.ts';
export { musicXmlOf } from './musicxml-write.ts';
export { abcBook, musicXmlBook, writtenSteps, type WrittenStep } from './routine-book.ts';
export { openRoutineFile, routineFileOf, type RoutineFile } from './routine-file.ts';
export { melodyOfPlayed, type PlayedNote } from './played.ts';
export { readMusicXml } from './musicxml-read.ts';
export { checkKind } from './other-kinds.ts';
export { STUDENT_COLUMNS, type StudentColumn } from './student-table.data.ts';
export {
  guessColumns,
  readStudentTable,
  type RowProblem,
  type StudentColumns,
  type StudentRow,
} from './student-table.ts';
