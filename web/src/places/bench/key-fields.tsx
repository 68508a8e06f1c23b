import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { AgainField } from '../../ui/again-field.tsx';
import { CountField } from './count-field.tsx';
import { FieldGroup, type StepFieldsProps } from './field-group.tsx';

/** How many keys, how often, and whether the ladder comes a second time. */
export function KeyFields({ exercise: { work }, settings, set }: StepFieldsProps): ReactElement | null {
  const { t } = useTranslation();
  if (work.kind !== 'pattern') return null;
  return (
    <FieldGroup title={t('bench.groups.keys')}>
      <CountField
        label={t('bench.timesPerKey')}
        value={settings.timesPerKey}
        usual={String(work.timesPerKey)}
        min={1}
        max={8}
        onSet={(value) => {
          set('timesPerKey', value);
        }}
      />
      <CountField
        label={t('bench.returnStep')}
        value={settings.returnStep}
        usual={String(work.returnStep ?? settings.step ?? work.step)}
        min={1}
        max={12}
        onSet={(value) => {
          set('returnStep', value);
        }}
      />
      <CountField
        label={t('bench.narrowTo')}
        value={settings.narrowTo}
        usual={t('bench.wholeTune')}
        min={2}
        max={36}
        onSet={(value) => {
          set('narrowTo', value);
        }}
      />
      <CountField
        label={t('bench.withinSeconds')}
        value={settings.withinSeconds}
        usual={t('bench.allTheTime')}
        min={5}
        max={900}
        onSet={(value) => {
          set('withinSeconds', value);
        }}
      />
      <AgainField
        again={settings.again ?? work.again}
        onSet={(again) => {
          set('again', again);
        }}
      />
    </FieldGroup>
  );
}
