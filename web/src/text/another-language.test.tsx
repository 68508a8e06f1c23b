import { OVERLAYS, RECIPES, shippedExercises, USUAL_READY_QUESTIONS } from '@soft-lark/core';
import { screen, waitFor } from '@testing-library/react';
import { openPage, type OpenedPage } from '../testing/open-page.tsx';
import { ROUTINE, routine, step, student, STUDENT, studentToday, usualAnswers, voice } from '../testing/samples.ts';
import { en } from './en.ts';
import { text } from './i18n.ts';

/** A text in a language nobody speaks: its own words in brackets, what is filled in outside of them. */
function foreign(words: string): string {
  return words
    .split(/(\{\{\w+\}\}|<\/?\w+>)/)
    .map((part, index) => (index % 2 === 1 || part === '' ? part : `⟦${part}⟧`))
    .join('');
}

function translated(texts: unknown): unknown {
  if (typeof texts === 'string') return foreign(texts);
  if (Array.isArray(texts)) return texts.map(translated);
  return Object.fromEntries(Object.entries(texts as object).map(([name, value]) => [name, translated(value)]));
}

/** Everything a studio and its shelf say in their own words. */
const DATA = JSON.stringify([
  shippedExercises(),
  OVERLAYS,
  RECIPES,
  USUAL_READY_QUESTIONS,
  usualAnswers(),
]).toLowerCase();

function outsideBrackets(said: string): string {
  return said
    .split('⟦')
    .flatMap((part) => part.split('⟧').slice(-1))
    .join('\n');
}

/** Dates are written by the browser, in its own form of the language. */
const MONTH = /\b(Nov|Aug)\w*\b/g;

/** Texts of the page that stand neither in the catalogue nor in anybody’s data. */
function strayTexts(): readonly string[] {
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  const texts: string[] = [];
  while (walker.nextNode()) {
    const { parentElement, textContent } = walker.currentNode;
    if (parentElement && !['STYLE', 'SCRIPT'].includes(parentElement.tagName)) texts.push(textContent ?? '');
  }
  for (const element of document.querySelectorAll('[aria-label], [title], [placeholder]'))
    for (const name of ['aria-label', 'title', 'placeholder']) texts.push(element.getAttribute(name) ?? '');
  const isData = (part: string): boolean =>
    DATA.includes(part.toLowerCase()) || DATA.includes(part.replaceAll(' ', '-'));
  return (
    texts
      .flatMap((one) =>
        outsideBrackets(one)
          .replace(MONTH, '')
          .split(/[\n·:,;→–()“”.]|\bAM\b|\bPM\b/),
      )
      .map((part) => part.trim())
      // What is sung to one syllable says it once.
      .map((part) => part.replace(/^(\w+)( \1)+$/, '$1'))
      .filter((part) => /\p{L}{3,}/u.test(part) && !isData(part))
  );
}

beforeAll(async () => {
  text.addResourceBundle('xx', 'translation', translated(en));
  await text.changeLanguage('xx');
});
afterAll(() => text.changeLanguage('en'));

const singer = student({
  voice: voice({ goals: ['bridge'], avoid: [{ low: 62, high: 63, kind: 'not-loud' }], gaps: [{ low: 70, high: 70 }] }),
});
const steps = [
  step('up-and-down-five', { settings: { start: 50 } }),
  step('thirds', { settings: { struck: [62], ceiling: 75 } }),
  step('light-grit-on-a-short-call'),
  step('speech-like-call'),
  step('long-hiss'),
];
const answers = {
  'GET /api/students': [singer],
  [`GET /api/students/${STUDENT}/today`]: studentToday({ student: singer, conditions: ['tired'] }),
  [`GET /api/routines/${ROUTINE}`]: routine({ steps, minutes: 4 }),
};

async function stand(page: OpenedPage): Promise<void> {
  await waitFor(() => {
    expect(document.body.textContent).toContain('⟦');
  });
  await waitFor(() => {
    expect(screen.queryAllByRole('heading').length).toBeGreaterThan(0);
  });
  expect(page.unanswered).toEqual([]);
}

test.each([
  ['the bench', `/routines/${ROUTINE}`],
  ['a voice', `/students/${STUDENT}`],
  ['the progress of a student', `/students/${STUDENT}/progress`],
  ['the review of a student', `/students/${STUDENT}/review`],
  ['the day of a performance', `/students/${STUDENT}/day`],
  ['what goes home', `/students/${STUDENT}/home`],
  ['the gate', `/sing/${ROUTINE}`],
  ['the range check', `/students/${STUDENT}/check`],
  ['the hand-out', `/routines/${ROUTINE}/hand-out`],
  ['students from a table', '/students/table'],
  ['a file for the shelf', '/shelf/import'],
  ['two exercises beside each other', '/shelf/compare?a=thirds&b=up-and-down-five'],
  ['the approach', '/settings/approach'],
  ['the rule table', '/settings/rules'],
  ['the cautions page', '/cautions'],
  ['about', '/about'],
  ['the rules of a student', `/students/${STUDENT}/rules`],
  ['the shelf', '/shelf'],
  ['a sheet of the shelf', '/shelf/up-and-down-five'],
  ['today', '/today'],
  ['the students', '/students'],
  ['the log', '/log'],
  ['the settings', '/settings'],
])('in another language %s has no English left but what is the studio’s own', async (_, path) => {
  const page = openPage(path, answers);
  await stand(page);
  await new Promise((resolve) => setTimeout(resolve, 300));
  expect([...new Set(strayTexts())]).toEqual([]);
});
