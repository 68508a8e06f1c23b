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
  keyPlayed,
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

  test('before it leaves its start a ladder goes the other way instead, inside the limits, and comes home', () => {
    const settings = { start: 62, floor: 59, maxKeys: 6, travel: 'rise-return', touchLimit: false };
    const first = play(startRun(layRoutine([step('up-and-down-five', settings)], contextOf())), 'next');
    let state = conduct(first, { type: 'other-way', seconds: 300, id: id() });
    const floor = currentKey(state) && state.steps[0]?.ladder?.floor;
    const sung = [62];
    while (state.phase !== 'finished') {
      sung.push(currentKey(state)?.tonic ?? 0);
      expect(currentKey(state)?.low).toBeGreaterThanOrEqual(floor ?? Infinity);
      state = play(state, 'next');
    }
    expect(sung).toEqual([62, 61, 60, 61, 62]);
    // Away from its start it turns back, and no further.
    const away = play(first, 'next');
    expect(conduct(away, { type: 'other-way', seconds: 300, id: id() })).toBe(away);
    expect(conduct(first, { type: 'other-way', seconds: 3, id: id() })).toBe(first);
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

  test('the passes of a glide are counted one by one, and only the last is the last', () => {
    const glides = startRun(layRoutine([step('straw-slides'), step('falling-hum')], contextOf()));
    const passes = glides.steps[0]?.keys.length ?? 0;
    expect(passes).toBeGreaterThan(2);
    let state = play(glides, 'next');
    const counts: unknown[] = [];
    while (state.stepIndex === 0) {
      counts.push(countdownOf(state));
      state = play(state, 'next');
    }
    expect(counts).toEqual(Array.from({ length: passes }, (_, index) => ({ to: 'end', keys: passes - 1 - index })));
  });

  test('time left holds what it takes to explain a step until the step begins', () => {
    const state = begin();
    const [first] = state.steps;
    expect(secondsLeft(state).step).toBeCloseTo(first?.seconds ?? 0);
    expect(secondsLeft(state).step - secondsLeft(play(state, 'next')).step).toBeCloseTo(first?.setUpSeconds ?? 0);
    expect(secondsLeft(state).run).toBeCloseTo(state.steps.reduce((sum, { seconds }) => sum + seconds, 0));
  });

  test('slower and faster take hold on the next key, in the seconds too, and never leave what can be sung', () => {
    const state = onLadder();
    const faster = conduct(state, { type: 'tempo', by: 4 });
    const [was, is] = [state, faster].map((at) => at.steps[1]?.keys ?? []);
    expect(is?.[0]).toEqual(was?.[0]);
    expect(is?.slice(1).map(({ tempo }) => tempo)).toEqual(was?.slice(1).map(({ tempo }) => tempo + 4));
    const [then, now] = [was?.[1], is?.[1]];
    expect((now?.seconds ?? 0) * (now?.tempo ?? 0)).toBeCloseTo((then?.seconds ?? 0) * (then?.tempo ?? 0), 6);
    expect((now?.cueSeconds ?? 0) * (now?.tempo ?? 0)).toBeCloseTo((then?.cueSeconds ?? 0) * (then?.tempo ?? 0), 6);
    const there = conduct(faster, { type: 'tempo', by: -4 });
    there.steps[1]?.keys.forEach((key, index) => {
      expect(key.seconds).toBeCloseTo(was?.[index]?.seconds ?? 0, 6);
    });
    const slowest = Array.from({ length: 60 }).reduce<RunState>((at) => conduct(at, { type: 'tempo', by: -4 }), state);
    expect(Math.min(...(slowest.steps[1]?.keys.map(({ tempo }) => tempo) ?? []))).toBeGreaterThanOrEqual(30);
    expect(conduct(begin(), { type: 'tempo', by: 4 })).toEqual(begin());
  });

  test('another key is gone to at once: what was sung is kept, what lies between is not entered', () => {
    const state = onLadder();
    const last = (state.steps[1]?.keys.length ?? 0) - 1;
    const there = conduct(state, { type: 'to-key', index: last, id: id(), heard: true });
    expect([there.keyIndex, there.sung.length, there.begun]).toEqual([last, 1, true]);
    expect(conduct(state, { type: 'to-key', index: last, id: id(), heard: false }).sung).toEqual([]);
    expect(conduct(state, { type: 'to-key', index: last + 1, id: id(), heard: false })).toEqual(state);
  });

  test('a note at a keyboard means the key of its name, one to come before one that was sung', () => {
    const state = onLadder();
    const tonics = state.steps[1]?.keys.map(({ tonic }) => tonic) ?? [];
    const [first = 0, second = 0] = tonics;
    const ways: readonly (readonly [RunState, number, number | null])[] = [
      [state, second, 1],
      [state, second + 12, 1],
      [state, second - 24, 1],
      [state, first, 0],
      // On the way home the same key comes again.
      [play(state, 'next'), first, tonics.lastIndexOf(first)],
      [play(state, 'next', 'next', 'next', 'next'), second, tonics.lastIndexOf(second)],
      [state, Math.max(...tonics) + 1, null],
      [begin(), second, null],
    ];
    expect(ways.map(([at, midi]) => keyPlayed(at, midi))).toEqual(ways.map(([, , index]) => index));
  });

  test('the step before comes again from its start; before the first there is none', () => {
    const back = conduct(onLadder(), { type: 'previous-step', id: id(), heard: true });
    expect([back.stepIndex, back.keyIndex, back.begun, back.sung.length]).toEqual([0, 0, false, 1]);
    expect(conduct(begin(), { type: 'previous-step', id: id(), heard: false })).toEqual(begin());
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
    const swapped = conduct(stopped, { type: 'swap', step: relative, id: 'key-x', heard: true });
    expect([swapped.phase, swapped.stepIndex, swapped.begun]).toEqual(['singing', 1, false]);
    expect(swapped.steps.map(({ exerciseId }) => exerciseId)).toEqual([
      'standing-check',
      'hum-glides',
      'long-hiss',
      'falling-hum',
    ]);
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
