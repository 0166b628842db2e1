/** Shapes, boards, the check sheet, drawings in and out. */
import type { setout as english } from '../en/setout.ts';
import type { Words } from '../words.ts';

export const setout: Words<typeof english> = {
  setout: {
    list: 'Zanjas y zapatas',
    points: '{{name}}: esquinas',
    fromOrigin: 'desde el origen',
    east: '{{n}}: este',
    north: '{{n}}: norte',
    closed: 'Anillo cerrado',
    centre: '{{name}}: centro',
    eastOf: 'Este',
    northOf: 'Norte',
    angle: 'Girada',
    addStrip: 'Agregar una zanja',
    runs: 'Tramos por el eje',
    example: {
      metric: '8,4 E, 6 N, 8,4 O, cerrar · o 6 I, 4 D',
      imperial: '28 E, 20 N, 28 O, cerrar · o 20 I, 12 D',
    },
    runsHint: 'p. ej. {{example}}',
    startEast: 'Inicio, este',
    startNorth: 'Inicio, norte',
    add: 'Agregar',
    addPad: 'Agregar una zapata',
    size: 'Medidas, largo x ancho',
    sizeWrong: 'Escriba una o dos medidas, como 1000 x 800.',
  },
  boards: {
    offset: 'Caballetes más allá del borde',
    tension: 'Tiro del hilo',
    weight: 'Peso del hilo',
    tolerance: 'Una medida puede fallar en',
    temperature: 'Cinta de acero a',
  },
};
