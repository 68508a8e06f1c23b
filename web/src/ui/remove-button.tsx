import { ActionIcon } from '@mantine/core';
import { IconX } from '@tabler/icons-react';
import type { ReactElement } from 'react';

const ICON = 16;

/** The button after this one in what belongs together, else the one before: where a hand on the keyboard goes on. */
function neighbourOf(button: HTMLButtonElement): HTMLButtonElement | undefined {
  const around = button.closest('section, fieldset, form, [role="group"], main') ?? document.body;
  const buttons = [...around.querySelectorAll('button')].filter(({ disabled }) => !disabled);
  const place = buttons.indexOf(button);
  return buttons[place + 1] ?? buttons[place - 1];
}

/** Takes one row out of a list of rows; its label says which. The focus never goes with it. */
export function RemoveButton({
  label,
  onClick,
}: {
  readonly label: string;
  readonly onClick: () => void;
}): ReactElement {
  return (
    <ActionIcon
      aria-label={label}
      onClick={({ currentTarget }) => {
        neighbourOf(currentTarget)?.focus();
        onClick();
      }}
    >
      <IconX size={ICON} />
    </ActionIcon>
  );
}
