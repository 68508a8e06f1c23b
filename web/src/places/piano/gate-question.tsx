import { UnstyledButton } from '@mantine/core';
import { useId, type KeyboardEvent, type ReactElement } from 'react';
import classes from './gate.module.css';

interface GateQuestionProps {
  readonly question: string;
  readonly choices: readonly { readonly value: string; readonly label: string }[];
  readonly value: string | null;
  readonly onChange: (value: string) => void;
}

function moveFocus(event: KeyboardEvent<HTMLElement>): void {
  const direction =
    event.key === 'ArrowRight' || event.key === 'ArrowDown'
      ? 1
      : event.key === 'ArrowLeft' || event.key === 'ArrowUp'
        ? -1
        : 0;
  if (direction === 0) return;
  event.preventDefault();
  const choices = [...event.currentTarget.querySelectorAll<HTMLElement>('[role="radio"]')];
  const at = choices.indexOf(document.activeElement as HTMLElement);
  choices[(at + direction + choices.length) % choices.length]?.focus();
}

/** One question with a few large answers. */
export function GateQuestion({ question, choices, value, onChange }: GateQuestionProps): ReactElement {
  const id = useId();
  return (
    <div className={classes['question']}>
      <p id={id}>{question}</p>
      <div role="radiogroup" aria-labelledby={id} onKeyDown={moveFocus}>
        {choices.map((choice, index) => (
          <UnstyledButton
            key={choice.value}
            role="radio"
            aria-checked={value === choice.value}
            tabIndex={value === choice.value || (value === null && index === 0) ? 0 : -1}
            className={classes['answer'] ?? ''}
            onClick={() => {
              onChange(choice.value);
            }}
          >
            {choice.label}
          </UnstyledButton>
        ))}
      </div>
    </div>
  );
}
