import { Button, Group, MultiSelect, Stack, TextInput } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { changeGroup, groupsQuery, type SingerGroup } from '../../api/groups.queries.ts';
import { studentsQuery } from '../../api/students.queries.ts';
import { toldApart } from '../../ui/told-apart.ts';
import { FormProblem } from '../../ui/form-problem.tsx';

interface GroupFormProps {
  /** Version nought for one that is new. */
  readonly group: SingerGroup;
  readonly onDone: (group: SingerGroup) => void;
  readonly onCancel: () => void;
}

const FEWEST = 2;
const MOST = 12;

/** Name and singers of a group, in the order in which octaves are chosen. */
export function GroupForm({ group, onDone, onCancel }: GroupFormProps): ReactElement {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const students = useQuery(studentsQuery).data ?? [];
  const [name, setName] = useState(group.name);
  const [members, setMembers] = useState<readonly string[]>(group.members);
  const save = useMutation({
    mutationFn: () => changeGroup({ ...group, name: name.trim(), members: [...members] }),
    onSuccess: async (saved) => {
      await queries.invalidateQueries({ queryKey: groupsQuery.queryKey });
      onDone(saved);
    },
  });
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate();
      }}
    >
      <Stack gap="sm">
        <TextInput
          label={t('groups.name')}
          maxLength={120}
          value={name}
          onChange={({ currentTarget }) => {
            setName(currentTarget.value);
          }}
        />
        <MultiSelect
          searchable
          label={t('groups.singers')}
          description={t('groups.singersHint')}
          maxValues={MOST}
          data={[...toldApart(students, t)].map(([value, label]) => ({ value, label }))}
          value={[...members]}
          onChange={setMembers}
        />
        <FormProblem error={save.error} />
        <Group justify="flex-end">
          <Button onClick={onCancel}>{t('app.cancel')}</Button>
          <Button
            type="submit"
            variant="filled"
            disabled={name.trim() === '' || members.length < FEWEST}
            loading={save.isPending}
          >
            {t('settings.save')}
          </Button>
        </Group>
      </Stack>
    </form>
  );
}
