import { Button, Checkbox, Fieldset, Group, SimpleGrid, Stack, Text } from '@mantine/core';
import { findingsOf, typesNear, type CheckState, type CheckWay, type PitchRange } from '@soft-lark/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 } from 'uuid';
import { confirmCheck } from '../../api/range-checks.queries.ts';
import { studentTodayQuery, type Student } from '../../api/students.queries.ts';
import { FormProblem } from '../../ui/form-problem.tsx';
import { NoteField, type NoteValue } from '../../ui/note-field.tsx';
import { NotePairs } from './note-pairs.tsx';
import classes from './check.module.css';

type Ends = Readonly<Record<'speakingNote' | 'low' | 'high' | 'reachLow' | 'reachHigh', NoteValue>>;

interface CheckReviewProps {
  readonly student: Student;
  readonly state: CheckState;
  readonly way: CheckWay;
  readonly onWritten: () => void;
  readonly onAgain: () => void;
}

function endsOf(state: CheckState): Ends {
  const { speakingNote, comfortable, reach } = findingsOf(state);
  return {
    speakingNote: speakingNote ?? undefined,
    low: comfortable?.low,
    high: comfortable?.high,
    reachLow: reach?.low,
    reachHigh: reach?.high,
  };
}

interface RangeFieldsProps {
  readonly ends: Ends;
  readonly onChange: (ends: Ends) => void;
}

function RangeFields({ ends, onChange }: RangeFieldsProps): ReactElement {
  const { t } = useTranslation();
  const { low, high } = ends;
  const field = (name: keyof Ends): ReactElement => (
    <NoteField
      label={t(`check.fields.${name}`)}
      value={ends[name]}
      onChange={(note) => {
        onChange({ ...ends, [name]: note });
      }}
    />
  );
  return (
    <Fieldset legend={t('check.range')}>
      <SimpleGrid cols={{ base: 2, sm: 3 }}>
        {field('speakingNote')}
        {field('low')}
        {field('high')}
        <span />
        {field('reachLow')}
        {field('reachHigh')}
      </SimpleGrid>
      {typeof low === 'number' && typeof high === 'number' && low < high && (
        <Text mt="sm" c="dimmed">
          {t('check.near', {
            types: typesNear({ low, high })
              .map((type) => t(`voices.${type}`))
              .join(', '),
          })}
        </Text>
      )}
    </Fieldset>
  );
}

interface SimulatedNoteProps {
  readonly name: string;
  readonly isSure: boolean;
  readonly onSure: (isSure: boolean) => void;
}

/** What the simulated singer sang belongs into a voice file only if that is meant. */
function SimulatedNote({ name, isSure, onSure }: SimulatedNoteProps): ReactElement {
  const { t } = useTranslation();
  return (
    <div className={classes['simulated']} role="note">
      <p>{t('check.simulated', { name: name })}</p>
      <Checkbox
        label={t('check.simulatedSure')}
        checked={isSure}
        onChange={({ currentTarget: { checked } }) => {
          onSure(checked);
        }}
      />
    </div>
  );
}

/** What the check came to: every figure can be corrected, and nothing is written before the teacher confirms. */
export function CheckReview({ student, state, way, onWritten, onAgain }: CheckReviewProps): ReactElement {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const [ends, setEnds] = useState(() => endsOf(state));
  const [gaps, setGaps] = useState<readonly PitchRange[]>(() => findingsOf(state).gaps);
  const [bridges, setBridges] = useState<readonly PitchRange[]>(() => findingsOf(state).bridges);
  const [checkId] = useState(() => v7());
  const { speakingNote, low, high, reachLow, reachHigh } = ends;
  const isWhole = typeof low === 'number' && typeof high === 'number';
  const [isSure, setSure] = useState(way !== 'simulated');
  const isReadable = Object.values(ends).every((note) => note !== null);
  const write = useMutation({
    mutationFn: () =>
      confirmCheck(student.id, {
        id: checkId,
        version: student.version,
        way,
        low: Number(low),
        high: Number(high),
        ...(typeof reachLow === 'number' && { reachLow }),
        ...(typeof reachHigh === 'number' && { reachHigh }),
        ...(typeof speakingNote === 'number' && { speakingNote }),
        gaps: [...gaps],
        bridges: [...bridges],
      }),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['students'] });
      void queries.invalidateQueries({ queryKey: ['today'] });
      onWritten();
    },
    // A file changed meanwhile is read again; the figures stay, and the next press writes over it.
    onError: () => void queries.invalidateQueries({ queryKey: studentTodayQuery(student.id).queryKey }),
  });
  return (
    <Stack maw={860} gap="lg">
      <Text size="lg">{t('check.reviewText')}</Text>
      <RangeFields ends={ends} onChange={setEnds} />
      <SimpleGrid cols={{ base: 1, sm: 2 }}>
        <NotePairs legend={t('check.bridges')} none={t('check.noBridges')} pairs={bridges} onChange={setBridges} />
        <NotePairs legend={t('check.gaps')} none={t('check.noGaps')} pairs={gaps} onChange={setGaps} />
      </SimpleGrid>
      {way === 'simulated' && <SimulatedNote name={student.name} isSure={isSure} onSure={setSure} />}
      <FormProblem error={write.error} />
      <Group>
        <Button
          size="lg"
          variant="filled"
          disabled={!isWhole || !isReadable || !isSure}
          loading={write.isPending}
          onClick={() => {
            write.mutate();
          }}
        >
          {t('check.write')}
        </Button>
        <Button size="lg" onClick={onAgain}>
          {t('check.again')}
        </Button>
      </Group>
    </Stack>
  );
}
