import { useLocalStorage } from '@mantine/hooks';
import { useEffect, useEffectEvent } from 'react';
import { PEDALS, SINGLE_KEYS, type KeyName, type KeyPlace, type PedalName } from './keys.data.ts';

/** What this device made of the single keys. */
export interface KeyChoice {
  readonly isOff: boolean;
  /** Other keys, by place and name: `piano.again`, `pedal.onward`. */
  readonly changed: Readonly<Record<string, string>>;
}

const USUAL: KeyChoice = { isOff: false, changed: {} };

export function useKeyChoice(): readonly [KeyChoice, (choice: KeyChoice) => void] {
  const [choice, setChoice] = useLocalStorage<KeyChoice>({
    key: 'soft-lark.keys',
    defaultValue: USUAL,
    getInitialValueInEffect: false,
  });
  return [choice, setChoice];
}

/** The key an act has on this device, whether single keys are on or off. */
export function keyKept({ changed }: KeyChoice, place: KeyPlace, name: string): string | null {
  const usual: Readonly<Record<string, string>> = SINGLE_KEYS[place];
  return changed[`${place}.${name}`] ?? usual[name] ?? null;
}

/** The key that a pedal sends on this device. */
export function pedalKept({ changed }: KeyChoice, name: PedalName): string {
  return changed[`pedal.${name}`] ?? PEDALS[name];
}

/** The key of one act on this device; nothing where single keys are off. */
export function keyOf(choice: KeyChoice, place: KeyPlace, name: string): string | null {
  return choice.isOff ? null : keyKept(choice, place, name);
}

const TYPING =
  'textarea, select, [contenteditable="true"], input:not([type="radio"], [type="checkbox"], [type="range"], [type="button"])';
/** What goes through its own choices by arrows. */
const WALKED = '[role="slider"], [role="radiogroup"], [role="tablist"], [role="listbox"], input[type="range"]';
const OVERLAID = '[role="dialog"][aria-modal="true"], [role="menu"]';

/** Whether a dialog or a menu lies over the page: what is pressed there is not meant for the page. */
export function isOverlaid(): boolean {
  return document.querySelector(OVERLAID) !== null;
}

/** What was pressed: `a`, `?`, `ArrowRight`, `mod+z`, `mod+shift+z`. */
function nameOf({ key, ctrlKey, metaKey, altKey, shiftKey }: KeyboardEvent): string {
  const isMod = ctrlKey || metaKey;
  const name = key.length === 1 ? key.toLowerCase() : key;
  return `${isMod ? 'mod+' : ''}${altKey ? 'alt+' : ''}${shiftKey && (isMod || key.length > 1) ? 'shift+' : ''}${name}`;
}

interface KeyActs<Place extends KeyPlace> {
  readonly place: Place;
  /** What single keys do, by their names. */
  readonly single?: { readonly [Name in KeyName<Place>]?: () => void };
  /** What other keys do, by what is pressed. */
  readonly other?: Readonly<Record<string, (event: KeyboardEvent) => void>>;
  /** Acts inside a dialog of its own. */
  readonly isInDialog?: boolean;
  /** The space bar acts even where a button has the focus; enter presses that. */
  readonly ownsSpace?: boolean;
}

/** Keys of a place. None acts while something is typed, nor through a dialog or a menu that lies over the page. */
export function useKeys<Place extends KeyPlace>(acts: KeyActs<Place>): void {
  const [choice] = useKeyChoice();
  const onKey = useEffectEvent((event: KeyboardEvent) => {
    const { place, single = {}, other = {}, isInDialog = false, ownsSpace = false } = acts;
    const target = event.target instanceof Element ? event.target : document.body;
    if (event.defaultPrevented || target.closest(TYPING)) return;
    if (!isInDialog && isOverlaid()) return;
    const pressed = nameOf(event);
    if (pressed.includes('Arrow') && target.closest(WALKED)) return;
    if (pressed === ' ' && !ownsSpace && target.closest('button, a, [role]')) return;
    const named = new Map<string, (event: KeyboardEvent) => void>(Object.entries<() => void>(single));
    const [, act = other[pressed]] = [...named].find(([name]) => keyOf(choice, place, name) === pressed) ?? [];
    if (!act) return;
    event.preventDefault();
    act(event);
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent): void => {
      onKey(event);
    };
    document.addEventListener('keydown', listen);
    return () => {
      document.removeEventListener('keydown', listen);
    };
  }, []);
}
