/** Filling back. */
import type { backfill as english } from '../en/backfill.ts';
import type { Words } from '../words.ts';

export const backfill: Words<typeof english> = {
  backfill: {
    void: 'Hueco por rellenar',
    short: 'Por traer',
    spoil: 'Tierra por suelo',
    soil: 'Suelo',
    bank: 'banco',
    loose: 'suelta',
    kept: 'queda',
    hauled: 'sale',
    topsoil: 'Tierra vegetal',
    topsoil_keep: 'guardar aparte',
    topsoil_haul: 'sacar',
    keep: 'Guardar lo apto para relleno',
  },
};
