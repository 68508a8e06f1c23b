import { Button, FileButton, Stack } from '@mantine/core';
import { IconFileImport } from '@tabler/icons-react';
import { LARGEST_FILE, openRoutineFile, readExercise, type Exercise } from '@soft-lark/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 } from 'uuid';
import { stepsOf } from '../../api/routines.queries.ts';
import { refreshShelf, shelfQuery, takeImport } from '../../api/shelf.queries.ts';
import type { NewRoutine } from '../../api/use-new-routine.ts';
import { FormProblem } from '../../ui/form-problem.tsx';

type Start = NonNullable<NewRoutine['start']>;

/** Reads a routine from a file; exercises that come with it and are not on the shelf yet are put there first. */
export function RoutineFromFile({ onOpened }: { readonly onOpened: (start: Start) => void }): ReactElement {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const open = useMutation({
    // A file that cannot be read does not get better by reading it again.
    retry: false,
    mutationFn: async (file: File): Promise<Start> => {
      if (file.size > LARGEST_FILE) throw new Error(t('shelf.importing.tooLarge'));
      const { exercises, ...routine } = openRoutineFile(new TextDecoder().decode(await file.arrayBuffer()));
      const shelf = await queries.query({ ...shelfQuery, staleTime: 'static' });
      const isHere = (id: string): boolean => shelf.has(id);
      const brought = exercises
        .map(readExercise)
        .flatMap((read): readonly Exercise[] =>
          'exercise' in read && !isHere(read.exercise.id) ? [read.exercise] : [],
        );
      const missing = routine.steps
        .map(({ exerciseId }) => exerciseId)
        .filter((id) => !isHere(id) && !brought.some((one) => one.id === id));
      if (missing.length > 0)
        throw new Error(t('students.fromFile.missing', { names: [...new Set(missing)].join(', ') }));
      if (brought.length > 0) {
        const body = { id: v7(), name: file.name, exercises: brought, collections: [] };
        await takeImport(body, new AbortController().signal);
        await refreshShelf(queries);
      }
      return { ...routine, steps: stepsOf(routine.steps.map((step) => ({ ...step, id: v7() }))) };
    },
    onSuccess: onOpened,
  });
  return (
    <Stack gap="xs" mt="md">
      <FileButton
        accept=".json"
        onChange={(file) => {
          if (file) open.mutate(file);
        }}
      >
        {(props) => (
          <Button leftSection={<IconFileImport size={16} aria-hidden />} loading={open.isPending} {...props}>
            {t('students.fromFile.choose')}
          </Button>
        )}
      </FileButton>
      <FormProblem error={open.error} />
    </Stack>
  );
}
