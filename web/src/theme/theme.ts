import {
  createTheme,
  type ActionIconProps,
  type AutocompleteProps,
  type ButtonProps,
  type CSSVariablesResolver,
  type MantineColorsTuple,
  type MantineThemeOverride,
  type MenuProps,
  type ModalProps,
  type MultiSelectProps,
  type SelectProps,
  type TabsProps,
  type TagsInputProps,
} from '@mantine/core';
import type { CSSProperties } from 'react';

const plum: MantineColorsTuple = [
  '#f7eff4',
  '#ead9e4',
  '#d9bccf',
  '#c698b8',
  '#ac72a0',
  '#8e4b7b',
  '#7c3a69',
  '#6a2a57',
  '#561f46',
  '#421535',
];
const apricot: MantineColorsTuple = [
  '#fef4ea',
  '#fbe3cb',
  '#f8d0a8',
  '#f5bc85',
  '#f2af71',
  '#f0a35e',
  '#d98a43',
  '#b86a1f',
  '#8f5118',
  '#663a11',
];
const meadow: MantineColorsTuple = [
  '#f1f6ee',
  '#e3eddd',
  '#c8dcbe',
  '#a9c89c',
  '#84ab7a',
  '#5e8c55',
  '#4f7b46',
  '#3f6b37',
  '#31552b',
  '#233e1f',
];
const honey: MantineColorsTuple = [
  '#fcf5e3',
  '#f8ebcb',
  '#efd596',
  '#e4bd60',
  '#d6a63c',
  '#c98f1f',
  '#a87517',
  '#7a5710',
  '#5d420c',
  '#402d08',
];
const brick: MantineColorsTuple = [
  '#fbefeb',
  '#f6ded6',
  '#e9b8a9',
  '#da917c',
  '#c26752',
  '#a9442f',
  '#963a27',
  '#7f301f',
  '#642617',
  '#481b10',
];
/** Warm greys, so that no border is left in the library's blue ones. */
const gray: MantineColorsTuple = [
  '#fbf7ef',
  '#f5eee2',
  '#efe7da',
  '#e6dccb',
  '#ded2c1',
  '#c9baa6',
  '#a8988f',
  '#85757f',
  '#6b5a68',
  '#4a3a49',
];
const dark: MantineColorsTuple = [
  '#f6eee2',
  '#dccfd2',
  '#c3b3bc',
  '#8f7f8c',
  '#4b3a4f',
  '#35263a',
  '#271a2a',
  '#1d131f',
  '#170f19',
  '#110a12',
];

/** A list that is not open is not drawn: a bench has seven of them, a sheet one of every exercise there is. */
const LIST = { keepMounted: false, transitionProps: { duration: 80 } };

interface Defaults<Props> {
  readonly defaultProps: Partial<Props>;
  readonly styles?: Readonly<Record<string, CSSProperties>>;
}

/** How a component is where nothing else is said. The component itself is not taken along: the first page draws few. */
const like = <Props>(defaults: Defaults<Props>): Defaults<Props> => defaults;

/** Pixels a menu has even where there is less room: three rows. */
const LEAST_MENU = 132;

/**
 * The one theme: no component keeps a colour or radius of its own.
 *
 * @param words what components say that have no words of their own
 */
export const themeWith = (words: { readonly close: string }): MantineThemeOverride =>
  createTheme({
    primaryColor: 'plum',
    primaryShade: 7,
    colors: { plum, apricot, meadow, honey, brick, gray, dark },
    black: '#2c1a2f',
    white: '#fffdf8',
    defaultRadius: 11,
    radius: { xs: '6px', sm: '8px', md: '11px', lg: '16px', xl: '999px' },
    fontFamily: 'var(--body)',
    headings: { fontFamily: 'var(--heading)', fontWeight: '480' },
    fontSizes: { xs: '12.5px', sm: '14px', md: '15px', lg: '18px', xl: '21px' },
    shadows: { xs: 'none', sm: 'none', md: 'none', lg: 'none', xl: 'none' },
    cursorType: 'pointer',
    components: {
      Button: like<ButtonProps>({
        defaultProps: { variant: 'default', size: 'md' },
        // A word is never cut by a button that was squeezed; what holds the buttons wraps instead.
        styles: { root: { fontWeight: 500 }, label: { overflow: 'visible' } },
      }),
      ActionIcon: like<ActionIconProps>({ defaultProps: { variant: 'subtle', color: 'gray', size: 'lg' } }),
      Select: like<SelectProps>({ defaultProps: { allowDeselect: false, comboboxProps: LIST } }),
      MultiSelect: like<MultiSelectProps>({ defaultProps: { comboboxProps: LIST } }),
      TagsInput: like<TagsInputProps>({ defaultProps: { comboboxProps: LIST } }),
      Autocomplete: like<AutocompleteProps>({ defaultProps: { comboboxProps: LIST } }),
      Modal: like<ModalProps>({
        defaultProps: {
          centered: true,
          // The library makes a header of it, which would be a second banner of the page.
          attributes: { header: { role: 'presentation' } },
          radius: 'lg',
          closeButtonProps: { 'aria-label': words.close },
          overlayProps: { backgroundOpacity: 0.35 },
          // Gone at once when it is closed: a key pressed right after is meant for the page.
          transitionProps: { duration: 120, exitDuration: 0 },
        },
      }),
      // In place, so that a menu belongs to the landmark it is opened in.
      Menu: like<MenuProps>({
        defaultProps: {
          withinPortal: false,
          withInitialFocusPlaceholder: false,
          transitionProps: { duration: 120, exitDuration: 0 },
          // A long menu on a small or enlarged screen is scrolled by itself; scrolled with the page it would hide.
          middlewares: {
            flip: true,
            shift: true,
            size: {
              padding: 8,
              apply: ({ availableHeight, elements }) => {
                elements.floating.style.maxHeight = `${String(Math.max(LEAST_MENU, availableHeight))}px`;
              },
            },
          },
        },
        styles: { dropdown: { overflowY: 'auto' } },
      }),
      Tabs: like<TabsProps>({ defaultProps: { color: 'plum' } }),
    },
  });

/** Lays Mantine's own variables onto the tokens, so that light and dark follow one list. */
export const tokensToMantine: CSSVariablesResolver = () => {
  const both = {
    '--mantine-color-body': 'var(--paper)',
    '--mantine-color-text': 'var(--ink)',
    '--mantine-color-dimmed': 'var(--soft)',
    '--mantine-color-placeholder': 'var(--soft)',
    '--mantine-color-default': 'var(--sheet)',
    '--mantine-color-default-hover': 'var(--mist)',
    '--mantine-color-default-color': 'var(--ink)',
    '--mantine-color-default-border': 'var(--line)',
    '--mantine-color-plum-filled': 'var(--plum)',
    '--mantine-color-plum-filled-hover': 'var(--plum-hover)',
    '--mantine-primary-color-filled': 'var(--plum)',
    '--mantine-primary-color-filled-hover': 'var(--plum-hover)',
    '--mantine-color-anchor': 'var(--plum-2)',
    '--mantine-color-error': 'var(--brick-text)',
    '--mantine-color-disabled': 'transparent',
    '--mantine-color-disabled-color': 'var(--soft)',
    '--mantine-color-disabled-border': 'var(--line)',
    // What is not chosen of a row of choices, in light and dark.
    '--mantine-color-gray-7': 'var(--soft)',
    '--mantine-color-dark-1': 'var(--soft)',
    '--mantine-color-gray-light-hover': 'var(--mist)',
    '--mantine-color-gray-light-color': 'var(--soft)',
  };
  return { variables: {}, light: both, dark: both };
};
