import { Button, Group, Stack, Title } from '@mantine/core';
import { changeRules, referenceNameOf } from '@soft-lark/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { sessionQuery } from '../../api/session.queries.ts';
import { changeStudent, removeStudent, studentTodayQuery, type Student } from '../../api/students.queries.ts';
import { dropRecording, recordingsOf } from '../../listening/recordings.ts';
import { ApproachEditor } from '../../ui/approach-editor.tsx';
import { ConfirmDelete } from '../../ui/confirm-delete.tsx';
import { inTenSeconds } from '../../ui/offer-undo.tsx';
import { FormProblem } from '../../ui/form-problem.tsx';
import { RangeEditor } from '../../ui/range-editor.tsx';
import { RuleEditor } from '../../ui/rule-editor.tsx';
import { AnswersPreview } from '../settings/answers-preview.tsx';

function DeleteStudent({ student }: { readonly student: Student }): ReactElement {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const erase = async (): Promise<void> => {
    await removeStudent(student.id);
    for (const { id } of await recordingsOf(student.id)) await dropRecording(id);
    queries.removeQueries({ queryKey: ['students', student.id] });
    void queries.invalidateQueries();
  };
  return (
    <ConfirmDelete
      title={t('students.removeStudent')}
      question={t('students.removeSure', { name: student.name })}
      remove={async () => {
        await navigate('/students');
      }}
      onGone={() => {
        inTenSeconds(erase, {
          message: t('students.goingIn', { name: student.name }),
          label: t('students.keepStudent'),
        });
      }}
    >
      {(open) => (
        <Button variant="subtle" c="var(--brick-text)" onClick={open}>
          {t('students.removeStudent')}
        </Button>
      )}
    </ConfirmDelete>
  );
}

/** Approach and rule figures of one student, over the studio's; and the end of the file. */
export function StudentRules({ student }: { readonly student: Student }): ReactElement {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const studio = useQuery(sessionQuery).data;
  const [approach, setApproach] = useState(student.voice.approach ?? {});
  const [rules, setRules] = useState(student.voice.rules ?? {});
  const save = useMutation({
    mutationFn: () => {
      const { name, note, voice, version } = student;
      return changeStudent(student.id, { name, note, version, voice: { ...voice, approach, rules } });
    },
    onSuccess: (changed) => {
      queries.setQueryData(studentTodayQuery(student.id).queryKey, (old) => old && { ...old, student: changed });
      void queries.invalidateQueries({ queryKey: ['students'] });
      void queries.invalidateQueries({ queryKey: ['today'] });
    },
    onError: () => void queries.invalidateQueries({ queryKey: studentTodayQuery(student.id).queryKey }),
  });
  const studioRules = changeRules(studio?.rules ?? {}, t('settings.theStudio'));
  const isChanged = approach !== student.voice.approach || rules !== student.voice.rules;
  return (
    <Stack gap="lg" pt="sm">
      <Title order={2} fz={21}>
        {t('students.approachTitle')}
      </Title>
      <ApproachEditor
        answers={approach}
        below={studio?.approach ?? {}}
        onChange={(answers) => {
          setApproach({ ...answers });
        }}
      />
      <Title order={2} fz={21}>
        {t('students.rulesTitle')}
      </Title>
      <RuleEditor
        changes={rules}
        below={studioRules}
        onChange={(changes) => {
          setRules({ ...changes });
        }}
      />
      <Title order={2} fz={21}>
        {t('students.rangeTitle')}
      </Title>
      <RangeEditor
        names={[referenceNameOf(student.voice)]}
        changes={rules}
        below={studioRules}
        onChange={(changes) => {
          setRules({ ...changes });
        }}
      />
      {isChanged && studio && (
        <AnswersPreview studio={studio} student={{ ...student, voice: { ...student.voice, approach, rules } }} />
      )}
      <FormProblem error={save.error} />
      <Group justify="space-between">
        <Button
          variant="filled"
          disabled={!isChanged}
          loading={save.isPending}
          onClick={() => {
            save.mutate();
          }}
        >
          {t('settings.save')}
        </Button>
        <DeleteStudent student={student} />
      </Group>
    </Stack>
  );
}
