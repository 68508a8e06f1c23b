import { studio } from './en-studio.ts';
import { text } from './i18n.ts';

text.addResourceBundle('en', 'translation', studio, true);
