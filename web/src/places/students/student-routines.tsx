import { Button } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';

import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { useLay } from '../../api/lay.ts';
import { routinesQuery, type Routine } from '../../api/routines.queries.ts';
import { shelfQuery } from '../../api/shelf.queries.ts';
import type { StudentToday } from '../../api/students.queries.ts';
import { SmallFlight } from '../../flight/small-flight.tsx';
import { useNow } from '../../ui/clock.ts';
import { clockText, dayText } from '../../text/times.ts';
import { Shape } from '../../ui/shape.tsx';
import { writeNote } from '../../text/note-names.ts';
import classes from './students.module.css';

/** Whether notes of a step were set by hand, so that they do not move with the voice. */
function isByHand({ settings }: Routine['steps'][number]): boolean {
  return settings.start !== undefined || settings.floor !== undefined || settings.ceiling !== undefined;
}

/** The routines of one student, each worked out for today. */
export function StudentRoutines({ today }: { readonly today: StudentToday }): ReactElement {
  const { t } = useTranslation();
  const now = useNow();
  const { student } = today;
  const lay = useLay();
  const routines = useQuery(routinesQuery(student.id)).data;
  const shelf = useQuery(shelfQuery).data;
  if (!routines || !shelf) return <Shape rows={2} />;
  if (routines.length === 0) return <p>{t('students.noRoutines')}</p>;
  return (
    <>
      {routines.map((routine) => {
        const laid = lay(routine, today, shelf, now);
        const { lowest, highest } = laid;
        return (
          <div key={routine.id} className={classes['routine']}>
            <span>
              <Link to={`/routines/${routine.id}`}>{routine.name}</Link>
              {routine.groupId !== undefined && <small>{t('students.ofAGroup')}</small>}
            </span>
            <SmallFlight routine={laid} isNext={false} />
            <span>
              {t('bench.of', { length: clockText(laid.seconds), budget: clockText(routine.minutes * 60) })}
              {lowest !== null && highest !== null && ` · ${writeNote(lowest)} – ${writeNote(highest)}`}
              {today.changeSince && routine.steps.some(isByHand) && (
                <small className={classes['oldRange']}>
                  {t('students.oldRange', { day: dayText(today.changeSince) })}
                </small>
              )}
            </span>
            <Button component={Link} to={`/sing/${routine.id}`}>
              {t('today.sing')}
            </Button>
          </div>
        );
      })}
    </>
  );
}
