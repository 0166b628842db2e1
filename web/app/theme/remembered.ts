/**
 * Chakra makes the recipe of an element anew at every drawing of it, and looks styles and property names
 * up by hashing all there is in them: a fifth of the time the desk takes to draw. Recipes are constants
 * here, so they are remembered by identity; names by name.
 */
import type { SystemContext } from '@chakra-ui/react';

/** A function of one object that always answers the same for the same one. */
function byIdentity<K extends object, V>(make: (of: K) => V): (of: K) => V {
  const known = new WeakMap<K, V>();
  return (of) => {
    let value = known.get(of);
    if (value === undefined) {
      value = make(of);
      known.set(of, value);
    }
    return value;
  };
}

const isEmpty = (style: object): boolean => {
  for (const _ in style) return false;
  return true;
};

/** The same system, quicker; its styles are the same to the letter. */
export function remembered(system: SystemContext): SystemContext {
  type Css = SystemContext['css'];
  const alone = byIdentity((style: Parameters<Css>[0] & object) => system.css(style));
  const css: Css = (...styles) => {
    const [first, second] = styles;
    // A recipe and nothing of the element's own, as most are.
    const bare = styles.length === 1 || (styles.length === 2 && second && isEmpty(second));
    return first && bare ? alone(first) : system.css(...styles);
  };
  const valid = new Map<string, boolean>();
  return {
    ...system,
    css,
    // Which variants a recipe has is settled by the recipe it is asked for.
    cva: byIdentity(system.cva) as SystemContext['cva'],
    isValidProperty(prop) {
      let is = valid.get(prop);
      if (is === undefined) {
        is = system.isValidProperty(prop);
        valid.set(prop, is);
      }
      return is;
    },
  };
}
