import { Button, Group } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import { type CheckAction, type CheckState } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { KeyCap } from '../../ui/key-cap.tsx';
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
  const acts: readonly (readonly [string, string, CheckAction, boolean])[] = [
    ['came', 'g', { type: 'held', midi: target }, canTake],
    ['harder', 'j', { type: 'harder' }, last !== null && ease === 'easy'],
    ['missed', 'x', { type: 'missed' }, true],
    ['turn', 'b', { type: 'turn', midi: last ?? target }, last !== null],
    ['takeBack', 'z', { type: 'take-back' }, last !== null],
  ];
  useHotkeys(
    acts.map(([, key, action, isOn]): [string, () => void] => [
      key,
      () => {
        if (isOn) act(action);
      },
    ]),
  );
  return (
    <Group className={classes['acts'] ?? ''}>
      {acts.map(([name, key, action, isOn]) => (
        <Button
          key={name}
          size="md"
          disabled={!isOn}
          rightSection={<KeyCap>{key.toUpperCase()}</KeyCap>}
          onClick={() => {
            act(action);
          }}
        >
          {t(`check.acts.${name as 'came'}`, { note: writeNote(name === 'came' ? target : (last ?? target)) })}
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
