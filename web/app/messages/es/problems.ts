/** What the core refuses, at the field. */
import type { problems as english } from '../en/problems.ts';
import type { Words } from '../words.ts';

export const problems: Words<typeof english> = {
  problem: {
    shape: 'Esta parte del plan no está como debe ({{path}}).',
    type: 'Valor de otra clase en {{path}}.',
    missing: 'Falta algo: {{path}}.',
    unknownField: 'Campo desconocido: {{path}}.',
    range: '{{value}} está fuera de rango: entre {{min}} y {{max}}.',
    choice: '«{{value}}» no es una de las opciones en {{path}}.',
    id: '«{{value}}» no sirve como id.',
    clock: '«{{value}}» no es una hora como 07:30.',
    blank: 'Hace falta un nombre.',
    tooLong: 'Demasiado largo.',
    tooFew: 'Muy pocas entradas en {{path}}.',
    tooMany: 'Demasiadas entradas en {{path}}.',
    notFinite: '{{value}} no es un número que se pueda excavar.',
    visitNoWork: 'Rechazado: diga qué hay que hacer.',
    version: 'La versión del plan no es conocida.',
    versionTooNew:
      'Este plan es de una versión más nueva ({{value}}) que la que este programa lee ({{max}}).',
    noFile: 'Elija primero un archivo.',
    duplicateId: 'El id «{{value}}» está dos veces.',
    soilsStart: 'El primer suelo debe empezar en el terreno, no a {{value}}: hay un hueco.',
    soilsOrder: 'Este suelo empieza a {{value}}, no por debajo del de arriba ({{min}}).',
    baseAboveSoils: 'El terreno debe conocerse más abajo que el último suelo, {{min}}.',
    unknownSoil: 'No hay suelo «{{value}}».',
    text: 'El texto tiene caracteres que no se pueden guardar (medio emoji o un carácter de control). Escríbalo de nuevo.',
    farFromJob: '{{value}} está lejos del resto de la obra: entre {{min}} y {{max}}. ¿Sobra una cifra?',
    spotOff:
      'Punto {{at}}: {{value}} está lejos de las demás cotas: entre {{min}} y {{max}}. ¿Falta una cifra?',
    tooDeep:
      '{{name}}: su fondo en {{value}} es más de lo que aquí se puede cavar; {{min}} como máximo. ¿Hay una cota de otra referencia?',
    tooManyRuns: 'El plano tiene {{value}} tramos rectos; se calculan {{max}} como máximo. Divida la obra.',
    trenchesTooLong: 'El plano tiene {{value}} de zanja; se calculan {{max}} como máximo. Divida la obra.',
    slabsTooWide:
      'El plano tiene {{value}} de losas y cajones; se calculan {{max}} como máximo. Divida la obra.',
    revisionsFull:
      'Esta obra tiene tantas revisiones como puede tener. Sáquela como archivo y tráigala como obra nueva.',
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
    duplicateSpot: 'Los puntos {{other}} y {{at}} están en el mismo sitio.',
    collinear: 'Los puntos están en una línea: no dan una superficie.',
    breaklinesCross: 'La línea de quiebre {{line}} cruza a otra.',
    breaklineSpot: 'La línea de quiebre {{line}} pasa por un punto que no existe.',
    climateOpen: 'Escriba un índice de helada o importe temperaturas.',
    shapeFalls: 'Las partes del invierno no deben bajar.',
    unknownString: 'No hay hilo «{{value}}». Elija uno de los de la obra.',
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
    unknownZone: 'No existe el huso horario «{{value}}». Escríbalo como Europe/Madrid o America/Lima.',
    noSuchDay: 'No existe ese día: {{value}}.',
    startUnderStop:
      '«{{name}}» arranca a {{value}} y para a {{min}}: debe arrancar más arriba de donde para.',
    stopUnderSump:
      '«{{name}}» para a {{value}}, bajo el piso de su pozo a {{min}}. Ahonde el pozo, o que pare más arriba.',
    gradingFalls:
      'Granulometría: los tamices crecen y por uno fino no pasa más que por uno grueso. Una fila no cumple.',
    gradingLong: '{{value}} tamices; se leen {{max}} como mucho.',
    gradingShort: 'Una granulometría tiene tres tamices como mínimo.',
    gradingWild: 'Línea {{line}}: los tamaños van de 0.0001 a 300 mm, lo que pasa de 0 a 100 %.',
    noSuchHour: 'Línea {{line}}: aquí no existe la hora {{value}}; el reloj se adelanta sobre ella.',
    curveRises: 'La curva de «{{name}}» sube a {{value}}: con más caudal una bomba eleva menos.',
    obstructionLarger: '«{{name}}»: {{value}} es más de lo que allí se excava, {{max}}.',
    groupFloors:
      '«{{name}}» se excava con el grupo «{{group}}», que lleva otro piso. Déle un grupo propio o el mismo piso.',
    stringUnderGround: 'El hilo «{{name}}», {{value}}, queda bajo el terreno, {{min}}. Súbalo.',
    unknownBed: 'No hay cama «{{value}}». Elija una de la obra, o ninguna.',
    layerUnderStone:
      '«{{name}}»: una capa de {{value}} es más delgada que su piedra mayor, {{min}}. Hágala más gruesa o use piedra más fina.',
    unknownFloor: 'No hay piso «{{value}}».',
    circular: '{{name}} se mide desde sí mismo, a través de otros: dé a un piso cota propia.',
    coursesLast: 'Las hiladas ({{name}}) van sobre la zapata: nada puede ir debajo.',
    unknownElement: 'La orden es para «{{value}}», que no existe.',
    logFar: '{{name}} está lejos de todo lo que se excava: ¿es ese su sitio?',
    stackOpen: '{{name}}: el piso no cierra; sus capas entran {{value}} en la zapata.',
    notANumber: '«{{value}}», en la línea {{line}}, columna {{column}}, no es un número.',
    kindUnknown: 'Línea {{line}}: «{{value}}» no es un tipo de suelo conocido.',
    noSurface: 'El archivo no tiene una superficie triangulada con puntos.',
    spotFar: 'El punto {{at}} está demasiado lejos del resto, o su cota no puede ser.',
    spotsDiffer: 'Los puntos {{other}} y {{at}} están en el mismo sitio con cotas distintas.',
    noWinter: 'El registro no tiene ningún invierno entero.',
    outlineCrosses: 'El contorno se cruza: lado {{one}} y lado {{other}}.',
    outlineFlat: 'El contorno no encierra nada.',
    keyWider: 'El tacón es más ancho que su zapata ({{max}}).',
    wallFills: 'Muros de {{value}} no dejan hueco dentro.',
    boxLow: 'Solera y techo juntos ({{min}}) son tan altos como el cajón.',
    unknownMachine: 'Ninguna máquina de la lista se llama así.',
    reachDoubled: '{{name}}: dos alcances a un mismo fondo.',
    sameCorner: 'Una distancia de {{name}} a sí misma.',
  },
};
