import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { useParams } from 'react-router';
import { groupsQuery } from '../../api/groups.queries.ts';
import { shelfQuery } from '../../api/shelf.queries.ts';
import { studentsQuery } from '../../api/students.queries.ts';
import { useShown } from '../../shell/use-shown.ts';
import { Failure } from '../../ui/failure.tsx';
import { Shape } from '../../ui/shape.tsx';
import { GroupView } from './group-view.tsx';

/** One group: who sings, and a routine worked out for all of them at once. */
export function GroupPlace(): ReactElement {
  const { t } = useTranslation();
  const { groupId = '' } = useParams();
  const groups = useQuery(groupsQuery);
  const students = useQuery(studentsQuery).data;
  const shelf = useQuery(shelfQuery).data;
  const { isShared } = useShown();
  if (groups.error && !groups.data) return <Failure error={groups.error} onRetry={() => void groups.refetch()} />;
  if (!groups.data || !students || !shelf) return <Shape rows={5} height={60} />;
  if (isShared) return <p>{t('app.notShared')}</p>;
  const group = groups.data.find(({ id }) => id === groupId);
  if (!group) return <p>{t('app.notHere')}</p>;
  const members = group.members.flatMap((id) => students.find((student) => student.id === id) ?? []);
  return <GroupView key={`${group.id}/${String(group.version)}`} group={group} members={members} shelf={shelf} />;
}
