/** What the core refuses, at the field. */
import type { problems as english } from '../en/problems.ts';
import type { Words } from '../words.ts';

export const problems: Words<typeof english> = {
  problem: {
    range: '{{value}} está fuera de rango: entre {{min}} y {{max}}.',
    clock: '«{{value}}» no es una hora como 07:30.',
    blank: 'Hace falta un nombre.',
    tooLong: 'Demasiado largo.',
    tooFew: 'Muy pocas entradas en {{path}}.',
    tooMany: 'Demasiadas entradas en {{path}}.',
    notFinite: '{{value}} no es un número que se pueda excavar.',
    soilsStart: 'El primer suelo debe empezar en el terreno, no a {{value}}: hay un hueco.',
    soilsOrder: 'Este suelo empieza a {{value}}, no por debajo del de arriba ({{min}}).',
    baseAboveSoils: 'El terreno debe conocerse más abajo que el último suelo, {{min}}.',
    text: 'El texto tiene caracteres que no se pueden guardar (medio emoji o un carácter de control). Escríbalo de nuevo.',
    farFromJob: '{{value}} está lejos del resto de la obra: entre {{min}} y {{max}}. ¿Sobra una cifra?',
    tooDeep:
      '{{name}}: su fondo en {{value}} es más de lo que aquí se puede cavar; {{min}} como máximo. ¿Hay una cota de otra referencia?',
    tookTooLong: 'Calcularlo tomó más de {{limit}} y se dejó. Deshaga el último cambio, o divida la obra.',
    farFromGround: '{{value}} está muy lejos del terreno: entre {{min}} y {{max}}. ¿Será de otra referencia?',
    stemWider: 'El muro es más ancho que su zapata ({{max}}).',
    zeroLength: 'Una zanja de aquí no tiene largo.',
    noDepth:
      'Nada decide la profundidad todavía: dé una helada, un suelo de apoyo, un piso o una tapada mínima.',
    formationAboveGround:
      '{{name}}: el fondo a {{value}} queda sobre el terreno ({{max}}); ahí no se excava.',
    stringBelowFormation:
      'El hilo a {{value}} está bajo el fondo de excavación de {{name}} ({{min}}). ¿Niveles cambiados?',
    soilSequence: '{{name}}: este suelo está bajo otro que otras calicatas tienen debajo.',
    logBottom: '{{name}} debe acabar bajo el techo del último suelo, {{min}}.',
    logsTogether: '{{name}} está donde {{other}}.',
    climateOpen: 'Escriba un índice de helada o importe temperaturas.',
    underOld: 'La base nueva, {{value}}, debe quedar bajo la del muro viejo, {{max}}.',
    bayLonger: 'Un batache de {{value}} es más largo que el tramo, {{max}}. Acórtelo.',
    outfallAbove:
      'La salida, {{value}}, queda sobre el inicio del dren, {{max}}. El agua no sube: baje la salida o suba el dren.',
    pipeLarger:
      'Un caño de {{value}} no entra: quedan {{max}} en la piedra. Use uno menor, o más piedra alrededor.',
    slabNoFloor:
      'Una losa fundada por su piso necesita un piso. Agréguelo en Niveles, o fúndela por profundidad.',
    slabUnderFooting:
      '«{{name}}» baja a {{value}}, bajo la zapata «{{other}}» a {{min}}. Adelgace su cama o baje la zapata.',
    softSpotOutside:
      '«{{name}}» no queda bajo ningún fondo: no se saca nada. Llévelo bajo una zanja o una zapata, o quítelo.',
    groupFloors:
      '«{{name}}» se excava con el grupo «{{group}}», que lleva otro piso. Déle un grupo propio o el mismo piso.',
    stringUnderGround: 'El hilo «{{name}}», {{value}}, queda bajo el terreno, {{min}}. Súbalo.',
    layerUnderStone:
      '«{{name}}»: una capa de {{value}} es más delgada que su piedra mayor, {{min}}. Hágala más gruesa o use piedra más fina.',
    coursesLast: 'Las hiladas ({{name}}) van sobre la zapata: nada puede ir debajo.',
    logFar: '{{name}} está lejos de todo lo que se excava: ¿es ese su sitio?',
    stackOpen: '{{name}}: el piso no cierra; sus capas entran {{value}} en la zapata.',
    outlineCrosses: 'El contorno se cruza: lado {{one}} y lado {{other}}.',
    outlineFlat: 'El contorno no encierra nada.',
    keyWider: 'El tacón es más ancho que su zapata ({{max}}).',
    wallFills: 'Muros de {{value}} no dejan hueco dentro.',
    boxLow: 'Solera y techo juntos ({{min}}) son tan altos como el cajón.',
    reachDoubled: '{{name}}: dos alcances a un mismo fondo.',
    sameCorner: 'Una distancia de {{name}} a sí misma.',
  },
};
