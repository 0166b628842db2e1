/** Headline figures, how they were worked out, where they came from. */
import type { tally as english } from '../en/tally.ts';
import type { Words } from '../words.ts';

export const tally: Words<typeof english> = {
  tally: {
    title: 'Cómputo',
    said: {
      up: '{{name}} {{text}}, {{by}} más',
      down: '{{name}} {{text}}, {{by}} menos',
      now: '{{name}} {{text}}',
    },
    open: 'Abre cómo se calculó.',
    stopped: 'calculado de otro modo da otra cosa: no se dice',
    nothing: 'No hay nada de esto en el plan.',
    order_one: 'pedir {{order}}, {{count}} viaje',
    order_other: 'pedir {{order}}, {{count}} viajes',
    dig: { brief: 'Excavar', name: 'Excavar, en banco', sub: 'neto {{neat}} · sobre {{over}}' },
    spoil: {
      brief: 'Suelta',
      name: 'Tierra suelta',
      sub: 'cordón {{base}} × {{height}} de alto',
      heaps_one: 'guardado en {{count}} montón',
      heaps_other: 'guardado en {{count}} montones',
    },
    keep: {
      brief: 'Guardar',
      name: 'Guardar para relleno',
      sub: '+ tierra vegetal {{volume}}',
      short: 'faltan {{volume}}: traer',
    },
    haul: {
      brief: 'Sacar',
      name: 'Sacar de la obra',
      sub: '{{volume}} sueltos',
      unit_one: 'viaje',
      unit_other: 'viajes',
    },
    stone: {
      brief: 'Piedra',
      name: 'Piedra',
      sub: '{{n}} × {{lift}}, {{passes}} pasadas',
      several_one: '{{count}} capa',
      several_other: '{{count}} capas',
      laid: 'tendida, sin capas',
      none: 'sin piedra',
    },
    lean: { brief: 'Hormigón pobre', name: 'Hormigón pobre', none: 'nada bajo las zapatas' },
    concrete: { brief: 'Hormigón', name: 'Hormigón, zapatas' },
    water: {
      brief: 'Bombear',
      name: 'Bombear',
      sub: '{{low}} a {{high}}',
      trickle: 'un hilo: achicar a mano',
      dry: 'bajo lo excavado, según el nivel dado',
      unknown: 'agua sin conocer: mire, abra una calicata',
    },
  },
  origin: {
    measured: 'medido',
    typed: 'dado',
    typical: 'típico',
    assumed: 'supuesto',
    computed: 'calculado',
  },
};
