/** Kinds of element: by name, counted, and as the head of a panel. */
import type { kinds as english } from '../en/kinds.ts';
import type { Words } from '../words.ts';

export const kinds: Words<typeof english> = {
  kinds: {
    title: {
      strip: 'Zanja {{name}}',
      pad: 'Zapata {{name}}',
      raft: 'Losa {{name}}',
      box: 'Cajón {{name}}',
      underpin: 'Recalce {{name}}',
      ramp: 'Rampa {{name}}',
    },
    count: {
      strip_one: '{{count}} zanja',
      strip_other: '{{count}} zanjas',
      pad_one: '{{count}} zapata',
      pad_other: '{{count}} zapatas',
      raft_one: '{{count}} losa',
      raft_other: '{{count}} losas',
      underpin_one: '{{count}} recalce',
      underpin_other: '{{count}} recalces',
      box_one: '{{count}} cajón',
      box_other: '{{count}} cajones',
      ramp_one: '{{count}} rampa',
      ramp_other: '{{count}} rampas',
    },
  },
  compactor: {
    plateLight: 'plancha {{mass}}',
    plateMedium: 'plancha {{mass}}',
    plateReversible: 'plancha reversible {{mass}}',
    plateHeavy: 'plancha reversible {{mass}}',
    rammer: 'vibroapisonador {{mass}}',
    trenchRoller: 'rodillo de zanja {{mass}}',
    handTamper: 'pisón de mano',
  },
};
