/** Palabras de las cuadrillas de los Andes: Colombia, Ecuador, Perú, Bolivia, Chile. */
import type { Rule } from './rules.ts';

export const rules: readonly Rule[] = [
  { from: 'capa de hormigón pobre', to: 'solado' },
  { from: 'hormigón pobre', to: 'solado' },
  { from: 'del pobre', to: 'del solado' },
  { from: 'tierra o pobre', to: 'tierra o solado' },
  { from: 'después pobre', to: 'después solado' },
  { from: 'pobre', to: 'solado', keys: /^working\.way/ },
  { from: 'hormigonado', to: 'vaciado' },
  { from: 'hormigonar', to: 'vaciar' },
  { from: 'piedra triturada', to: 'piedra chancada' },
  { from: 'vibroapisonador', to: 'canguro' },
  { from: 'costes', to: 'costos' },
  { from: 'de la parcela', to: 'del lote' },
  { from: 'la parcela', to: 'el lote' },
  { from: 'parcela', to: 'lote' },
  { from: 'hormigones', to: 'concretos' },
  { from: 'hormigón', to: 'concreto' },
  { from: 'un recalce', to: 'una calzadura' },
  { from: 'del recalce', to: 'de la calzadura' },
  { from: 'el recalce', to: 'la calzadura' },
  { from: 'recalces', to: 'calzaduras' },
  { from: 'recalce', to: 'calzadura' },
  { from: 'caños', to: 'tubos' },
  { from: 'caño', to: 'tubo' },
];
