import { isAlike, type Exercise, type RoutineStep, type StepSettings } from '@soft-lark/core';
import type { TFunction } from 'i18next';
import type { BenchAction, EditedRoutine } from './bench.reducer.ts';
import { settingNames, settingWords } from './setting-words.ts';

/** Every setting that differs between two, as it is in the later one. */
function settingsWords(before: StepSettings, after: StepSettings, t: TFunction): string {
  const names = settingNames({ ...before, ...after }).filter((name) => !isAlike(before[name], after[name]));
  return names.map((name) => settingWords(name, after[name], t)).join(', ');
}

/** What is different between two versions of a step: its settings, its pin and its block. */
export function stepWords(before: RoutineStep, after: RoutineStep, t: TFunction): string {
  const [wasPinned, isPinned] = [before.locked ?? false, after.locked ?? false];
  return [
    settingsWords(before.settings, after.settings, t),
    wasPinned === isPinned ? '' : t(isPinned ? 'bench.history.pinned' : 'bench.history.unpinned'),
    before.block === after.block
      ? ''
      : after.block === undefined
        ? t('bench.history.unblocked')
        : t('bench.history.blocked', { name: after.block }),
  ]
    .filter((part) => part !== '')
    .join(', ');
}

/** What an edit of the bench was, in a few words, for undo and redo. */
export function actionWords(
  action: BenchAction,
  { steps }: EditedRoutine,
  shelf: ReadonlyMap<string, Exercise>,
  t: TFunction,
): string {
  const nameOf = (exerciseId: string | undefined): string => shelf.get(exerciseId ?? '')?.name ?? t('bench.did.step');
  switch (action.type) {
    case 'patch':
      return action.what;
    case 'set': {
      const name = nameOf(steps.find(({ id }) => id === action.stepId)?.exerciseId);
      const set = settingNames(action.settings)[0] ?? action.clear?.[0];
      return set ? `${name}: ${settingWords(set, action.settings[set], t)}` : name;
    }
    case 'add':
      return t('bench.did.add', { name: nameOf(action.steps[0]?.exerciseId) });
    case 'minutes':
      return t('bench.minutesAxis', { count: action.minutes });
    case 'merge':
    case 'name':
    case 'kind':
      return t(`bench.did.${action.type}`);
    case 'saved':
    case 'undo':
    case 'redo':
    case 'replace':
      return '';
  }
}
