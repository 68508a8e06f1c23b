import type { Work } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { BreathFields } from './breath-fields.tsx';
import { GlideFields } from './glide-fields.tsx';
import { PromptFields } from './prompt-fields.tsx';
import { SpokenFields } from './spoken-fields.tsx';
import type { WorkFieldsProps } from './work-fields.types.ts';
import classes from './sheet.module.css';

function fieldsOf({ work, change, problemAt }: WorkFieldsProps<Work>): ReactElement | null {
  switch (work.kind) {
    case 'pattern':
      return null;
    case 'siren':
      return <GlideFields work={work} change={change} problemAt={problemAt} />;
    case 'breath':
      return <BreathFields work={work} change={change} problemAt={problemAt} />;
    case 'timed':
      return <PromptFields work={work} change={change} problemAt={problemAt} />;
    case 'spoken':
      return <SpokenFields work={work} change={change} problemAt={problemAt} />;
  }
}

/** The figures of work that is no tune. */
export function WorkFields(props: WorkFieldsProps<Work>): ReactElement {
  return <div className={classes['sound']}>{fieldsOf(props)}</div>;
}
