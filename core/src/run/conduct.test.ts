import fc from 'fast-check';
import { writeNote } from '../pitch/index.ts';
import { contextOf, step } from '../testing/routine-context.ts';
import type { VoiceFile } from '../voice/index.ts';
import { layRoutine } from '../routine/index.ts';
import {
  canGoHome,
  canTurnBack,
  conduct,
  countdownOf,
  currentKey,
  secondsForStep,
  secondsLeft,
  startRun,
  type RunState,
} from './index.ts';

describe('conduct', () => {
  let made = 0;
  const id = (): string => `key-${String((made += 1))}`;
  const begin = (): RunState =>
    startRun(
      layRoutine(
        [step('standing-check'), step('up-and-down-five'), step('long-hiss'), step('falling-hum')],
        contextOf(),
      ),
    );
  const play = (state: RunState, ...types: ('next' | 'again' | 'skip' | 'turn-back' | 'home')[]): RunState =>
    types.reduce((at, type) => conduct(at, { type, id: id() }), state);
  const onLadder = (): RunState => play(conduct(begin(), { type: 'next-step', id: id(), heard: false }), 'next');
  const sungKeys = (state: RunState): string =>
    state.sung.map(({ tonic, outcome }) => (outcome === 'sung' ? writeNote(tonic) : `(${writeNote(tonic)})`)).join(' ');

  const onHiss = (): RunState => {
    const first = conduct(begin(), { type: 'next-step', id: id(), heard: false });
    return conduct(first, { type: 'next-step', id: id(), heard: false });
  };

  test('a second time through waits for an easy first one; without that wish it comes in any case', () => {
    const twice = (ifEasy: boolean): RunState =>
      play(
        startRun(
          layRoutine(
            [step('up-and-down-five', { maxKeys: 2, travel: 'rise', again: { further: 1, ifEasy } })],
            contextOf(),
          ),
        ),
        'next',
      );
    const marked = (state: RunState): RunState => conduct(state, { type: 'mark', mark: 'strain', id: id() });
    expect(sungKeys(play(twice(true), 'next', 'next', 'next', 'next', 'next'))).toMatch(/^(\S+) (\S+) \1 \2 \S+$/);
    const ended = play(marked(twice(true)), 'next', 'next');
    expect([ended.phase, ended.sung.length]).toEqual(['finished', 2]);
    expect(play(marked(twice(false)), 'next', 'next').phase).toBe('singing');
    // What goes hard the second time does not end it.
    expect(play(marked(play(twice(true), 'next', 'next')), 'next').phase).toBe('singing');
  });

  test('a ladder that comes twice is counted down each time by itself', () => {
    const settings = { start: 59, maxKeys: 3, again: { further: 2 } };
    const first = play(startRun(layRoutine([step('up-and-down-five', settings)], contextOf())), 'next');
    const told = (state: RunState) => {
      const { to, keys } = countdownOf(state) ?? {};
      return `${String(to)} ${String(keys)}`;
    };
    expect([told(first), told(play(first, 'next', 'next', 'next'))]).toEqual(['turn 2', 'home 1']);
    const second = play(first, 'next', 'next', 'next', 'next', 'next');
    expect(currentKey(second)?.pass).toBe(2);
    expect([told(second), told(play(second, 'next', 'next', 'next', 'next', 'next'))]).toEqual(['turn 4', 'home 3']);
  });

  test('a step without pitch that is left says how far it came; one that never began was passed over', () => {
    const over = onHiss();
    expect(over.results).toMatchObject([{ exerciseId: 'standing-check', outcome: 'passed-over', seconds: 0 }]);
    const begun = play(over, 'next');
    const next = conduct(begun, { type: 'next', id: id(), elapsed: 30 });
    expect(next.results?.at(-1)).toMatchObject({ exerciseId: 'long-hiss', outcome: 'shortened', rounds: 1, most: 12 });
    const finished = conduct(begun, { type: 'finish', id: id(), heard: false, elapsed: 84 });
    expect(finished.results?.at(-1)).toMatchObject({
      exerciseId: 'long-hiss',
      outcome: 'done',
      rounds: 4,
      seconds: 84,
    });
    expect(finished.results).toHaveLength(2);
  });

  test('a part that is over gives way to the next; before the step begins there is none', () => {
    const over = onHiss();
    expect(conduct(over, { type: 'end-part', elapsed: 1 })).toEqual(over);
    const ended = conduct(play(over, 'next'), { type: 'end-part', elapsed: 1 });
    const course = ended.steps[ended.stepIndex]?.course;
    expect(secondsLeft(over).step - secondsLeft(ended).step).toBeGreaterThanOrEqual(2);
    expect(course?.parts.slice(0, 2)).toMatchObject([
      { act: 'in', seconds: 1 },
      { act: 'out', startsAt: 1, seconds: 12 },
    ]);
  });

  test('a step begins when it has been explained, and nothing is entered before', () => {
    const explained = conduct(begin(), { type: 'next-step', id: id(), heard: false });
    expect([explained.begun, canGoHome(explained), play(explained, 'turn-back', 'home')]).toEqual([
      false,
      false,
      explained,
    ]);
    expect(play(explained, 'next').sung).toEqual([]);
  });

  test('the whole plan, key by key', () => {
    let state = onLadder();
    const planned = state.steps[1]?.keys.map(({ tonic }) => writeNote(tonic)).join(' ');
    while (state.stepIndex === 1) state = play(state, 'next');
    expect(sungKeys(state)).toBe(planned);
    expect(state.stepIndex).toBe(2);
  });

  test('turning back early leaves exactly the keys sung', () => {
    const turned = play(onLadder(), 'next', 'next', 'turn-back');
    expect(canTurnBack(turned)).toBe(false);
    let state = turned;
    while (state.stepIndex === 1) state = play(state, 'next');
    expect(sungKeys(state)).toBe('D4 E♭4 E4 E♭4 D4');
  });

  test('again, skip and home', () => {
    const state = play(onLadder(), 'next', 'again', 'skip', 'next', 'home', 'next');
    expect(sungKeys(state)).toBe('D4 E♭4 (E♭4) E4 E♭4 D4');
    expect(state.stepIndex).toBe(2);
    expect(canGoHome(onLadder())).toBe(false);
  });

  test('who sounds is set from this key to the end of the step, and glides have nobody', () => {
    const state = conduct(play(onLadder(), 'next', 'next'), { type: 'help', help: 'alone' });
    const helps = state.steps.map(({ keys }) => keys.map(({ help }) => help));
    expect(helps[1]?.slice(0, 2)).toEqual(
      onLadder()
        .steps[1]?.keys.slice(0, 2)
        .map(({ help }) => help),
    );
    expect(new Set(helps[1]?.slice(2))).toEqual(new Set(['alone']));
    expect(helps[3]).toEqual(onLadder().steps[3]?.keys.map(({ help }) => help));
    const glide = startRun(layRoutine([step('lip-trill-glides'), step('falling-hum')], contextOf()));
    const asked = conduct(glide, { type: 'help', help: 'alone' });
    expect(asked.steps[0]?.keys.every((key) => !('help' in key))).toBe(true);
  });

  test('ways to sing a key stand in the run as they are written, one as well as three', () => {
    const context = contextOf();
    const one = context.exercises.get('up-and-down-five');
    if (!one) throw new Error('no such exercise');
    const mannersOf = (manners: readonly string[]): unknown =>
      startRun(
        layRoutine([step(one.id)], {
          ...context,
          exercises: new Map([[one.id, { ...one, manners: [...manners] }]]),
        }),
      ).steps[0]?.manners;
    expect([mannersOf([]), mannersOf(['soft']), mannersOf(['soft', 'softer'])]).toEqual([
      undefined,
      ['soft'],
      ['soft', 'softer'],
    ]);
  });

  test('a second tap with the same id enters nothing twice', () => {
    const once = conduct(onLadder(), { type: 'next', id: 'same' });
    expect(conduct(once, { type: 'again', id: 'same' }).sung).toHaveLength(1);
  });

  test('the count says the keys to the turn, then home', () => {
    const counts: string[] = [];
    let state = onLadder();
    while (state.stepIndex === 1) {
      const count = countdownOf(state);
      counts.push(`${count?.to ?? ''} ${String(count?.keys)}`);
      state = play(state, 'next');
    }
    expect(counts).toEqual(['turn 2', 'turn 1', 'turn 0', 'home 1', 'home 0']);
    expect(countdownOf(begin())).toBeNull();
  });

  test('marks go on the key being sung; a second press takes one back', () => {
    const marked = (['crack', 'strain', 'crack'] as const).reduce(
      (at, mark) => conduct(at, { type: 'mark', mark, id: id() }),
      onLadder(),
    );
    expect(play(marked, 'next').sung[0]?.marks).toEqual(['strain']);
  });

  test.each(['pain', 'tickle', 'cough'] as const)('%s stops the step and keeps the key', (mark) => {
    const stopped = conduct(onLadder(), { type: 'mark', mark, id: id() });
    expect([stopped.phase, stopped.sung, stopped.stops.at(-1)?.mark]).toEqual(['stopped', [], mark]);
    const on = conduct(stopped, { type: 'next-step', id: id(), heard: false });
    expect([on.phase, on.stepIndex, on.sung.map(({ marks }) => marks)]).toEqual(['singing', 2, [[mark]]]);
    expect(conduct(stopped, { type: 'finish', id: id(), heard: false }).sung[0]?.marks).toEqual([mark]);
  });

  test.each(['pain', 'dizzy', 'effort'] as const)('%s that was pressed by mistake was never there', (mark) => {
    const before = conduct(onLadder(), { type: 'mark', mark: 'crack', id: id() });
    const act =
      mark === 'effort' ? ({ type: mark, level: 6, id: id() } as const) : ({ type: 'mark', mark, id: id() } as const);
    expect(conduct(conduct(before, act), { type: 'mistake' })).toEqual(before);
    expect(conduct(before, { type: 'mistake' })).toBe(before);
  });

  test('dizziness ends breath work as well', () => {
    const stopped = conduct(onLadder(), { type: 'mark', mark: 'dizzy', id: id() });
    const on = conduct(stopped, { type: 'next-step', id: id(), heard: false });
    expect(on.steps.map(({ exerciseId }) => exerciseId)).toEqual(['standing-check', 'up-and-down-five', 'falling-hum']);
  });

  test('effort over four of ten stops the step as strain; an easier relative takes its place', () => {
    const easy = conduct(onLadder(), { type: 'effort', level: 4, id: id() });
    expect(easy.phase).toBe('singing');
    const stopped = conduct(onLadder(), { type: 'effort', level: 5, id: id() });
    expect([stopped.phase, stopped.marks, stopped.stops.at(-1)?.mark]).toEqual(['stopped', ['strain'], 'effort']);
    const relative = startRun(layRoutine([step('hum-glides')], contextOf())).steps[0];
    if (!relative) throw new Error('no relative');
    const swapped = conduct(stopped, { type: 'swap', step: relative });
    expect([swapped.phase, swapped.stepIndex, swapped.begun]).toEqual(['singing', 1, false]);
    expect(swapped.steps.map(({ exerciseId }) => exerciseId)).toEqual([
      'standing-check',
      'hum-glides',
      'long-hiss',
      'falling-hum',
    ]);
    expect(conduct(onLadder(), { type: 'swap', step: relative }).steps[1]?.exerciseId).toBe('up-and-down-five');
  });

  test('pause, resume and the end', () => {
    const paused = conduct(onLadder(), { type: 'pause' });
    expect([paused.phase, conduct(paused, { type: 'resume' }).phase]).toEqual(['paused', 'singing']);
    const over = conduct(onLadder(), { type: 'finish', id: id(), heard: true });
    expect([over.phase, over.sung.length, secondsLeft(over).run]).toEqual(['finished', 1, 0]);
    expect(play(over, 'next')).toBe(over);
  });

  test('whatever is pressed, no zone sounds, and going on never makes it longer', () => {
    const acts = fc.array(fc.constantFrom('next', 'again', 'skip', 'turn-back', 'home', 'next-step'), {
      maxLength: 40,
    });
    fc.assert(
      fc.property(acts, fc.integer({ min: 58, max: 76 }), (types, zone) => {
        const voice: Partial<VoiceFile> = { avoid: [{ low: zone, high: zone, kind: 'never-sounded' }] };
        let state = startRun(
          layRoutine([step('down-from-five'), step('thirds'), step('falling-hum')], contextOf({}, voice)),
        );
        for (const type of types) {
          const before = secondsLeft(state).run;
          state = conduct(state, type === 'next-step' ? { type, id: id(), heard: true } : { type, id: id() });
          const key = currentKey(state);
          const mayGrow = type === 'turn-back' || type === 'home';
          expect(mayGrow || secondsLeft(state).run <= before + 1e-6).toBe(true);
          expect(key === undefined || (key.low !== zone && key.high !== zone)).toBe(true);
        }
      }),
      { numRuns: 500 },
    );
  });

  test.each([
    ['one more, then home', 1, 200, 'D4 E♭4 D4'],
    ['two more, then home', 2, 200, 'D4 E♭4 E4 E♭4 D4'],
    ['two more, straight home', 2, 32, 'D4 E♭4 E4 D4'],
    ['three more would go over the top', 3, 200, 'nothing changes'],
    ['no time', 2, 10, 'nothing changes'],
  ] as const)('%s', (_, more, seconds, expected) => {
    const at = onLadder();
    let state = conduct(at, { type: 'then-home', more, seconds, id: id() });
    if (expected === 'nothing changes') {
      expect(state).toBe(at);
      return;
    }
    expect(canTurnBack(state)).toBe(true);
    while (state.stepIndex === 1) state = play(state, 'next');
    expect(sungKeys(state)).toBe(expected);
  });

  test('what is left for a step is the plan without what was spent, what comes later and the key being sung', () => {
    const state = onLadder();
    const later = state.steps.slice(2).reduce((sum, { seconds }) => sum + seconds, 0);
    const total = secondsLeft(begin()).run;
    const key = currentKey(state)?.seconds ?? 0;
    expect(secondsForStep(state, 50, 3)).toBeCloseTo(total - later - 50 - (key - 3));
    expect(secondsForStep(state, total, 0)).toBeLessThan(0);
  });
});
