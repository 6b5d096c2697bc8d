/**
 * The workshop's own world: primer greys, one safelight amber, type that reads like plates and road
 * signs.
 */
import { createTheme, type MantineColorsTuple } from '@mantine/core';

const amber: MantineColorsTuple = [
  '#fff5e4',
  '#ffe8c8',
  '#fbd093',
  '#f6b65a',
  '#f0a12f',
  '#e8890c',
  '#d97a06',
  '#a85600',
  '#864400',
  '#613100',
];
const primer: MantineColorsTuple = [
  '#f6f5f2',
  '#eceae6',
  '#dedcd6',
  '#c8c6bf',
  '#a9a79f',
  '#86847d',
  '#66645f',
  '#4a4a48',
  '#33363a',
  '#22262b',
];

export const theme = createTheme({
  colors: { amber, primer },
  primaryColor: 'amber',
  primaryShade: { light: 5, dark: 4 },
  autoContrast: true,
  respectReducedMotion: true,
  luminanceThreshold: 0.32,
  fontFamily: 'Barlow, system-ui, sans-serif',
  headings: { fontFamily: '"Barlow Condensed", Barlow, sans-serif', fontWeight: '600' },
  defaultRadius: 3,
  components: {
    Button: {
      defaultProps: { size: 'md' },
      styles: {
        root: {
          minHeight: 'var(--button-least, 48px)',
          minWidth: 'var(--button-least, 48px)',
          fontFamily: '"Barlow Condensed", sans-serif',
          fontSize: 'var(--button-font, 18px)',
          fontWeight: 600,
          letterSpacing: '0.01em',
        },
      },
    },
    TextInput: { defaultProps: { size: 'md' } },
    Select: { defaultProps: { size: 'md', allowDeselect: false } },
    // Its arrows are for mice: a glove types, or touches a slider.
    NumberInput: { defaultProps: { size: 'md', hideControls: true } },
    CloseButton: { defaultProps: { size: 48 } },
    Textarea: { defaultProps: { size: 'md', rows: 2, resize: 'vertical' } },
    SegmentedControl: { defaultProps: { size: 'md' } },
    Notification: {
      defaultProps: { closeButtonProps: { 'aria-label': 'Close' } },
      styles: { description: { color: 'var(--ink)' } },
    },
    Modal: {
      defaultProps: { closeButtonProps: { 'aria-label': 'Close', size: 48, iconSize: 26 } },
    },
    Drawer: {
      defaultProps: { closeButtonProps: { 'aria-label': 'Close', size: 48, iconSize: 26 } },
    },
  },
});
