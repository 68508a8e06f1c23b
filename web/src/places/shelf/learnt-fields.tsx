import { Button, Select, TextInput } from '@mantine/core';
import { LEARNING_RULES, SENSES, type Exercise } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { replaced, without } from './lists.ts';
import { RemoveButton } from '../../ui/remove-button.tsx';
import classes from './sheet.module.css';

interface LearntFieldsProps {
  readonly exercise: Pick<Exercise, 'learnt' | 'senseCheck'>;
  readonly change: (change: Partial<Exercise>) => void;
}

/** How a student finds out alone, and the steps an exercise is learnt in over weeks. */
export function LearntFields({ exercise: { learnt, senseCheck }, change }: LearntFieldsProps): ReactElement {
  const { t } = useTranslation();
  return (
    <>
      <h3>{t('shelf.sheet.senseCheck')}</h3>
      <div className={classes['senseRow']}>
        <Select
          clearable
          aria-label={t('shelf.sheet.senseBy')}
          placeholder={t('shelf.sheet.noSense')}
          data={SENSES.map((value) => ({ value, label: t(`shelf.senses.${value}`) }))}
          value={senseCheck?.by ?? null}
          onChange={(value) => {
            const by = SENSES.find((known) => known === value);
            change({ senseCheck: by && { by, text: senseCheck?.text ?? '' } });
          }}
        />
        <TextInput
          aria-label={t('shelf.sheet.senseText')}
          placeholder={t('shelf.sheet.senseHint')}
          maxLength={240}
          disabled={!senseCheck}
          value={senseCheck?.text ?? ''}
          onChange={({ currentTarget }) => {
            if (senseCheck) change({ senseCheck: { ...senseCheck, text: currentTarget.value } });
          }}
        />
      </div>
      <h3>{t('shelf.sheet.learnt')}</h3>
      {learnt.map((stage, index) => (
        <div key={index} className={classes['learntRow']}>
          <TextInput
            aria-label={t('shelf.sheet.learntName', { number: index + 1 })}
            placeholder={t('shelf.sheet.learntNameHint')}
            maxLength={240}
            value={stage.name}
            onChange={({ currentTarget }) => {
              change({ learnt: replaced(learnt, index, { ...stage, name: currentTarget.value }) });
            }}
          />
          <TextInput
            aria-label={t('shelf.sheet.learntText', { number: index + 1 })}
            placeholder={t('shelf.sheet.learntTextHint')}
            maxLength={240}
            value={stage.text}
            onChange={({ currentTarget }) => {
              change({ learnt: replaced(learnt, index, { ...stage, text: currentTarget.value }) });
            }}
          />
          <RemoveButton
            label={t('shelf.sheet.removeLearnt', { number: index + 1 })}
            onClick={() => {
              change({ learnt: without(learnt, index) });
            }}
          />
        </div>
      ))}
      <Button
        size="sm"
        onClick={() => {
          change({ learnt: [...learnt, { name: '', text: '' }] });
        }}
      >
        {t('shelf.sheet.addLearnt')}
      </Button>
      <p className={classes['hint']}>{t('shelf.sheet.learntRule', LEARNING_RULES)}</p>
    </>
  );
}
