// Source: usual wording of the schools; house choice of the words. Each is said only where the approach agrees.
import type { Stage } from '../limits/index.ts';
import type { Cue } from './exercise.schema.ts';

/** Something a school says at a stage, whatever the exercise. */
export interface SchoolCue extends Cue {
  readonly approach: string;
  readonly stages: ReadonlySet<Stage>;
}

const BREATHING: readonly Stage[] = ['breath', 'middle', 'words'];
const UPWARDS: readonly Stage[] = ['registers', 'range'];
const OPEN: readonly Stage[] = ['middle', 'registers', 'range', 'agility'];
const COLOUR: readonly Stage[] = ['resonance', 'tone'];

const cue = (approach: string, stages: readonly Stage[], text: string, at: Cue['at'] = 'always'): SchoolCue => ({
  approach,
  stages: new Set(stages),
  text,
  at,
});

export const SCHOOL_CUES: readonly SchoolCue[] = [
  cue('chin=level', ['middle', 'registers'], 'Chin level, back of the neck long.'),
  cue('chin=slightly-lowered', ['settle', 'middle', 'registers'], 'Chin a finger lower, and the neck still long.'),
  cue('jaw=free', UPWARDS, 'Let the jaw open with the height.', 'above'),
  cue('jaw=steady', [...OPEN, 'onset'], 'The jaw rests; fingers only watch it.'),
  cue('breath-image=low-and-wide', BREATHING, 'Breathe low and wide, belly and sides.'),
  cue('breath-image=ribs-open', BREATHING, 'Leave the ribs open as long as they like.'),
  cue('breath-image=low-abdomen', BREATHING, 'Feel it low, down to the floor of the body.'),
  cue('breath-image=back-and-length', BREATHING, 'Breathe into the back, and grow long.'),
  cue('breath-through=nose', BREATHING, 'In through the nose.'),
  cue('breath-through=mouth', BREATHING, 'In through an open, quiet mouth.'),
  cue('cracks=always-smooth', ['middle', 'registers'], 'Smooth across the turn, even if small.', 'bridge'),
  cue('cracks=invited', ['middle', 'registers'], 'Let it crack where it wants to.', 'bridge'),
  cue('vowel-up-high=opens', [...OPEN, 'style'], 'Let the vowel open a little.', 'above'),
  cue('vowel-up-high=same', [...OPEN, 'style'], 'The same vowel all the way up.', 'above'),
  cue('vowel-up-high=closes', [...OPEN, 'style'], 'Round the vowel a little as it rises.', 'above'),
  cue('placement=forward-with-space', COLOUR, 'A buzz in front, room in the throat.'),
  cue('placement=forward', COLOUR, 'Bring it all to the front teeth.'),
  cue('placement=back-and-depth', COLOUR, 'Deep and wide, towards the back.'),
  cue('loudness-going-up=even', OPEN, 'The same loudness all the way.', 'top'),
  cue('loudness-going-up=grows', OPEN, 'Let it grow as it rises.', 'top'),
  cue('loudness-going-up=stays-soft', OPEN, 'Stay soft as it rises.', 'top'),
];
