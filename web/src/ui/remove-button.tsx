import { ActionIcon } from '@mantine/core';
import { IconX } from '@tabler/icons-react';
import type { ReactElement } from 'react';

const ICON = 16;

/** Takes one row out of a list of rows; its label says which. */
export function RemoveButton({
  label,
  onClick,
}: {
  readonly label: string;
  readonly onClick: () => void;
}): ReactElement {
  return (
    <ActionIcon aria-label={label} onClick={onClick}>
      <IconX size={ICON} />
    </ActionIcon>
  );
}
