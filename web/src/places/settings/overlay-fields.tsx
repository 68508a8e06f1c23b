import { ActionIcon, Button, Checkbox, Fieldset, Group, NumberInput, Stack, TextInput } from '@mantine/core';
import { MOST_OWN_OVERLAYS, OVERLAY_TOUCHES, type OwnOverlay } from '@soft-lark/core';
import { IconTrash } from '@tabler/icons-react';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 } from 'uuid';
import classes from './settings.module.css';

interface OverlayFieldsProps {
  readonly overlays: readonly OwnOverlay[];
  readonly onChange: (overlays: readonly OwnOverlay[]) => void;
}

/** Whether an overlay cannot be kept yet: it has no name, or no words. */
export function isUnfinished({ name, text }: OwnOverlay): boolean {
  return name.trim() === '' || text.trim() === '';
}

interface OneProps {
  readonly overlay: OwnOverlay;
  readonly number: number;
  readonly set: (change: Partial<OwnOverlay>) => void;
  readonly onRemove: () => void;
}

function OverlayField({
  overlay: { name, text, setUpSeconds, touches },
  number,
  set,
  onRemove,
}: OneProps): ReactElement {
  const { t } = useTranslation();
  return (
    <Stack gap={6}>
      <Group align="flex-start">
        <TextInput
          flex="0 1 220px"
          label={t('settings.overlays.name', { number })}
          maxLength={60}
          error={name.trim() === '' && t('settings.overlays.noName')}
          value={name}
          onChange={({ currentTarget }) => {
            set({ name: currentTarget.value });
          }}
        />
        <TextInput
          flex="1 1 260px"
          label={t('settings.overlays.text')}
          maxLength={240}
          error={text.trim() === '' && t('settings.overlays.noText')}
          value={text}
          onChange={({ currentTarget }) => {
            set({ text: currentTarget.value });
          }}
        />
        <NumberInput
          w={140}
          label={t('settings.overlays.setUpSeconds')}
          min={0}
          max={60}
          allowDecimal={false}
          clampBehavior="blur"
          value={setUpSeconds}
          onChange={(value) => {
            if (typeof value === 'number' && value >= 0 && value <= 60) set({ setUpSeconds: value });
          }}
        />
        <ActionIcon mt={25} size="lg" aria-label={t('settings.overlays.remove', { number })} onClick={onRemove}>
          <IconTrash size={18} />
        </ActionIcon>
      </Group>
      <Checkbox.Group
        label={t('settings.overlays.touches')}
        value={[...touches]}
        onChange={(chosen) => {
          set({ touches: OVERLAY_TOUCHES.filter((touch) => chosen.includes(touch)) });
        }}
      >
        <Group mt={4}>
          {OVERLAY_TOUCHES.map((touch) => (
            <Checkbox key={touch} value={touch} label={t(`settings.overlays.touch.${touch}`)} />
          ))}
        </Group>
      </Checkbox.Group>
    </Stack>
  );
}

/** What the studio lays over steps besides what is shipped, each with what it must keep away from. */
export function OverlayFields({ overlays, onChange }: OverlayFieldsProps): ReactElement {
  const { t } = useTranslation();
  return (
    <Fieldset legend={t('settings.overlays.title')}>
      <Stack gap="lg">
        <p className={classes['hint']}>{t('settings.overlays.hint')}</p>
        {overlays.map((overlay, index) => (
          <OverlayField
            key={overlay.id}
            overlay={overlay}
            number={index + 1}
            set={(change) => {
              onChange(overlays.map((other) => (other.id === overlay.id ? { ...other, ...change } : other)));
            }}
            onRemove={() => {
              onChange(overlays.filter(({ id }) => id !== overlay.id));
            }}
          />
        ))}
        <Group>
          <Button
            disabled={overlays.length >= MOST_OWN_OVERLAYS}
            onClick={() => {
              onChange([...overlays, { id: `own-${v7()}`, name: '', text: '', setUpSeconds: 10, touches: [] }]);
            }}
          >
            {t('settings.overlays.add')}
          </Button>
        </Group>
      </Stack>
    </Fieldset>
  );
}
