import type { LineCode } from '@soft-lark/core';
import type { Tail, Texts } from './texts.types.ts';

/** What advice rests on. */
export const advice = {
  'good-runs': 'Easy up to here on {{days}}.',
  strained: 'Strain on {{days}}.',
  hard: 'Hard on {{days}}.',
  blurred: 'Not clean on {{days}}.',
  symptom: 'Pain or a cough on {{days}}: it stays as it is until you know why.',
} as const;

/** What to do differently from last time. */
export const line = {
  symptom: '“{{name}}”: {{why}}',
  'ease-ceiling': '“{{name}}” no higher than {{value}}. {{why}}',
  'ease-tempo': '“{{name}}” slower, at {{value}}. {{why}}',
  'raise-ceiling': '“{{name}}” may go to {{value}}. {{why}}',
  'raise-tempo': '“{{name}}” may go at {{value}}. {{why}}',
  stuck: '“{{name}}” has not gone well four times running.',
  stuck_easier: '“{{name}}” has not gone well four times running; its easier relative is “{{easier}}”.',
  'nothing-new': 'Nothing has been new for {{count}} weeks.',
} as const satisfies Texts<Tail<LineCode>>;
