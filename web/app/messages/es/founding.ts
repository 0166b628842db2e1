/** Slabs on their floor, drains, stone footings, old walls, strings, what is in the way, what is dug by hand. */
import type { founding as english } from '../en/founding.ts';
import type { Words } from '../words.ts';

export const founding: Words<typeof english> = {
  drain: {
    flat: 'a nivel',
    falls: 'cae {{fall}}',
  },
  stoneFooting: {
    beam: 'Viga o zócalo sobre la piedra',
    beamWidth: 'Ancho de viga',
    beamHeight: 'Alto de viga',
    lifts: 'con una plancha de {{mass}}, {{passes}} pasadas, típico',
    inConcrete: 'Como zapata corrida de hormigón en esta línea:',
    note: 'La piedra carga: sin hormigón debajo. Un ingeniero dice si este suelo y este muro lo permiten.',
  },
  underpin: {
    old: 'Se conoce el muro viejo',
    underside: 'Su base',
    thickness: 'Espesor allí',
    inside: 'Nivel de trabajo adentro',
    access: 'Ancho del pozo de acceso',
    gap: 'Se deja para el retacado',
    newUnderside: 'Base nueva',
    pass: 'Pasada {{n}}',
    bays: 'Bataches',
    soil: 'Bajo el muro',
    insideAt: 'adentro {{level}}',
    pit: 'Pozo de acceso',
    concrete: 'Hormigón',
    pack: 'Retacado seco',
    table: 'Bataches por pasada',
    each: 'cada batache',
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
  pours: {
    title: 'Hormigonados',
    kind: {
      footings: 'Zapatas corridas',
      pads: 'Zapatas aisladas',
      underpinning: 'Recalce',
      boxes: 'Cajones',
      slabs: 'Losas',
    },
    name: 'Hormigonado {{n}}',
    own: 'Con los de su clase',
    move: 'Hormigonar {{name}} con',
    new: 'un hormigonado propio',
    order: 'pedir {{order}}',
    none: 'Aún no hay nada que hormigonar.',
  },
};
