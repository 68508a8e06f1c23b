import { Table } from '@mantine/core';
import type { GroupStep } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import type { Student } from '../../api/students.queries.ts';
import { writeNote } from '../../text/note-names.ts';
import { sayProblem } from '../../text/say.ts';
import classes from './groups.module.css';

interface GroupStepsProps {
  readonly steps: readonly GroupStep[];
  readonly members: readonly Student[];
  /** What they are called here, by id. */
  readonly names: ReadonlyMap<string, string>;
}

/** Keys in one line: runs of semitones as a span, the rest one by one. */
function keysText(tonics: readonly number[]): string {
  const runs: number[][] = [];
  for (const tonic of tonics) {
    const last = runs.at(-1);
    if (last && tonic === (last.at(-1) ?? 0) + 1) last.push(tonic);
    else runs.push([tonic]);
  }
  return runs
    .map((run) =>
      run.length > 2
        ? `${writeNote(run[0] ?? 0)} – ${writeNote(run.at(-1) ?? 0)}`
        : run.map((one) => writeNote(one)).join(', '),
    )
    .join(', ');
}

/** Where one singer sings: the octave in words, and what that comes to. */
function Part({ step, member }: { readonly step: GroupStep; readonly member: Student }): ReactElement {
  const { t } = useTranslation();
  const rests = step.resting.find(({ id }) => id === member.id);
  if (rests)
    return <span className={classes['rests']}>{t('groups.rests', { why: sayProblem(rests.reason).message })}</span>;
  const { common, pattern } = step;
  const octave = common?.octaveOf[member.id] ?? 0;
  if (!common || !pattern)
    return <span>{step.exercise.work.kind === 'siren' ? t('groups.ownRange') : t('groups.joins')}</span>;
  const [first, last] = [common.tonics[0], common.tonics.at(-1)];
  if (first === undefined || last === undefined) return <span>–</span>;
  return (
    <span>
      {t(`groups.octaves.${String(octave) as '0'}`)}
      <small>
        {writeNote(first + 12 * octave + pattern.low)} – {writeNote(last + 12 * octave + pattern.high)}
      </small>
    </span>
  );
}

/** What to do where too few keys are shared: a smaller shape, else two groups by name. */
function WayOut({
  step,
  names,
}: {
  readonly step: GroupStep;
  readonly names: ReadonlyMap<string, string>;
}): ReactElement | null {
  const { t } = useTranslation();
  const { common, smaller } = step;
  if (!common?.smaller && !common?.groups) return null;
  const nameOf = (id: string): string => names.get(id) ?? '';
  return (
    <p className={classes['wayOut']}>
      {smaller !== undefined && t('groups.smaller', { pattern: smaller })}{' '}
      {common.groups &&
        common.groups.length > 1 &&
        t('groups.split', { groups: common.groups.map((ids) => ids.map(nameOf).join(' + ')).join(t('groups.and')) })}
    </p>
  );
}

/** Every step of the routine for the group: keys in common, each singer’s octave written out, and ways out. */
export function GroupSteps({ steps, members, names }: GroupStepsProps): ReactElement {
  const { t } = useTranslation();
  return (
    // On a narrow page it moves sideways by itself, and is reached to be moved.
    <Table tabIndex={0} verticalSpacing="sm" className={classes['steps'] ?? ''}>
      <Table.Thead>
        <Table.Tr>
          <Table.Th>{t('groups.step')}</Table.Th>
          <Table.Th>{t('groups.keys')}</Table.Th>
          {members.map(({ id }) => (
            <Table.Th key={id}>
              <bdi>{names.get(id)}</bdi>
            </Table.Th>
          ))}
        </Table.Tr>
      </Table.Thead>
      <Table.Tbody>
        {steps.map((step) => (
          <Table.Tr key={step.stepId}>
            <Table.Td>
              {step.exercise.name}
              <WayOut step={step} names={names} />
            </Table.Td>
            <Table.Td>
              {step.common ? (
                <>
                  <b className="heading">{step.common.tonics.length}</b>
                  <small>{keysText(step.common.tonics)}</small>
                </>
              ) : (
                <small>{t(step.exercise.work.kind === 'siren' ? 'groups.glides' : 'groups.noKeys')}</small>
              )}
            </Table.Td>
            {members.map((member) => (
              <Table.Td key={member.id}>
                <Part step={step} member={member} />
              </Table.Td>
            ))}
          </Table.Tr>
        ))}
      </Table.Tbody>
    </Table>
  );
}
