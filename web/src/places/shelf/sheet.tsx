import { Anchor } from '@mantine/core';
import { isStillWork, takesOverlay, type Exercise } from '@soft-lark/core';
import { useMemo, useState, type ComponentProps, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useSearchParams } from 'react-router';
import type { Shelf, ShelfExercise } from '../../api/shelf.queries.ts';
import { useKeys } from '../../ui/use-keys.ts';
import { KeepBar } from './keep-bar.tsx';
import { LearningForms } from './learning-forms.tsx';
import { RelativesMap } from './relatives-map.tsx';
import { KindOfWork } from './kind-of-work.tsx';
import { SheetCourse, SheetGlide } from './sheet-course.tsx';
import { SheetFacts } from './sheet-facts.tsx';
import { SheetForm } from './sheet-form.tsx';
import { NameField, SheetHead } from './sheet-head.tsx';
import { SheetPlace } from './sheet-place.tsx';
import { SheetTune } from './sheet-tune.tsx';
import { Block, SheetWords } from './sheet-words.tsx';
import { useDraft } from './use-draft.ts';
import { useHear } from './use-hear.ts';
import { firstTonic, usePlaced } from './use-placed.ts';
import classes from './sheet.module.css';

interface SheetProps {
  readonly exercise: Exercise;
  /** What stands on the shelf; nothing yet for a new one. */
  readonly stored: ShelfExercise | null;
  readonly shelf: Shelf;
}

/** A keystroke in the pattern changes neither what is said nor the relatives; they are not drawn again for it. */
function useSteadyParts(exercise: Exercise): {
  readonly words: ComponentProps<typeof SheetWords>['exercise'];
  readonly relations: ComponentProps<typeof RelativesMap>['exercise'];
} {
  const { cues, watchFor, manners, senseCheck, learnt, cautions, relatives, id, name } = exercise;
  const hasOverlays = takesOverlay(exercise);
  const words = useMemo(
    () => ({ cues, watchFor, manners, senseCheck, learnt, cautions, takesOverlay: hasOverlays }),
    [cues, watchFor, manners, senseCheck, learnt, cautions, hasOverlays],
  );
  const relations = useMemo(() => ({ id, name, relatives }), [id, name, relatives]);
  return { words, relations };
}

/** The exercise sheet: the pattern with its pictures and its sound as it is typed, and everything said with it. */
export function Sheet({ exercise: written, stored, shelf }: SheetProps): ReactElement {
  const { t } = useTranslation();
  const [address] = useSearchParams();
  const draft = useDraft(written);
  const { exercise, readable, pattern } = draft;
  const { work } = exercise;
  const placing = usePlaced(shelf);
  const placed = useMemo(() => placing.place(readable), [placing, readable]);
  const { hear, sounding } = useHear();
  const isSounding = sounding?.exerciseId === readable.id;
  const [isEditing, setEditing] = useState(stored === null);
  const tonic = firstTonic(placed);
  useKeys({
    place: 'everywhere',
    other: {
      ' ': () => {
        hear(readable, placed);
      },
    },
  });
  const { words, relations } = useSteadyParts(exercise);
  const student = placing.studentId && placing.name ? { id: placing.studentId, name: placing.name } : null;
  return (
    <>
      <Anchor component={Link} to="/shelf" className={classes['back'] ?? ''}>
        ← {t('shelf.back')}
      </Anchor>
      <SheetHead
        draft={draft}
        stored={stored}
        shelf={shelf}
        tonic={tonic}
        isSounding={isSounding}
        onHear={() => {
          hear(readable, placed);
        }}
        isEditing={isEditing}
        onEdit={setEditing}
      />
      <p className={classes['why']}>{exercise.why}</p>
      <SheetFacts exercise={readable} shelf={shelf} />
      {isEditing && <NameField draft={draft} />}
      {stored === null && <KindOfWork draft={draft} />}
      {work.kind === 'pattern' && <SheetTune draft={draft} work={work} tonic={tonic} sounding={sounding} />}
      {readable.work.kind === 'siren' && <SheetGlide work={readable.work} placed={placed} />}
      {isStillWork(readable.work) && <SheetCourse work={readable.work} />}
      <SheetPlace placed={placed} name={placing.name} shelf={shelf} place={placing.place} />
      {isEditing && <SheetForm draft={draft} shelf={shelf} />}
      <div className={classes['sheet']}>
        {!isEditing && <SheetWords exercise={words} />}
        <Block title={t('shelf.relatives')}>
          <RelativesMap exercise={relations} shelf={shelf} />
        </Block>
        {pattern && work.kind === 'pattern' && pattern.events.length > 4 && (
          <Block title={t('shelf.practice.title')}>
            <LearningForms pattern={pattern} tempo={work.tempo.usual} />
          </Block>
        )}
      </div>
      {(draft.isChanged || stored === null) && (
        <KeepBar draft={draft} stored={stored} student={student} routineId={address.get('routine')} />
      )}
    </>
  );
}
