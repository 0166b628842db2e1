/** Water in the dig. */
import type { water as english } from '../en/water.ts';
import type { Words } from '../words.ts';

export const water: Words<typeof english> = {
  water: {
    title: 'Agua por sacar',
    aside: 'primera estimación',
    none: 'Agua sin conocer: nadie dio un nivel. Mire el hoyo más cercano, o abra una calicata y espere.',
    below: 'Todos los fondos quedan sobre el nivel de agua dado.',
    pit: 'como un pozo',
    trench: 'como zanja',
    likely: 'Entrada probable',
    range: 'De baja a alta',
    hold: 'Abatir a',
    size: 'Boca',
    note: 'Solo flujo parejo del terreno. La permeabilidad manda: un ensayo en el pozo la afina. La lluvia no está incluida.',
    fromLogs: 'El agua se toma de las calicatas.',
  },
};
