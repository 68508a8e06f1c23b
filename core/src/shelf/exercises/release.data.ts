// Source: house wording on common warm-up practice; numbers from the catalogue's table.
import type { WrittenExercise } from '../exercise.schema.ts';
import { on, rest, say, take, tell, tempo, watch } from './write.ts';

export const RELEASE: readonly WrittenExercise[] = [
  {
    id: 'tongue-out-and-back',
    name: 'Tongue out and back',
    shortName: 'Tongue out',
    stage: 'release',
    load: 0,
    goals: ['release-tongue'],
    noise: 'silent',
    why: 'A tongue that has been out lies flatter when it comes home.',
    work: {
      kind: 'timed',
      seconds: 20,
      prompts: ['Tongue out, as far as is pleasant, five times.', 'Back, and let it lie wide.'],
    },
    cues: say('Wide like a leaf.', 'The jaw hangs, the tongue travels.', 'Tip comes to rest behind the lower teeth.'),
    watchFor: [
      on('tension', watch('Jaw pushes forward', 'tongue pulled from its root', tell('Smaller: only to the lip.'))),
      on('tension', watch('Tongue trembles', 'too far', rest('Let it lie, then half as far.'))),
    ],
    relatives: [{ id: 'jaw-hang-and-shake', as: 'instead' }],
  },
  {
    id: 'lips-forward-and-wide',
    name: 'Lips forward and wide',
    shortName: 'Lips',
    stage: 'release',
    load: 0,
    goals: ['lips', 'diction', 'play'],
    noise: 'silent',
    why: 'Awake lips shape the vowels, so that the throat need not.',
    work: {
      kind: 'timed',
      seconds: 20,
      prompts: ['Lips forward as for oo.', 'Lips wide as for ee, without a grin.', 'Back and forth, ten times.'],
    },
    cues: say('Only the lips; the brow sleeps.', 'Forward further than you think.', 'Cheeks soft.'),
    watchFor: [
      on('tension', watch('The whole face works', 'effort', tell('Look bored above the nose.'))),
      watch('Jaw closes for wide', 'smiling with the teeth', tell('A thumb’s room between the teeth.')),
    ],
    relatives: [{ id: 'jaw-hang-and-shake', as: 'instead', when: 'sore-lip' }],
  },
  {
    id: 'hinge-gliding',
    pulls: ['jaw=free'],
    name: 'Hinge gliding',
    shortName: 'Hinge',
    stage: 'release',
    load: 1,
    goals: ['release-jaw', 'ease'],
    notWith: ['jaw'],
    why: 'The jaw glides open by its own weight; the tune only gives it time.',
    work: {
      kind: 'pattern',
      pattern: '1 3 5 3 1:2',
      syllables: 'ah',
      tempo: { usual: 66 },
      placement: { rule: 'speaking-pitch' },
      mostKeys: 5,
    },
    cues: say('It opens down and a little back.', 'Weight, not muscle.', {
      text: 'A little more room, no more sound.',
      at: 'above',
    }),
    watchFor: [
      on(
        'tension',
        watch(
          'Chin pushed forward',
          'opened by pushing',
          tell('Think of the hinge, not the chin.'),
          take('Jaw hang and shake.'),
        ),
      ),
      on('tension', watch('Jaw locks half way', 'held at the hinge', tell('Yawn once, then again.'))),
    ],
    relatives: [{ id: 'round-to-open', as: 'easier' }],
    learnt: [
      { name: 'With a hand', text: 'A fingertip at the hinge feels the glide.' },
      { name: 'Without', text: 'The same glide, hands at rest.' },
      { name: 'Into the next', text: 'The next exercise keeps it.' },
    ],
    senseCheck: { by: 'hand', text: 'A small hollow opens in front of the ear.' },
    cautions: ['Within comfort, not with a jaw that clicks or hurts.'],
  },
  {
    id: 'tongue-only-jaw-quiet',
    name: 'Tongue only, jaw quiet',
    shortName: 'Tongue only',
    stage: 'release',
    load: 1,
    goals: ['release-tongue', 'diction', 'words'],
    why: 'The tongue can say lah without asking the jaw.',
    work: {
      kind: 'pattern',
      pattern: '1 1 1 1 1:2',
      syllables: 'lah*',
      tempo: { usual: 80 },
      mostKeys: 5,
      travel: 'rise-return',
    },
    cues: say('Only the tip moves.', 'Jaw hangs open and waits.', 'A quick tongue, a slow vowel.'),
    watchFor: [
      on(
        'tension',
        watch(
          'Jaw wags with each l',
          'jaw and tongue are one',
          tell('Fingertip on the chin, only to watch.'),
          tempo('Ten beats slower.'),
        ),
      ),
      watch('Sound closes on l', 'tongue too thick', tell('A smaller touch, further forward.')),
    ],
    relatives: [{ id: 'tongue-out-and-back', as: 'easier' }],
    learnt: [
      { name: 'With a hand as monitor', text: 'A fingertip on the chin notices.' },
      { name: 'Without', text: 'The chin stays by itself.' },
    ],
    senseCheck: { by: 'eye', text: 'In the mirror the chin is still.' },
  },
];
