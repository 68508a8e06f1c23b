import fc from 'fast-check';
import { buildLadder } from '../ladder/index.ts';
import { markPattern, parsePattern } from '../pattern/index.ts';
import { ladderInputs } from '../testing/arbitraries.ts';
import { keyParts, keySound, LONGEST_HOLD_SECONDS, USUAL_SOUND, voiceChord, type SoundChoices } from './index.ts';

test('the chord, the first note, then the pattern', () => {
  const events = keySound({ pattern: parsePattern('5 3 1:2'), tonic: 60, tempo: 120, cueBeats: 4, avoid: [] });
  expect(events.map(({ role, midi, startSeconds }) => `${role} ${String(midi)} @${String(startSeconds)}`)).toEqual([
    'bass 48 @0',
    'chord 60 @0',
    'chord 64 @0',
    'chord 67 @0',
    'first-note 67 @1',
    'tune 67 @2',
    'tune 64 @2.5',
    'tune 60 @3',
  ]);
});

test.each([
  ['shown', ['bass', 'chord', 'first-note', 'tune']],
  ['together', ['bass', 'chord', 'first-note', 'tune']],
  ['cue-only', ['bass', 'chord', 'first-note']],
  ['alone', ['first-note']],
] as const)('in a key that is %s sound %j', (help, roles) => {
  const key = { pattern: parsePattern('1 3 1'), tonic: 60, tempo: 90, cueBeats: 4, avoid: [], help };
  expect([...new Set(keySound(key).map(({ role }) => role))]).toEqual(roles);
});

const played = (
  choices: Partial<SoundChoices>,
  more: Partial<Parameters<typeof keySound>[0]> = {},
): readonly string[] =>
  keySound({
    ...{ pattern: parsePattern('5 1'), tonic: 60, tempo: 120, cueBeats: 4, avoid: [] },
    ...more,
    choices: { ...USUAL_SOUND, ...choices },
  }).map(({ role, midi, startSeconds }) => `${role} ${String(midi)} @${String(startSeconds)}`);
const TUNE = ['tune 67 @2', 'tune 60 @2.5'];

test.each([
  ['chord', ['bass 48 @0', 'chord 60 @0', 'chord 64 @0', 'chord 67 @0', ...TUNE]],
  ['note', ['first-note 67 @1', ...TUNE]],
  ['bass-and-chord', ['bass 48 @0', 'chord 60 @1', 'chord 64 @1', 'chord 67 @1', ...TUNE]],
] as const)('a cue of %s; alone the first note is given all the same', (cue, expected) => {
  expect(played({ cue })).toEqual(expected);
  expect(played({ cue }, { help: 'alone' })).toEqual(['first-note 67 @1']);
});

test('a click counts in, and beats through the tune where it is wanted', () => {
  const clicks = (click: SoundChoices['click']): readonly string[] =>
    played({ click }).filter((event) => event.startsWith('click'));
  const countIn = ['click 101 @0', 'click 96 @0.5', 'click 96 @1', 'click 96 @1.5'];
  expect(clicks('none')).toEqual([]);
  expect(clicks('count-in')).toEqual(countIn);
  expect(clicks('throughout')).toEqual([...countIn, 'click 101 @2', 'click 96 @2.5']);
});

test('a key that is shown sounds at the teacher’s octave, and only there; never inside a zone', () => {
  const shown = { help: 'shown' } as const;
  const tunes = (...of: Parameters<typeof played>): readonly string[] =>
    played(...of).filter((event) => event.startsWith('tune'));
  expect(tunes({ shownAt: -12 }, shown)).toEqual(['tune 55 @2', 'tune 48 @2.5']);
  expect(tunes({ shownAt: -12 }, { help: 'together' })).toEqual(TUNE);
  expect(tunes({ shownAt: -12 }, { ...shown, avoid: [{ low: 47, high: 49 }] })).toEqual(TUNE);
});

test('each part has its loudness; what is at nothing does not sound', () => {
  const choices = { ...USUAL_SOUND, levels: { cue: 0, tune: 0.5, click: 1 } };
  const key = { pattern: parsePattern('5 1'), tonic: 60, tempo: 120, cueBeats: 4, avoid: [] };
  const usual = keySound(key).filter(({ role }) => role === 'tune');
  expect(keySound({ ...key, choices })).toEqual(usual.map((event) => ({ ...event, velocity: event.velocity / 2 })));
});

test('staccato is short, a glide sounds where it begins and arrives, no cue without beats', () => {
  const pattern = markPattern(parsePattern('1 1~5:2'), [{ kind: 'staccato', first: 0, last: 0 }]);
  const events = keySound({ pattern, tonic: 60, tempo: 60, cueBeats: 0, avoid: [] });
  expect(events.map(({ midi, startSeconds }) => [midi, startSeconds])).toEqual([
    [60, 0],
    [60, 1],
    [67, 2],
  ]);
  expect(events[0]?.seconds).toBeLessThan(0.5);
});

test.each([
  ['major', 60, [], { bass: 48, notes: [60, 64, 67] }],
  ['minor', 60, [], { bass: 48, notes: [60, 63, 67] }],
  ['a zone on the third', 60, [{ low: 64, high: 64 }], { bass: 48, notes: [60, 52, 67] }],
  ['a low bass moves up', 40, [], { bass: 40, notes: [40, 44, 47] }],
  ['nothing may sound', 60, [{ low: 0, high: 127 }], { bass: null, notes: [] }],
] as const)('backing: %s', (mode, tonic, avoid, expected) => {
  expect(voiceChord(tonic, mode === 'minor' ? 'minor' : 'major', avoid)).toEqual(expected);
});

test('nothing that plays is ever inside a zone', () => {
  fc.assert(
    fc.property(ladderInputs, (input) => {
      const avoid = input.avoid ?? [];
      const zoned = buildLadder(input).rungs.flatMap(({ tonic, tempo }) =>
        keySound({ pattern: input.pattern, tonic, tempo, cueBeats: 4, avoid }).filter(({ midi }) =>
          avoid.some(({ low, high }) => midi >= low && midi <= high),
        ),
      );
      expect(zoned).toEqual([]);
    }),
    { numRuns: 2000 },
  );
});

test('a note that waits is held until the teacher lets it go; what follows begins anew', () => {
  const pattern = markPattern(parsePattern('1 3 1~5 1'), [{ kind: 'wait', first: 1, last: 2 }]);
  const parts = keyParts({ pattern, tonic: 60, tempo: 60, cueBeats: 2, avoid: [] });
  const tune = parts.map(({ events, holdsAtSeconds }) => [
    holdsAtSeconds,
    events.filter(({ role }) => role === 'tune').map(({ midi, startSeconds }) => [midi, startSeconds]),
  ]);
  expect(tune).toEqual([
    [
      3,
      [
        [60, 2],
        [64, 3],
      ],
    ],
    [
      0,
      [
        [60, 0],
        [67, 0.5],
      ],
    ],
    [undefined, [[60, 0]]],
  ]);
  expect(parts[0]?.events.at(-1)?.seconds).toBe(LONGEST_HOLD_SECONDS);
});

test('where nothing waits a key is one part, and parts leave nothing out', () => {
  fc.assert(
    fc.property(ladderInputs, fc.nat(255), fc.integer({ min: 40, max: 140 }), (input, at, tempo) => {
      const key = { tonic: 60, tempo, cueBeats: 4, avoid: [] };
      const whole = keySound({ ...key, pattern: input.pattern });
      expect(keyParts({ ...key, pattern: input.pattern })).toEqual([{ events: whole }]);
      const index = at % input.pattern.events.length;
      const waiting = markPattern(input.pattern, [{ kind: 'wait', first: index, last: index }]);
      const parts = keyParts({ ...key, pattern: waiting });
      expect(parts.flatMap(({ events }) => events.map(({ midi }) => midi))).toEqual(whole.map(({ midi }) => midi));
    }),
  );
});
