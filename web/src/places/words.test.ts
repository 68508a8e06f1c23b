import { shippedExercises, type Exercise } from '@soft-lark/core';
import type { LessonToday } from '../api/students.queries.ts';
import { samplesFor } from '../sound/piano.ts';
import { clockText } from '../text/times.ts';
import { noteOf } from '../ui/note-field.tsx';
import { byStage, readQuestion, searchOver } from './shelf/find-exercises.ts';
import { addressOf, filtersOf, passes, type ShelfFilters } from './shelf/shelf-filters.ts';
import { completionsAt } from './shelf/complete-pattern.ts';
import { fileOf, unreadable, valuesOf } from './students/voice-form.values.ts';
import { dayState } from './today/today-heading.ts';

const WEDNESDAY = { day: '2026-11-25', timeZone: 'Europe/London' };
const lesson = (id: string, startsAt: string, weekday = 3): Pick<LessonToday, 'lesson'> => ({
  lesson: { id, studentId: id, startsAt, weekday, minutes: 30 },
});

test.each([
  ['before the first', '2026-11-25T14:48:00Z', { nextId: 'a', isNow: false, minutesToNext: 12 }],
  ['during it', '2026-11-25T15:10:00Z', { nextId: 'a', isNow: true, minutesToNext: -10 }],
  ['between', '2026-11-25T15:45:00Z', { nextId: 'b', isNow: false, minutesToNext: 30 }],
  ['after the last', '2026-11-25T20:00:00Z', { nextId: undefined, isNow: false, minutesToNext: 0 }],
])('the day stands %s lesson', (_, now, expected) => {
  expect(dayState([lesson('a', '15:00'), lesson('b', '16:15')], new Date(now), WEDNESDAY)).toEqual(expected);
});

test('a lesson of the evening before goes on past midnight', () => {
  const lessons = [lesson('late', '23:45', 2), lesson('a', '15:00')];
  const at = (now: string): string | undefined => dayState(lessons, new Date(now), WEDNESDAY).nextId;
  expect([at('2026-11-25T00:10:00Z'), at('2026-11-25T00:20:00Z')]).toEqual(['late', 'a']);
});

test('the studio’s own clock decides, not the browser’s', () => {
  const tokyo = { day: '2026-11-25', timeZone: 'Asia/Tokyo' };
  expect(dayState([lesson('a', '15:00')], new Date('2026-11-25T14:30:00Z'), tokyo).nextId).toBeUndefined();
});

test.each([
  ['', undefined],
  ['  ', undefined],
  ['bb3', 58],
  ['H9', null],
])('%p typed as a note is %p', (text, expected) => {
  expect(noteOf(text)).toBe(expected);
});

test.each([
  [0, '0:00'],
  [59.6, '1:00'],
  [568, '9:28'],
  [-3, '0:00'],
])('%p s reads %p', (seconds, text) => {
  expect(clockText(seconds)).toBe(text);
});

test('the samples wanted first are the nearest ones', () => {
  expect(samplesFor([60, 61, 62, 30, 100])).toEqual([60, 63, 36, 84]);
});

describe('the shelf', () => {
  const shelf = shippedExercises();
  const search = searchOver(shelf);
  const find = (text: string): string[] => {
    const { letters, obstacles } = readQuestion(text);
    const kept = new Set(
      shelf.filter((exercise) => passes(exercise, { q: '' }, obstacles, new Set())).map(({ id }) => id),
    );
    return (search(letters) ?? byStage(shelf).map(({ id }) => id)).filter((id) => kept.has(id));
  };

  test.each([
    ['lip tril', 'lip-trill-on-five'],
    ['siren ng', 'ng-sirens'],
    ['strw', 'straw-circles'],
    ['agility', 'five-fast-twice'],
    ['vibrto', 'straight-until-the-last-note'],
    ['nay', 'up-and-down-five'],
    ['thirds', 'thirds'],
    ['no straw, ease', 'tongue-trill-on-five'],
    ['thin walls bridge', 'ng-sirens'],
    ['SOVT', 'tongue-trill-on-five'],
    ['passaggio', 'octave-same-size'],
    ['head voice', 'up-through-the-light'],
    ['chest voice', 'speech-like-call'],
    ['falsetto', 'from-light-down'],
    ['twang', 'wry-and-near'],
    ['belt', 'speech-like-call'],
    ['riff', 'five-note-fall'],
    ['staccato', 'bouncing-chord'],
    ['posture', 'standing-check'],
    ['jaw tension', 'jaw-hang-and-shake'],
    ['tongue tension', 'tongue-out-and-back'],
    ['diaphragm', 'hiss-in-steps'],
    ['choir', 'blend-straight-fifths'],
    ['distortion', 'creak-swell'],
    ['massage', 'temples-and-jaw-hinge'],
    ['messa di voce', 'swell-and-fade'],
  ])('%p finds %p among the first', (text, id) => {
    expect(find(text).slice(0, 6)).toContain(id);
  });

  test('what stands in the way is left out, in any words', () => {
    expect(find('no straw').some((id) => id.includes('straw'))).toBe(false);
    expect(find("can't trill").some((id) => id.includes('trill'))).toBe(false);
    expect(find('')).toHaveLength(shelf.length);
    expect(readQuestion('hum, in the car')).toEqual({ letters: 'hum', obstacles: ['in-the-car'] });
  });

  test('filters live in the address; what it misspells is left out', () => {
    const filters = { q: 'hum', stage: 'cool', noise: 'quiet', load: 2, collection: 'x' } as const;
    expect(filtersOf(new URLSearchParams(addressOf(filters)))).toEqual(filters);
    expect(filtersOf(new URLSearchParams('stage=finale&load=many&voice=owl'))).toEqual({ q: '' });
  });

  test.each([
    [{ level: 'first' }, ({ level }) => level === 'first'],
    [{ noise: 'quiet' }, ({ noise }) => noise === 'silent' || noise === 'quiet'],
    [{ load: 1 }, ({ load }) => load <= 1],
    [{ kit: 'none', stage: 'occluded' }, ({ kit, stage }) => kit.length === 0 && stage === 'occluded'],
    [
      { voice: 'treble', style: 'choral' },
      ({ voices, styles }) =>
        (voices.length === 0 || voices.includes('treble')) && (styles.length === 0 || styles.includes('choral')),
    ],
  ] as readonly (readonly [Partial<ShelfFilters>, (exercise: Exercise) => boolean])[])(
    '%j keeps just those',
    (filters, is) => {
      const kept = shelf.filter((exercise) => passes(exercise, { q: '', ...filters }, [], new Set()));
      expect(kept).toEqual(shelf.filter(is));
      expect(kept.length).toBeGreaterThan(0);
    },
  );
});

test.each([
  ['', ['1', '2', '3', '4', '5', '6', '7', '8', 'r', '(']],
  ['1 2', [':2', ':1/2', '~', ',', "'"]],
  ['(1 2', [':2', ':1/2', '~', ',', "'", ')x2']],
  ['1~', ['1', '2', '3', '4', '5', '6', '7', '8']],
  ['(1 2)', ['x2', ':1/2']],
  ['(1 2)x3', [':1/2']],
  ['z', []],
])('after %p there may follow %j', (text, texts) => {
  expect(completionsAt(text, text.length).map((one) => one.text)).toEqual(texts);
});

test('a voice file goes through its form unchanged, and half-filled rows are left out', () => {
  const voice = {
    type: 'changing' as const,
    changingStage: 'second' as const,
    age: 13,
    style: 'pop' as const,
    otherStyles: ['folk' as const],
    goals: ['ease', 'pitch'],
    bridges: [{ low: 60, high: 61, date: '2026-11-03' }],
    gaps: [{ low: 63, high: 64 }],
    gritAllowed: true,
    wanted: 'An easy E',
    piece: 'The lamplighter',
    cautions: ['jaw' as const],
    obstacles: ['no-straw' as const],
    clearedOn: '2026-11-01',
    consentOn: '2026-11-02',
    beltEaseOn: '2026-11-03',
    holdsOnSince: '2026-11-04',
    approach: { jaw: 'steady' },
    rules: { 'margin.usual': 2 },
    avoid: [
      { low: 66, high: 67, kind: 'not-loud' as const },
      { low: 60, high: 60, kind: 'not-held' as const, seconds: 1.5 },
    ],
    measured: { low: 56, high: 66, reachLow: 54, reachHigh: 69, date: '2026-11-03' },
    speakingNote: 57,
    hardCeiling: 67,
    margin: 1,
  };
  const student = { id: 'x', name: 'Idris', note: 'n', voice, version: 1, known: [] };
  const values = valuesOf(student, '2026-11-25');
  expect(fileOf(values, student)).toEqual({ name: 'Idris', note: 'n', voice });
  const half = { ...values, bridges: [...values.bridges, { low: 62, high: undefined }], reachHigh: null };
  expect(fileOf(half, student).voice.bridges).toHaveLength(1);
  expect(unreadable(half)).toEqual(['reachHigh']);
});
