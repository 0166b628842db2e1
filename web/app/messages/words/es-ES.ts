/** Palabras de las cuadrillas de España. */
import type { Rule } from './rules.ts';

export const rules: readonly Rule[] = [
  { from: 'hormigón pobre', to: 'hormigón de limpieza' },
  { from: 'del pobre', to: 'del de limpieza' },
  { from: 'tierra o pobre', to: 'tierra u hormigón de limpieza' },
  { from: 'después pobre', to: 'después hormigón de limpieza' },
  { from: 'pobre', to: 'hormigón de limpieza', keys: /^working\.way/ },
  { from: 'cucharones', to: 'cazos' },
  { from: 'cucharón', to: 'cazo' },
  { from: 'caños', to: 'tubos' },
  { from: 'caño', to: 'tubo' },
  { from: 'acá', to: 'aquí' },
  { from: 'del lote', to: 'de la parcela' },
  { from: 'el lote', to: 'la parcela' },
  { from: 'lote', to: 'parcela' },
];
