import { Button, Group } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { errorText, refusalOf } from '../text/say.ts';

const TEN_SECONDS = 10_000;

interface Undo {
  readonly message: string;
  /** What the button says. */
  readonly label: string;
  readonly undo: () => void;
}

/** Says what was done, and for ten seconds takes it back with a press. */
export function offerUndo({ message, label, undo }: Undo): void {
  const note = notifications.show({
    autoClose: TEN_SECONDS,
    message: (
      <Group justify="space-between" wrap="nowrap">
        {message}
        <Button
          size="xs"
          flex="none"
          onClick={() => {
            undo();
            notifications.hide(note);
          }}
        >
          {label}
        </Button>
      </Group>
    ),
  });
}

/** Does what cannot be taken back ten seconds later, or when the page is left, unless it is called off until then. */
export function inTenSeconds(
  work: () => Promise<unknown>,
  { undo, ...words }: Omit<Undo, 'undo'> & Partial<Undo>,
): void {
  const begin = (): void => {
    clearTimeout(timer);
    window.removeEventListener('pagehide', begin);
    work().catch((error: unknown) => {
      notifications.show({ message: errorText(refusalOf(error)), autoClose: false });
    });
  };
  const timer = setTimeout(begin, TEN_SECONDS);
  window.addEventListener('pagehide', begin);
  offerUndo({
    ...words,
    undo: () => {
      clearTimeout(timer);
      window.removeEventListener('pagehide', begin);
      undo?.();
    },
  });
}
