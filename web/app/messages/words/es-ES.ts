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
  { from: 'piedra triturada', to: 'grava machacada' },
  { from: 'vibroapisonador', to: 'pisón compactador' },
  { from: 'codales o escudo', to: 'codales o cajón de entibación' },
];
