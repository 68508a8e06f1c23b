/** The page of cautions: short, plain, calm. */
export const cautions = {
  heading: 'Cautions',
  first:
    'Soft Lark screens, limits and refers. It does not diagnose, treat or promise. Local rules on working with minors, recordings and health data, and licensed practice come first.',
  toRules: 'The figures behind the limits',
  screens: {
    title: 'Before every run',
    lines: [
      'Three taps: how tired, how the voice sounds, whether anything hurts. No answer is not “fine”.',
      'More is asked only where an answer asks for it. The strictest answer decides.',
      'The answers themselves are not kept; the condition they led to is, with the run, for the teacher alone.',
    ],
  },
  urgent: {
    title: 'Medical help now',
    lines: [
      'Trouble or noise in breathing, coughing blood, cannot swallow.',
      'The voice went suddenly in loud use; a blow or injury to neck or throat.',
      'Faint, a drooping face, slurred speech.',
    ],
  },
  notToday: {
    title: 'No singing today',
    lines: [
      'Pain with the voice, only a whisper, fever, the first days of laryngitis.',
      'A cough that goes on through gentle sounds; a procedure without a clearance.',
      'Whispering is not rest.',
    ],
  },
  seeSomeone: {
    title: 'To be seen',
    lines: [
      'Hoarse for two weeks or more, a child for three to four; the third time in six months.',
      'Three semitones or more lost at the top for ten days; a lump in the neck; a new tremor.',
      'Pain or trouble swallowing for more than two weeks.',
      'A laryngologist looks first, then a speech-language pathologist. Gentle work only until a clearance is on file: its day, no diagnosis.',
    ],
  },
  during: {
    title: 'During',
    lines: [
      'Pain, tickle, cough, dizziness or effort over four of ten: stop the step, rest, something easier, or the end.',
      'Dizziness ends breath work for the day; breath holds stay off until the teacher turns them on again.',
      'A stop needs no reason and is never counted against the student.',
      'After a cold: nothing while laryngitic, three days gentle, the middle at half time, then a little more each day; belt and grit last.',
    ],
  },
  limits: {
    title: 'What the limits rest on',
    lines: [
      'A measured range, dated. Until then the usual range of the voice, marked as an estimate.',
      'A table of usual teaching references on which schools differ; every figure can be changed for the studio and for one student.',
      'Caps for children and teenagers and the middle of each stage of a changing voice.',
      'The teacher’s own limit stands over the rules, but never past the reach, a hard limit or a child’s cap.',
    ],
  },
  never: {
    title: 'Not on the shelf',
    lines: [
      'Pressing or moving the larynx; massage at the front or side of the neck, where an artery runs.',
      'Forced or greatest breaths, breath-holding contests, bearing down, unlimited fry.',
      '“As high as you can” for the young.',
    ],
  },
  withConditions: {
    title: 'With conditions',
    lines: [
      'Quick breaths: not with an asthma flare, panic, epilepsy, pregnancy, under ten.',
      'Bursts from the lower belly: not with hernia, prolapse, recent birth or surgery.',
      'Narrow straws: no hiss, no pressure behind eyes or ears; ask a doctor with glaucoma or after surgery.',
      'Grit: taught in person first, a clean voice that day, short bursts, every other day; not under sixteen.',
      'Belt: ten minutes in all, with rests. Light-headed work never standing alone. Nothing with holds or closed eyes while driving.',
    ],
  },
  privacy: {
    title: 'Voices are personal',
    lines: [
      'Zones, cautions, labels and notes never reach a student’s page, a hand-out or a shared screen.',
      'Nothing is recorded unless you switch it on for one check. Then the sound stays on this device and goes after 30 days; a minor’s voice only with a guardian’s consent on file.',
      'A student, or an account with all that belongs to it, can be deleted at any time.',
      'No scores of beauty, age, gender or health; students are never ranked.',
    ],
  },
} as const;
