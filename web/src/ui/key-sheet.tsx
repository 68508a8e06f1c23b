import { Button, Modal, Switch } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import { useState, type KeyboardEvent, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { termsIn } from './find-terms.ts';
import { KeyCap } from './key-cap.tsx';
import { OTHER_KEYS, SINGLE_KEYS, type KeyPlace } from './keys.data.ts';
import { keyKept, useKeyChoice, useKeys, type KeyChoice } from './use-keys.ts';
import classes from './ui.module.css';

type Part = keyof typeof OTHER_KEYS;
const PARTS: readonly Part[] = ['everywhere', 'today', 'bench', 'shelf', 'check', 'piano'];
/** What a key may become: one sign that is written without help. */
const ONE_SIGN = /^[^\s]$/u;

/** Whether a part of the sheet has single keys. */
const hasSingle = (part: Part): part is KeyPlace => part in SINGLE_KEYS;

/** Keys as they are drawn, and as they are read out. */
function Caps({ keys }: { readonly keys: string }): ReactElement {
  const { t } = useTranslation();
  const spoken: Readonly<Record<string, string>> = t('keySheet.spoken', { returnObjects: true });
  return (
    <>
      {keys.split(' ').map((key) => (
        <KeyCap key={key}>{key}</KeyCap>
      ))}
      <span className="visually-hidden">
        {keys
          .split(' ')
          .map((key) => spoken[key] ?? key)
          .join(' ')}
      </span>
    </>
  );
}

interface SingleKeyProps {
  readonly part: KeyPlace;
  readonly name: string;
  readonly choice: KeyChoice;
  readonly onChoice: (choice: KeyChoice) => void;
}

/** One single key: pressed, the next sign that is typed takes its place, unless it does something else here. */
function SingleKey({ part, name, choice, onChoice }: SingleKeyProps): ReactElement {
  const { t } = useTranslation();
  const [isWaiting, setWaiting] = useState(false);
  const keyAt = (one: string): string => keyKept(choice, part, one) ?? '';
  const what = t(`keySheet.${part}.${name}` as 'keySheet.today.unplanned');
  const take = (event: KeyboardEvent): void => {
    if (!isWaiting) return;
    if (event.key === 'Tab') {
      setWaiting(false);
      return;
    }
    event.preventDefault();
    event.stopPropagation();
    const key = event.key.toLowerCase();
    const isTaken = Object.keys(SINGLE_KEYS[part]).some((other) => other !== name && keyAt(other) === key);
    if (event.key === 'Escape') setWaiting(false);
    if (!ONE_SIGN.test(key) || isTaken) return;
    onChoice({ ...choice, changed: { ...choice.changed, [`${part}.${name}`]: key } });
    setWaiting(false);
  };
  return (
    <div>
      <dt>
        <Button
          size="compact-xs"
          variant="subtle"
          disabled={choice.isOff}
          aria-label={t('keySheet.change', { what, key: keyAt(name).toUpperCase() })}
          onClick={() => {
            setWaiting(true);
          }}
          onKeyDown={take}
          onBlur={() => {
            setWaiting(false);
          }}
        >
          {isWaiting ? t('keySheet.press') : <KeyCap>{keyAt(name).toUpperCase()}</KeyCap>}
        </Button>
      </dt>
      <dd>{what}</dd>
    </div>
  );
}

function Sheet(): ReactElement {
  const { t } = useTranslation();
  const [choice, setChoice] = useKeyChoice();
  return (
    <>
      <Switch
        label={t('keySheet.on')}
        description={t('keySheet.onHint')}
        checked={!choice.isOff}
        onChange={({ currentTarget: { checked } }) => {
          setChoice({ ...choice, isOff: !checked });
        }}
      />
      <div className={classes['keySheet']}>
        {PARTS.map((part) => (
          <section key={part} aria-label={t(`keySheet.parts.${part}`)}>
            <h3>{t(`keySheet.parts.${part}`)}</h3>
            <dl>
              {hasSingle(part) &&
                Object.keys(SINGLE_KEYS[part]).map((name) => (
                  <SingleKey key={name} part={part} name={name} choice={choice} onChoice={setChoice} />
                ))}
              {OTHER_KEYS[part].map(([keys, name]) => (
                <div key={name}>
                  <dt>
                    <Caps keys={keys} />
                  </dt>
                  <dd>{t(`keySheet.${part}.${name}` as 'keySheet.bench.walk')}</dd>
                </div>
              ))}
            </dl>
          </section>
        ))}
      </div>
      {Object.keys(choice.changed).length > 0 && (
        <Button
          size="sm"
          variant="subtle"
          onClick={() => {
            setChoice({ ...choice, changed: {} });
          }}
        >
          {t('keySheet.putBack')}
        </Button>
      )}
    </>
  );
}

/** All words of the page behind the sheet, those in its fields and buttons too. */
function wordsOfPage(): string {
  const page = document.querySelector('main') ?? document.body;
  const words = [...page.querySelectorAll('input')].map(({ value }) => value);
  const texts = document.createTreeWalker(page, NodeFilter.SHOW_TEXT);
  while (texts.nextNode()) words.push(texts.currentNode.nodeValue ?? '');
  return words.join('\n');
}

/** The terms of the trade that stand on the page, each in a line. */
function WordsHere(): ReactElement | null {
  const { t } = useTranslation();
  const [names] = useState(() => termsIn(t, wordsOfPage()));
  if (names.length === 0) return null;
  return (
    <section className={classes['wordsHere']} aria-label={t('keySheet.words')}>
      <h3>{t('keySheet.words')}</h3>
      <dl>
        {names.map((name) => (
          <div key={name}>
            <dt>{t(`terms.${name}.word`)}</dt>
            <dd>{t(`terms.${name}.says`)}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

/** Every key of the keyboard and what it does, and every term that stands on the page, on `?` and on request; there the single ones are changed or turned off. */
export function useKeySheet(): { readonly open: () => void; readonly sheet: ReactElement } {
  const { t } = useTranslation();
  const [isOpen, { open, close }] = useDisclosure(false);
  useKeys({ place: 'everywhere', single: { sheet: open } });
  return {
    open,
    sheet: (
      <Modal opened={isOpen} onClose={close} title={t('keySheet.title')} size="xl">
        <Sheet />
        <WordsHere />
      </Modal>
    ),
  };
}
