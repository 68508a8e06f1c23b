import i18next from 'i18next';
import { initReactI18next } from 'react-i18next';
import type { en } from './en.ts';
import { front } from './en-front.ts';

declare module 'i18next' {
  interface CustomTypeOptions {
    defaultNS: 'translation';
    resources: { translation: typeof en };
  }
}

/** All interface text stands in one catalogue a language; English ships. What is said in a studio comes with the studio. */
export const text = i18next.createInstance();

void text.use(initReactI18next).init({
  lng: 'en',
  resources: {},
  interpolation: { escapeValue: false },
});
text.addResourceBundle('en', 'translation', front);
