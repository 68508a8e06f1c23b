import { layRoutine } from '../routine/index.ts';
import { contextOf, exercises, step } from '../testing/routine-context.ts';
import { homeRoutine, lessonSoundSchema, packedSounds, unpackedSounds } from './index.ts';

/** Every key of the whole shelf, as it sounds for a mezzo. */
const KEYS = homeRoutine(
  { id: 'all', name: 'All' },
  layRoutine(
    [...exercises.keys()].map((id) => step(id)),
    contextOf(),
  ),
  [],
).steps.flatMap(({ name, keys }) => keys.map((key) => ({ name, ...key })));

test('every key of the shelf can be sent in one piece, and sounds as it did to a tenth of a millisecond', () => {
  expect(KEYS.length).toBeGreaterThan(1000);
  for (const { name, tonic, sounds, say } of KEYS) {
    const shown = { step: name, tonic, text: 'mee '.repeat(20).trim(), say, key: 1, keys: 9 };
    const sound = { sentAt: 1, inSeconds: 0.15, tuning: 440, sounds: packedSounds(sounds), shown };
    const read = lessonSoundSchema.parse(JSON.parse(JSON.stringify(sound)));
    // What PostgreSQL passes on, with the ids of studio and student beside it.
    expect(JSON.stringify(read).length).toBeLessThan(7500);
    const heard = unpackedSounds(read.sounds);
    expect(heard.map(({ role, midi }) => [role, midi])).toEqual(sounds.map(({ role, midi }) => [role, midi]));
    for (const [index, { startSeconds, seconds, velocity }] of sounds.entries()) {
      expect(heard[index]?.startSeconds).toBeCloseTo(startSeconds, 4);
      expect(heard[index]?.seconds).toBeCloseTo(seconds, 4);
      expect(heard[index]?.velocity).toBeCloseTo(velocity, 4);
    }
  }
});
