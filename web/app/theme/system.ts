/**
 * The look: a levelling field book. White paper, faint teal ruling, chalk-line blue as the one
 * accent, dug earth ochre, placed material slate green, water blue, held things oxide red.
 * Three themes by the data-theme of <html>: light, night, and sun (contrast ≥ 7:1).
 */
import { createSystem, defaultBaseConfig, defineConfig } from '@chakra-ui/react';
import { DESK_LOOKS } from './desk.ts';
import { remembered } from './remembered.ts';

const rem = (steps: readonly number[]) =>
  Object.fromEntries(steps.map((step) => [String(step), { value: `${step / 4}rem` }]));
const space = rem([
  0, 0.5, 1, 1.5, 2, 2.5, 3, 3.5, 4, 5, 6, 7, 8, 10, 12, 14, 16, 20, 24, 32, 40, 48, 64, 80, 96,
]);

/** A colour in the three themes. */
const hue = (base: string, night: string, sun: string) => ({ value: { base, _night: night, _sun: sun } });

const config = defineConfig({
  preflight: true,
  cssVarsRoot: ':where(html)',
  conditions: { night: '[data-theme=night] &', sun: '[data-theme=sun] &' },
  globalCss: {
    'html, body': {
      margin: 0,
      height: '100%',
      background: 'paper',
      color: 'ink',
      fontFamily: 'body',
      // As large as its reader has asked the browser for.
      fontSize: '100%',
      lineHeight: 1.35,
    },
    // What a browser draws itself (lists of a select, check boxes, bars to scroll by) follows the theme.
    html: { colorScheme: 'light', scrollbarColor: '{colors.soft} {colors.paper}' },
    'html[data-theme=night]': { colorScheme: 'dark' },
    '*, *::before, *::after': {
      boxSizing: 'border-box',
      '@media (prefers-reduced-motion: reduce)': {
        animationDuration: '0.01ms !important',
        animationIterationCount: '1 !important',
        transitionDuration: '0.01ms !important',
        scrollBehavior: 'auto !important',
      },
    },
    // Under a glove nothing to press is lower than a thumb.
    'summary, input[type=range]': { '@media (pointer: coarse), (max-width: 760px)': { minHeight: '44px' } },
    // Where the system paints all in its own colours, what is chosen is told by a frame.
    '[aria-selected=true], [aria-pressed=true], [aria-current]:not([aria-current=false])': {
      '@media (forced-colors: active)': {
        outline: '3px solid Highlight !important',
        outlineOffset: '-3px !important',
      },
    },
    'h1, h2, h3, p, dl, dd, ol, ul, figure': { margin: 0, padding: 0 },
    'h1, h2, h3': { fontSize: 'inherit', fontWeight: 600 },
    'ol, ul': { listStyle: 'none' },
    'button, input, select, textarea': { font: 'inherit', color: 'inherit' },
    a: { color: 'chalk' },
    ':focus-visible': { outline: '2px solid', outlineColor: 'chalk', outlineOffset: '2px' },
    '.no-print': { '@media print': { display: 'none' } },
    ...DESK_LOOKS,
  },
  theme: {
    breakpoints: { sm: '480px', md: '760px', lg: '1020px', xl: '1400px' },
    tokens: {
      spacing: space,
      sizes: { ...space, full: { value: '100%' } },
      fonts: {
        body: { value: "'Barlow', system-ui, sans-serif" },
        figure: { value: "'Barlow Condensed', 'Barlow', system-ui, sans-serif" },
      },
      fontSizes: {
        xs: { value: '0.75rem' },
        sm: { value: '0.875rem' },
        md: { value: '1rem' },
        lg: { value: '1.125rem' },
        xl: { value: '1.375rem' },
        '2xl': { value: '1.75rem' },
        '3xl': { value: '2.25rem' },
      },
      radii: { sm: { value: '3px' }, md: { value: '5px' } },
    },
    semanticTokens: {
      colors: {
        paper: hue('#fdfdfb', '#12191c', '#ffffff'),
        sheet: hue('#ffffff', '#182125', '#ffffff'),
        rule: hue('#dbe8e6', '#26343a', '#b9c6c4'),
        edge: hue('#9fb0b2', '#4b5d64', '#000000'),
        ink: hue('#162329', '#e8eef0', '#000000'),
        soft: hue('#55656b', '#a3b3b9', '#2b2b2b'),
        chalk: hue('#1b4fa0', '#8db4f2', '#0a2f78'),
        chalkWash: hue('#e9effa', '#1c2c48', '#dbe6fb'),
        onChalk: hue('#ffffff', '#0d1620', '#ffffff'),
        earth: hue('#a9541f', '#e39a66', '#6e2f08'),
        earthWash: hue('#f6e3d4', '#43301f', '#f3d9c4'),
        earthDeep: hue('#e9c4a4', '#5d4029', '#e5b68e'),
        placed: hue('#3f6558', '#8fc0ae', '#1b4436'),
        placedWash: hue('#cfdad6', '#33474a', '#c2d2cc'),
        water: hue('#1d6c9c', '#7cc0e8', '#07456b'),
        waterWash: hue('#e1f0f8', '#16323f', '#d2e9f6'),
        held: hue('#a02733', '#f2949c', '#7d0a17'),
        heldWash: hue('#f8e2e3', '#44202a', '#f9d9db'),
        note: hue('#6b5a1f', '#d9c27a', '#4a3c05'),
        noteWash: hue('#f8f2dc', '#38321c', '#f5ecc9'),
        soil: {
          topsoil: hue('#c9d7b0', '#3b472c', '#c9d7b0'),
          madeGround: hue('#d6cfc6', '#453f37', '#d6cfc6'),
          softClay: hue('#e6d2b3', '#4d3f29', '#e6d2b3'),
          stiffClay: hue('#dcc09b', '#554228', '#dcc09b'),
          gravellyClay: hue('#d3bf9f', '#493d2a', '#d3bf9f'),
          silt: hue('#e2dac4', '#46412f', '#e2dac4'),
          sandySilt: hue('#e8dcbb', '#4a422b', '#e8dcbb'),
          siltySand: hue('#eee1b8', '#4c452b', '#eee1b8'),
          sand: hue('#f2e4b4', '#52492b', '#f2e4b4'),
          gravel: hue('#dcd5c5', '#45413a', '#dcd5c5'),
          rock: hue('#c6c9cb', '#3c4246', '#c6c9cb'),
        },
      },
    },
  },
});

export const system = remembered(createSystem(defaultBaseConfig, config));
