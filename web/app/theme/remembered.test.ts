import { createSystem, defaultBaseConfig, defineConfig } from '@chakra-ui/react';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { remembered } from './remembered.ts';

const plain = createSystem(defaultBaseConfig, defineConfig({}));
const quick = remembered(createSystem(defaultBaseConfig, defineConfig({})));

const style = fc.record(
  {
    px: fc.constantFrom(1, '2', '3px'),
    color: fc.constantFrom('red', 'black !important'),
    display: fc.constantFrom('flex', { base: 'none', md: 'grid' }),
    _hover: fc.record({ bg: fc.constantFrom('white', 'black') }, { requiredKeys: [] }),
  },
  { requiredKeys: [] },
);

describe('a system that remembers', () => {
  it('has the same styles to the letter, asked once and again, alone and with others', () => {
    fc.assert(
      fc.property(fc.array(style, { minLength: 1, maxLength: 3 }), (styles) => {
        const expected = plain.css(...styles);
        expect(quick.css(...styles)).toEqual(expected);
        expect(quick.css(...styles)).toEqual(expected);
        expect(quick.css(styles[0], {})).toEqual(plain.css(styles[0], {}));
      }),
    );
  });

  it('makes a recipe once, which answers as one made anew', () => {
    const recipe = { base: { px: 2 }, variants: { tone: { loud: { color: 'red' }, low: { px: 4 } } } };
    const made = quick.cva(recipe);
    expect(quick.cva(recipe)).toBe(made);
    expect(quick.cva({ ...recipe })).not.toBe(made);
    for (const tone of ['loud', 'low'] as const) expect(made({ tone })).toEqual(plain.cva(recipe)({ tone }));
    expect(made()).toEqual(plain.cva(recipe)());
  });

  it('knows the same names for styles', () => {
    for (const name of ['px', 'color', '_hover', 'href', 'data-figure', 'css', 'onClick'])
      for (const _ of [1, 2]) expect(quick.isValidProperty(name), name).toBe(plain.isValidProperty(name));
  });
});
