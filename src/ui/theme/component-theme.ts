import { theme as antdTheme, type ThemeConfig } from 'antd';
import type { Theme } from './theme-script';

/** The seed colours of the component library by theme: the same values as in app/globals.css. */
const COLOURS: Readonly<
  Record<Theme, Record<'paper' | 'field' | 'ink' | 'soft' | 'rule' | 'rowan' | 'onInk', string>>
> = {
  day: {
    paper: '#f5f2ea',
    field: '#fffdf7',
    ink: '#24323b',
    soft: '#4d5a60',
    rule: '#8c9a86',
    rowan: '#a3321f',
    onInk: '#ffffff',
  },
  dark: {
    paper: '#1b252b',
    field: '#141c21',
    ink: '#e9e6dc',
    soft: '#b3bab5',
    rule: '#5d6b70',
    rowan: '#ff8b73',
    onInk: '#12191e',
  },
  night: {
    paper: '#140605',
    field: '#0d0303',
    ink: '#e4614b',
    soft: '#cf5541',
    rule: '#8a3a2e',
    rowan: '#ff7a5f',
    onInk: '#140605',
  },
};

/** The component library in the look of the app: paper and ink, rounded shapes, no shadows; without
 * `motion` what opens is there at once. */
export function componentTheme(name: Theme, motion: boolean): ThemeConfig {
  const colour = COLOURS[name];
  return {
    algorithm: name === 'day' ? antdTheme.defaultAlgorithm : antdTheme.darkAlgorithm,
    token: {
      motion,
      colorPrimary: colour.ink,
      colorInfo: colour.ink,
      colorSuccess: colour.ink,
      colorTextLightSolid: colour.onInk,
      colorText: colour.ink,
      colorTextDescription: colour.soft,
      colorTextPlaceholder: colour.soft,
      colorBgBase: colour.paper,
      colorBgContainer: colour.field,
      colorBgElevated: colour.paper,
      colorBorder: colour.rule,
      // The library's own grey would be too bright at night.
      colorTextDisabled: colour.rule,
      colorBgContainerDisabled: colour.paper,
      colorError: colour.rowan,
      colorErrorText: colour.rowan,
      colorLink: colour.ink,
      fontFamily: "'Atkinson Hyperlegible', sans-serif",
      fontSize: 16,
      borderRadius: 14,
      controlHeight: 48,
      boxShadow: 'none',
      boxShadowSecondary: `0 0 0 1px ${colour.rule}`,
    },
    components: {
      Tabs: { itemSelectedColor: colour.ink, inkBarColor: colour.ink },
      // Its own grey is made from the ink, and too dark for the ink on it.
      Select: { optionSelectedBg: colour.ink, optionSelectedColor: colour.onInk },
      Button: {
        // The dark algorithm would dim the seed colour and lose the contrast.
        colorPrimary: colour.ink,
        colorPrimaryHover: colour.soft,
        colorPrimaryActive: colour.soft,
        primaryShadow: 'none',
        defaultShadow: 'none',
        dangerShadow: 'none',
      },
    },
  };
}
