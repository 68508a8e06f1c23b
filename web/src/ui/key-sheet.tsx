import { Modal } from '@mantine/core';
import { useDisclosure, useHotkeys } from '@mantine/hooks';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { KeyCap } from './key-cap.tsx';
import classes from './ui.module.css';

const PARTS = ['everywhere', 'bench', 'shelf', 'piano'] as const;

/** Every key of the keyboard and what it does, on `?`. */
export function KeySheet(): ReactElement {
  const { t } = useTranslation();
  const [isOpen, { toggle, close }] = useDisclosure(false);
  useHotkeys([['shift+?', toggle]]);
  return (
    <Modal opened={isOpen} onClose={close} title={t('keySheet.title')} size="xl">
      <div className={classes['keySheet']}>
        {PARTS.map((part) => (
          <section key={part} aria-label={t(`keySheet.parts.${part}`)}>
            <h3>{t(`keySheet.parts.${part}`)}</h3>
            <dl>
              {t(`keySheet.${part}`, { returnObjects: true }).map(([keys, what]) => (
                <div key={what}>
                  <dt>
                    {keys?.split(' ').map((key) => (
                      <KeyCap key={key}>{key}</KeyCap>
                    ))}
                  </dt>
                  <dd>{what}</dd>
                </div>
              ))}
            </dl>
          </section>
        ))}
      </div>
    </Modal>
  );
}
