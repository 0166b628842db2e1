/** The stone bed. */
import type { base as english } from '../en/base.ts';
import type { Words } from '../words.ts';

export const base: Words<typeof english> = {
  base: {
    title: 'Cama de piedra',
    has: 'Hay cama de piedra',
    none: 'Sin cama: la zapata apoya en terreno perfilado u hormigón de limpieza.',
    stone: 'Piedra partida',
    name: 'Piedra',
    thickness: 'Espesor de cama',
    topSize: 'Piedra más grande',
    density: 'Densidad compactada',
    looseFactor: 'Suelta / compactada',
    compactor: 'Compactador',
    maxLift: 'Capa máxima permitida',
    maxLiftHint: 'por el pliego',
    lifts: 'Capas',
    spread: 'Extender suelta a',
    passes: 'Pasadas, baja – típica – alta',
    trial: 'una prueba lo decide',
    volume: 'Piedra compactada',
    mass: 'Piedra en peso',
  },
  compactor: {
    plateLight: 'plancha {{low}}–{{high}} kg',
    plateMedium: 'plancha {{low}}–{{high}} kg',
    plateReversible: 'plancha reversible {{low}}–{{high}} kg',
    plateHeavy: 'plancha reversible {{low}}–{{high}} kg',
    rammer: 'vibroapisonador {{low}}–{{high}} kg',
    trenchRoller: 'rodillo de zanja {{low}}–{{high}} kg',
    handTamper: 'pisón de mano',
  },
};
