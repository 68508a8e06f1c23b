import { useLocalStorage } from '@mantine/hooks';

const KEY = 'soft-lark.shared-screen';

/** Whether this screen is shown to others: then other names and private lines are left out of every page. */
export function useSharedScreen(): readonly [isShared: boolean, setShared: (isShared: boolean) => void] {
  const [isShared, setShared] = useLocalStorage({ key: KEY, defaultValue: false, getInitialValueInEffect: false });
  return [isShared, setShared];
}
