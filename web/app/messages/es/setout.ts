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
    runsHint: 'p. ej. {{example}}',
    startEast: 'Inicio, este',
    startNorth: 'Inicio, norte',
    add: 'Agregar',
    addPad: 'Agregar una zapata',
    size: 'Medidas, largo x ancho',
  },
  boards: {
    offset: 'Caballetes más allá del borde',
    tension: 'Tiro del hilo',
    weight: 'Peso del hilo',
    tolerance: 'Una medida puede fallar en',
    temperature: 'Cinta de acero a',
  },
};
