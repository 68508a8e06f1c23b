import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  draftRoutine,
  layRoutine,
  nameNote,
  reviewRoutine,
  shippedExercises,
  type DraftContext,
  type Statement,
  type StatementValue,
} from '@soft-lark/core';
import { DEMO_STUDENTS } from './tern-lock.data.ts';

/** What a voice teacher would read and judge; change it only with a reason, by running with GOLDEN=write. */
const FILE = join(__dirname, 'golden-routines.txt');
const exercises = new Map(shippedExercises().map((exercise) => [exercise.id, exercise]));
const note = (midi: number): string => nameNote(midi, { scheme: 'scientific' });
const minutes = (seconds: number): string => {
  const whole = Math.round(seconds);
  return `${String(Math.floor(whole / 60))}:${String(whole % 60).padStart(2, '0')}`;
};

const DAYS: readonly (readonly [string, Partial<DraftContext>])[] = [
  ['ten minutes, a plain day', { minutes: 10 }],
  ['six minutes, tired', { minutes: 6, conditions: ['tired'] }],
];

/** A statement by its code, with what stands in it. */
function codeText({ code, values = {} }: Statement): string {
  return [code, ...Object.values(values).map(valueText)].join(' ');
}

function valueText(value: StatementValue): string {
  if (typeof value !== 'object') return String(value);
  if (Array.isArray(value)) return value.map(valueText).join(' and ');
  return 'word' in value ? value.word : JSON.stringify(value);
}

function written(): string {
  const lines: string[] = [];
  for (const { name, voice, routine } of DEMO_STUDENTS)
    for (const [day, change] of DAYS) {
      const context: DraftContext = {
        voice,
        conditions: [],
        occasion: 'lesson',
        exercises,
        known: new Set(routine?.steps.map((step) => (typeof step === 'string' ? step : step[0])) ?? []),
        minutes: 10,
        seed: 7,
        now: '2026-11-25T10:00:00Z',
        ...change,
      };
      const { steps, seconds } = draftRoutine(context);
      const laid = layRoutine(steps, context);
      lines.push(`${name}, ${voice.type}, ${voice.style}: ${day} (${minutes(seconds)})`);
      for (const [index, { exercise, lowest, highest, seconds: long }] of laid.steps.entries()) {
        const span = lowest === null || highest === null ? '' : `${note(lowest)} to ${note(highest)}`;
        lines.push(
          `  ${minutes(long).padStart(5)}  ${exercise.stage.padEnd(10)} ${exercise.name.padEnd(34)} ${span.padEnd(12)} ${(steps[index]?.reasons ?? []).map(codeText).join('; ')}`.trimEnd(),
        );
      }
      for (const { severity, rule, values } of reviewRoutine({ ...context, steps, minutes: context.minutes }))
        lines.push(`  ${severity}: ${codeText({ code: rule, values })}`);
      lines.push('');
    }
  return lines.join('\n');
}

test('drafts for the demo students are those a teacher has read', () => {
  const now = written();
  if (process.env['GOLDEN'] === 'write') writeFileSync(FILE, now);
  expect(now).toBe(readFileSync(FILE, 'utf8'));
});
