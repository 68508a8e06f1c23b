import type { TFunction } from 'i18next';
import type { Student } from '../api/students.queries.ts';

/** Names by id; those that are alike carry their voice type, and a number where that is alike too. */
export function toldApart(
  students: readonly Pick<Student, 'id' | 'name' | 'voice'>[],
  t: TFunction,
): ReadonlyMap<string, string> {
  const isOnly = (words: readonly string[], word: string): boolean => words.filter((one) => one === word).length < 2;
  const names = students.map(({ name }) => name);
  const typed = students.map(({ name, voice }) => `${name} (${t(`voices.${voice.type}`)})`);
  return new Map(
    students.map(({ id, name }, at) => {
      const withType = typed[at] ?? name;
      if (isOnly(names, name)) return [id, name];
      const before = typed.slice(0, at).filter((one) => one === withType).length;
      return [id, isOnly(typed, withType) ? withType : `${withType} ${String(before + 1)}`];
    }),
  );
}
