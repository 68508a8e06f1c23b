import { Anchor, Button, FileButton, Progress, Title } from '@mantine/core';
import { LARGEST_FILE } from '@soft-lark/core';
import { useQuery } from '@tanstack/react-query';
import { useRef, useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { shelfQuery } from '../../api/shelf.queries.ts';
import { openFile, type OpenedFile, type Opening } from '../../workers/files.ts';
import { ImportItems } from './import-items.tsx';
import { ImportMelody } from './import-melody.tsx';
import { ImportsSoFar } from './imports-so-far.tsx';
import { SongsKept } from './songs-kept.tsx';
import classes from './sheet.module.css';
import { errorText } from '../../text/say.ts';

const KINDS = '.json,.musicxml,.xml,.mxl,.abc,.mid,.midi';

interface Chosen {
  readonly name: string;
  readonly opened: OpenedFile;
}

function DropFile({ onFile }: { readonly onFile: (file: File | null) => void }): ReactElement {
  const { t } = useTranslation();
  return (
    <div
      className={classes['drop']}
      onDragOver={(event) => {
        event.preventDefault();
      }}
      onDrop={(event) => {
        event.preventDefault();
        onFile(event.dataTransfer.files[0] ?? null);
      }}
    >
      <span>{t('shelf.importing.drop')}</span>
      <FileButton accept={KINDS} onChange={onFile}>
        {(props) => (
          <Button variant="filled" {...props}>
            {t('shelf.importing.choose')}
          </Button>
        )}
      </FileButton>
    </div>
  );
}

/** Files of exercises and tunes come in here: what they hold is shown before anything is kept. */
export function ImportPlace(): ReactElement {
  const { t } = useTranslation();
  const shelf = useQuery(shelfQuery).data;
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [progress, setProgress] = useState<number | null>(null);
  const opening = useRef<Opening | null>(null);
  const refuse = (name: string, why: 'shelf.importing.tooLarge' | 'shelf.importing.tooSlow'): void => {
    setChosen({ name, opened: { kind: 'refused', message: t(why), remedy: t('shelf.importing.cutDown') } });
  };
  const take = async (file: File | null): Promise<void> => {
    if (!file) return;
    setChosen(null);
    if (file.size > LARGEST_FILE) {
      refuse(file.name, 'shelf.importing.tooLarge');
      return;
    }
    setProgress(0);
    opening.current = openFile(new Uint8Array(await file.arrayBuffer()), setProgress);
    const opened = await opening.current.opened;
    setProgress(null);
    if (opened === 'too-slow') refuse(file.name, 'shelf.importing.tooSlow');
    else if (opened) setChosen({ name: file.name, opened });
  };
  const opened = chosen?.opened;
  return (
    <>
      <Anchor component={Link} to="/shelf" className={classes['back'] ?? ''}>
        ← {t('shelf.back')}
      </Anchor>
      <Title order={1} fz={32}>
        {t('shelf.importing.title')}
      </Title>
      <p className={classes['why']}>{t('shelf.importing.text')}</p>
      <DropFile onFile={(file) => void take(file)} />
      {progress !== null && (
        <div className={classes['reading']}>
          <Progress value={progress * 100} aria-label={t('shelf.importing.reading')} flex={1} />
          <Button
            onClick={() => {
              opening.current?.stop();
            }}
          >
            {t('app.cancel')}
          </Button>
        </div>
      )}
      {opened?.kind === 'refused' && (
        <p className={classes['problem']} role="alert">
          <b>{chosen?.name}</b> {errorText(opened)}
        </p>
      )}
      {chosen && opened?.kind === 'exercises' && shelf && (
        <ImportItems
          key={chosen.name}
          name={chosen.name}
          items={opened.items}
          collections={opened.collections}
          shelf={shelf}
          onDone={() => {
            setChosen(null);
          }}
        />
      )}
      {chosen && opened?.kind === 'melody' && (
        <ImportMelody key={chosen.name} name={chosen.name} melody={opened.melody} />
      )}
      <SongsKept />
      <ImportsSoFar />
    </>
  );
}
