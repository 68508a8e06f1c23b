import { Button, Group, SegmentedControl, TextInput } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 } from 'uuid';
import { muteRule, type MutableRule } from '../../api/mutes.queries.ts';
import { FormProblem } from '../../ui/form-problem.tsx';

const SCOPES = ['routine', 'student', 'studio'] as const;
type Scope = (typeof SCOPES)[number];

interface MuteFormProps {
  readonly rule: MutableRule;
  readonly routineId: string;
  readonly studentId: string;
  readonly onDone: () => void;
}

/** Silences a rule of the review for a routine, a student or the studio; never without a reason. */
export function MuteForm({ rule, routineId, studentId, onDone }: MuteFormProps): ReactElement {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const [scope, setScope] = useState<Scope>('routine');
  const [reason, setReason] = useState('');
  const mute = useMutation({
    mutationFn: () =>
      muteRule({
        id: v7(),
        rule,
        reason,
        ...(scope === 'routine' && { routineId }),
        ...(scope === 'student' && { studentId }),
      }),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['mutes'] });
      onDone();
    },
  });
  return (
    <Group gap={6} my={6}>
      <SegmentedControl
        size="xs"
        aria-label={t('bench.mute.scope')}
        data={SCOPES.map((value) => ({ value, label: t(`bench.mute.scopes.${value}`) }))}
        value={scope}
        onChange={(value) => {
          setScope(SCOPES.find((known) => known === value) ?? 'routine');
        }}
      />
      <TextInput
        size="xs"
        flex={1}
        miw={160}
        aria-label={t('bench.mute.reason')}
        placeholder={t('bench.mute.reason')}
        maxLength={400}
        value={reason}
        onChange={({ currentTarget }) => {
          setReason(currentTarget.value);
        }}
      />
      <Button
        size="xs"
        disabled={reason.trim() === ''}
        loading={mute.isPending}
        onClick={() => {
          mute.mutate();
        }}
      >
        {t('bench.mute.do')}
      </Button>
      <FormProblem error={mute.error} />
    </Group>
  );
}
