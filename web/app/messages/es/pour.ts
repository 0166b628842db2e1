/** Concrete. */
import type { pour as english } from '../en/pour.ts';
import type { Words } from '../words.ts';

export const pour: Words<typeof english> = {
  pour: {
    blinding: 'Hormigón pobre',
    inBeds: 'El hormigón pobre bajo las zapatas es una capa de su cama: vea Base.',
    irregularity: 'Fondo desparejo',
    irregularityHint: 'previsión',
    makeUp: 'Recuperar un fondo pasado con',
    with: { stone: 'piedra', lean: 'hormigón pobre', concrete: 'más zapata' },
    lean: 'Hormigón pobre',
    together: 'Colado junto',
    order: 'Pedido',
    waste: 'Desperdicio',
    step: 'Paso de planta',
    screed: 'Regla con que se enrasa',
    truck: 'Camión de hormigón',
    neat: 'Zapatas y recuperación',
    orderConcrete: 'Hormigón a pedir',
    orderLean: 'Hormigón pobre a pedir',
    loads_one: '{{count}} viaje',
    loads_other: '{{count}} viajes',
  },
};
