import { Button, Group, Stack, Title } from '@mantine/core';
import { changeRules, referenceNameOf } from '@soft-lark/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { sessionQuery } from '../../api/session.queries.ts';
import { changeStudent, studentTodayQuery, type Student } from '../../api/students.queries.ts';
import { ApproachEditor } from '../../ui/approach-editor.tsx';
import { FormProblem } from '../../ui/form-problem.tsx';
import { RangeEditor } from '../../ui/range-editor.tsx';
import { RuleEditor } from '../../ui/rule-editor.tsx';
import { AnswersPreview } from '../settings/answers-preview.tsx';
import { StudentEnd } from './student-end.tsx';

/** Approach and rule figures of one student, over the studio's; and the end of the file. */
export function StudentRules({ student }: { readonly student: Student }): ReactElement {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const studio = useQuery(sessionQuery).data;
  const [before] = useState(() => ({ approach: student.voice.approach ?? {}, rules: student.voice.rules ?? {} }));
  const [approach, setApproach] = useState(before.approach);
  const [rules, setRules] = useState(before.rules);
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
  const studioRules = changeRules(studio?.rules ?? {}, 'studio');
  const isChanged = approach !== before.approach || rules !== before.rules;
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
      <Group>
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
      </Group>
      <StudentEnd student={student} />
    </Stack>
  );
}
