/** Pocas palabras que toda página con cifras necesita, también la de la zanja. */
import type { small as english } from '../en/small.ts';
import type { Words } from '../words.ts';

export const small: Words<typeof english> = {
  sides: {
    bays: 'por bataches',
    shore: 'entibada',
    bench: 'en bancos',
    vertical: 'a plomo',
  },
  built: {
    footing: 'zapata',
    slab: 'losa',
    base: 'losa de fondo',
    stone: 'piedra',
  },
  bedMaterial: {
    crushed: 'Piedra triturada',
    clear: 'Piedra limpia',
    pitGravel: 'Grava de cantera',
    sand: 'Arena',
    fine: 'Piedra fina',
    hardcore: 'Cascote',
    soilCement: 'Suelo con cemento',
    lean: 'Hormigón pobre',
    own: 'Otro',
  },
  field: {
    empty: 'Aquí hace falta un número.',
    tooLong: 'Eso es muy largo para un número.',
    notANumber: '«{{text}}» no es un número.',
    unknownUnit: 'La unidad de «{{text}}» no sirve aquí.',
    whichTon: '«{{text}}»: ¿qué tonelada? Escriba t para 1000 kg, tn para la corta (907 kg).',
    notFinite: 'Ese número es tan grande que no dice nada.',
    range: 'Entre {{min}} y {{max}}.',
  },
};
