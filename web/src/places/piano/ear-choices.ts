import { useLocalStorage } from '@mantine/hooks';

/** How this device listens; whether it does at all is asked for anew in each run. */
export interface EarChoices {
  /** The piano sounds in headphones: keys in which it plays along are heard without it. */
  readonly hasHeadphones: boolean;
  /** The next key comes when this one was sung. */
  readonly goesOn: boolean;
}

const USUAL: EarChoices = { hasHeadphones: false, goesOn: false };

export function useEarChoices(): readonly [EarChoices, (change: Partial<EarChoices>) => void] {
  const [kept, keep] = useLocalStorage<EarChoices>({
    key: 'soft-lark.ear',
    defaultValue: USUAL,
    getInitialValueInEffect: false,
  });
  return [
    kept,
    (change) => {
      keep({ ...kept, ...change });
    },
  ];
}
