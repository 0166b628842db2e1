/** Bombas por su nombre: se dicen donde se dice un cambio del plan. */
import type { pumps as english } from '../en/pumps.ts';
import type { Words } from '../words.ts';

export const pumps: Words<typeof english> = {
  night: {
    pumps: {
      electric50: 'eléctrica, manguera de {{hose}}, en el pozo',
      petrol50: 'a gasolina, {{hose}}',
      petrol80: 'a gasolina, {{hose}}',
      diesel100: 'diésel, {{hose}}',
      bucket: 'gente con cubetas',
    },
  },
};
