import { Button, Modal, Switch } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import { useState, type KeyboardEvent, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { termsIn } from './find-terms.ts';
import { KeyCap } from './key-cap.tsx';
import { OTHER_KEYS, PEDALS, SINGLE_KEYS, type KeyPlace, type PedalName } from './keys.data.ts';
import { keyKept, pedalKept, useKeyChoice, useKeys, type KeyChoice } from './use-keys.ts';
import classes from './ui.module.css';

type Part = keyof typeof OTHER_KEYS;
const PARTS: readonly Part[] = ['everywhere', 'today', 'bench', 'shelf', 'check', 'piano'];
/** Keys that are held for others, and send nothing by themselves. */
const HELD_KEYS: readonly string[] = ['Shift', 'Control', 'Alt', 'AltGraph', 'Meta', 'CapsLock', 'Dead'];
/** A sign is the same key, large or small. */
const asKept = (key: string): string => (key.length === 1 ? key.toLowerCase() : key);
const PEDAL_NAMES = Object.keys(PEDALS) as PedalName[];
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

interface ChangedKeyProps {
  readonly what: string;
  /** The key it has, as it is drawn. */
  readonly shown: string;
  readonly isOff?: boolean;
  /** Whether it may have a key, as the keyboard names it. */
  readonly mayHave: (key: string) => boolean;
  readonly onKey: (key: string) => void;
}

/** A key that can be changed: pressed, the next key that is typed takes its place, where it may. */
function ChangedKey({ what, shown, isOff = false, mayHave, onKey }: ChangedKeyProps): ReactElement {
  const { t } = useTranslation();
  const [isWaiting, setWaiting] = useState(false);
  const take = (event: KeyboardEvent): void => {
    if (!isWaiting) return;
    if (event.key === 'Tab') {
      setWaiting(false);
      return;
    }
    event.preventDefault();
    event.stopPropagation();
    if (event.key === 'Escape') setWaiting(false);
    else if (mayHave(event.key)) {
      onKey(event.key);
      setWaiting(false);
    }
  };
  return (
    <div>
      <dt>
        <Button
          size="compact-xs"
          variant="subtle"
          disabled={isOff}
          aria-label={t('keySheet.change', { what, key: shown })}
          onClick={() => {
            setWaiting(true);
          }}
          onKeyDown={take}
          onBlur={() => {
            setWaiting(false);
          }}
        >
          {isWaiting ? t('keySheet.press') : <KeyCap>{shown}</KeyCap>}
        </Button>
      </dt>
      <dd>{what}</dd>
    </div>
  );
}

interface OwnKeysProps {
  readonly choice: KeyChoice;
  readonly onChoice: (choice: KeyChoice) => void;
}

const changedTo = (choice: KeyChoice, name: string, key: string): KeyChoice => ({
  ...choice,
  changed: { ...choice.changed, [name]: key },
});

/** The single keys of a part; none takes a key that does something else here. */
function SingleKeys({ part, choice, onChoice }: OwnKeysProps & { readonly part: KeyPlace }): ReactElement {
  const { t } = useTranslation();
  const names = Object.keys(SINGLE_KEYS[part]);
  const keyAt = (name: string): string => keyKept(choice, part, name) ?? '';
  const isFree = (key: string, name: string): boolean => !names.some((other) => other !== name && keyAt(other) === key);
  return (
    <>
      {names.map((name) => (
        <ChangedKey
          key={name}
          what={t(`keySheet.${part}.${name}` as 'keySheet.today.unplanned')}
          shown={keyAt(name).toUpperCase()}
          isOff={choice.isOff}
          mayHave={(key) => ONE_SIGN.test(key) && isFree(asKept(key), name)}
          onKey={(key) => {
            onChoice(changedTo(choice, `${part}.${name}`, asKept(key)));
          }}
        />
      ))}
    </>
  );
}

/** The pedals of a page-turner: what one sends is taken, unless a single key of the piano or the other pedal has it. */
function Pedals({ choice, onChoice }: OwnKeysProps): ReactElement {
  const { t } = useTranslation();
  const named: Readonly<Record<string, string>> = t('keySheet.named', { returnObjects: true });
  const single = Object.keys(SINGLE_KEYS.piano).map((name) => keyKept(choice, 'piano', name));
  return (
    <>
      {PEDAL_NAMES.map((name) => {
        const key = pedalKept(choice, name);
        const others = [
          ...single,
          ...PEDAL_NAMES.filter((other) => other !== name).map((one) => pedalKept(choice, one)),
        ];
        return (
          <ChangedKey
            key={name}
            what={t(`keySheet.pedal.${name}`)}
            shown={named[key] ?? key.toUpperCase()}
            mayHave={(one) => !HELD_KEYS.includes(one) && !others.includes(asKept(one))}
            onKey={(one) => {
              onChoice(changedTo(choice, `pedal.${name}`, asKept(one)));
            }}
          />
        );
      })}
    </>
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
              {part === 'piano' && <Pedals choice={choice} onChoice={setChoice} />}
              {hasSingle(part) && <SingleKeys part={part} choice={choice} onChoice={setChoice} />}
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
