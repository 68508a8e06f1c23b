import { Button, Group, Tooltip } from '@mantine/core';
import { IconArrowBackUp, IconArrowForwardUp } from '@tabler/icons-react';
import type { Exercise } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { actionWords } from './action-words.ts';
import type { Bench } from './use-bench.ts';

const WAYS = [
  { type: 'undo', from: 'past', icon: IconArrowBackUp },
  { type: 'redo', from: 'future', icon: IconArrowForwardUp },
] as const;

interface UndoRedoProps {
  readonly bench: Pick<Bench, 'state' | 'act'>;
  readonly shelf: ReadonlyMap<string, Exercise>;
}

/** Takes the last edit back, or does it again; pointed at, each says which. */
export function UndoRedo({ bench: { state, act }, shelf }: UndoRedoProps): ReactElement {
  const { t } = useTranslation();
  return (
    <Group gap={2} wrap="nowrap">
      {WAYS.map(({ type, from, icon: Picture }) => {
        const change = state[from].at(-1);
        const what = change && actionWords(change.action, state.routine, shelf, t);
        return (
          <Tooltip key={type} label={what === undefined ? t(`bench.${type}`) : t(`bench.${type}What`, { what })}>
            <Button
              size="compact-sm"
              variant="subtle"
              leftSection={<Picture size={16} aria-hidden />}
              disabled={!change}
              onClick={() => {
                act({ type });
              }}
            >
              {t(`bench.${type}`)}
            </Button>
          </Tooltip>
        );
      })}
    </Group>
  );
}
