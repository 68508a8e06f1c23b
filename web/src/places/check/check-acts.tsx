import { Button, Group } from '@mantine/core';
import { type CheckAction, type CheckState } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { KeyFor } from '../../ui/key-cap.tsx';
import type { KeyName } from '../../ui/keys.data.ts';
import { useKeys } from '../../ui/use-keys.ts';
import { writeNote } from '../../text/note-names.ts';
import classes from './check.module.css';

interface CheckActsProps {
  readonly state: CheckState;
  readonly act: (action: CheckAction) => void;
  /** What a note that is simply there is called: the one asked for. */
  readonly canTake: boolean;
}

/** What the teacher says of a note; each one key or tap. */
export function CheckActs({ state, act, canTake }: CheckActsProps): ReactElement {
  const { t } = useTranslation();
  const { target, last, ease } = state;
  const acts: readonly (readonly [KeyName<'check'>, CheckAction, boolean])[] = [
    ['came', { type: 'held', midi: target }, canTake],
    ['harder', { type: 'harder' }, last !== null && ease === 'easy'],
    ['missed', { type: 'missed' }, true],
    ['turn', { type: 'turn', midi: last ?? target }, last !== null],
    ['takeBack', { type: 'take-back' }, last !== null],
  ];
  useKeys({
    place: 'check',
    single: Object.fromEntries(
      acts.map(([name, action, isOn]) => [
        name,
        () => {
          if (isOn) act(action);
        },
      ]),
    ),
  });
  return (
    <Group className={classes['acts'] ?? ''}>
      {acts.map(([name, action, isOn]) => (
        <Button
          key={name}
          size="md"
          disabled={!isOn}
          rightSection={<KeyFor place="check" name={name} />}
          onClick={() => {
            act(action);
          }}
        >
          {t(`check.acts.${name}`, { note: writeNote(name === 'came' ? target : (last ?? target)) })}
        </Button>
      ))}
      <Button
        size="md"
        variant="filled"
        onClick={() => {
          act({ type: 'leg-over' });
        }}
      >
        {t(`check.legOver.${state.phase === 'down' ? 'down' : 'up'}`)}
      </Button>
    </Group>
  );
}
