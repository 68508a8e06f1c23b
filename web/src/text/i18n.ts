import i18next from 'i18next';
import { initReactI18next } from 'react-i18next';
import { en } from './en.ts';

declare module 'i18next' {
  interface CustomTypeOptions {
    defaultNS: 'translation';
    resources: { translation: typeof en };
  }
}

/** All interface text stands in one catalogue a language; English ships. */
export const text = i18next.createInstance();

void text.use(initReactI18next).init({
  lng: 'en',
  resources: { en: { translation: en } },
  interpolation: { escapeValue: false },
});
