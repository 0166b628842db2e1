/** Slabs on their floor, drains, stone footings, old walls, strings, what is in the way, what is dug by hand. */
import type { founding as english } from '../en/founding.ts';
import type { Words } from '../words.ts';

export const founding: Words<typeof english> = {
  drain: {
    flat: 'a nivel',
    falls: 'cae {{fall}}',
  },
  strings: {
    title: 'Hilos',
    one: 'Hilo',
    own: 'el de la obra, {{level}}',
    hangsOn: 'Cuelga de',
    asFloor: 'el de su piso: {{name}}',
    add: 'Agregar un hilo',
    name: 'Hilo',
    first: 'Hilo {{n}}',
    remove: 'Quitar el hilo {{name}}',
    job: 'el de la obra',
  },
};
