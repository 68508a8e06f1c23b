import { useLocalStorage } from '@mantine/hooks';

/** Whether the notes of a tune carry the degrees of the scale instead of its syllables, as this device was set. */
export function useDegrees(): readonly [boolean, (isOn: boolean) => void] {
  const [isOn, keep] = useLocalStorage({
    key: 'soft-lark.degrees',
    defaultValue: false,
    getInitialValueInEffect: false,
  });
  return [isOn, keep];
}
