import { ActionIcon, Modal, Tooltip, type MantineSize } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import type { Icon } from '@tabler/icons-react';
import { useState, type ReactElement } from 'react';

interface DialogButtonProps {
  /** What the button says when pointed at, and what the dialog is called. */
  readonly label: string;
  readonly icon: Icon;
  readonly size: MantineSize | number;
  /** What the dialog holds; it closes the dialog with what it is given. */
  readonly children: (close: () => void) => ReactElement;
}

/** A button of one picture and the dialog it opens; until it is first opened there is no dialog to draw. */
export function DialogButton({ label, icon: Picture, size, children }: DialogButtonProps): ReactElement {
  const [isOpen, { open, close }] = useDisclosure(false);
  const [wasOpened, setOpened] = useState(false);
  return (
    <>
      <Tooltip label={label}>
        <ActionIcon
          aria-label={label}
          onClick={() => {
            setOpened(true);
            open();
          }}
        >
          <Picture size={19} />
        </ActionIcon>
      </Tooltip>
      {wasOpened && (
        <Modal opened={isOpen} onClose={close} title={label} size={size}>
          {children(close)}
        </Modal>
      )}
    </>
  );
}
