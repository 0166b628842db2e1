/** Lo que está mal en un archivo traído, una nota o una hoja: palabras de ventanas que llegan al abrirlas. */
import type { fileProblems as english } from '../en/fileProblems.ts';
import type { Words } from '../words.ts';

export const fileProblems: Words<typeof english> = {
  problem: {
    visitNoWork: 'Rechazado: diga qué hay que hacer.',
    noFile: 'Elija primero un archivo.',
    duplicateSpot: 'Los puntos {{other}} y {{at}} están en el mismo sitio.',
    collinear: 'Los puntos están en una línea: no dan una superficie.',
    breaklinesCross: 'La línea de quiebre {{line}} cruza a otra.',
    breaklineSpot: 'La línea de quiebre {{line}} pasa por un punto que no existe.',
    shapeFalls: 'Las partes del invierno no deben bajar.',
    unknownZone: 'No existe el huso horario «{{value}}». Escríbalo como Europe/Madrid o America/Lima.',
    noSuchDay: 'No existe ese día: {{value}}.',
    gradingFalls:
      'Granulometría: los tamices crecen y por uno fino no pasa más que por uno grueso. Una fila no cumple.',
    gradingLong: '{{value}} tamices; se leen {{max}} como mucho.',
    gradingShort: 'Una granulometría tiene tres tamices como mínimo.',
    gradingWild: 'Línea {{line}}: los tamaños van de 0.0001 a 300 mm, lo que pasa de 0 a 100 %.',
    noSuchHour: 'Línea {{line}}: aquí no existe la hora {{value}}; el reloj se adelanta sobre ella.',
    notANumber: '«{{value}}», en la línea {{line}}, columna {{column}}, no es un número.',
    kindUnknown: 'Línea {{line}}: «{{value}}» no es un tipo de suelo conocido.',
    noSurface: 'El archivo no tiene una superficie triangulada con puntos.',
    spotFar: 'El punto {{at}} está demasiado lejos del resto, o su cota no puede ser.',
    spotsDiffer: 'Los puntos {{other}} y {{at}} están en el mismo sitio con cotas distintas.',
    noWinter: 'El registro no tiene ningún invierno entero.',
    spotOff:
      'Punto {{at}}: {{value}} está lejos de las demás cotas: entre {{min}} y {{max}}. ¿Falta una cifra?',
    curveRises: 'La curva de «{{name}}» sube a {{value}}: con más caudal una bomba eleva menos.',
    startUnderStop:
      '«{{name}}» arranca a {{value}} y para a {{min}}: debe arrancar más arriba de donde para.',
    stopUnderSump:
      '«{{name}}» para a {{value}}, bajo el piso de su pozo a {{min}}. Ahonde el pozo, o que pare más arriba.',
    revisionsFull:
      'Esta obra tiene tantas revisiones como puede tener. Sáquela como archivo y tráigala como obra nueva.',
    obstructionLarger: '«{{name}}»: {{value}} es más de lo que allí se excava, {{max}}.',
    archiveBroken: 'El archivo está roto en la línea {{line}}. No se trajo nada.',
    archiveBusy: 'Ya se está trayendo un archivo de su cuadrilla. Espere a que termine.',
    archiveCut: 'El archivo está cortado: la línea {{line}} es la última. No se trajo nada.',
    archiveLarge:
      'El archivo se despliega a más de {{limit}}: se leyó hasta la línea {{line}}. Traiga menos obras a la vez.',
    archiveSlow: 'Leer el archivo tomó más de {{limit}} y se dejó; no se trajo nada.',
    cellBlank: 'En la línea {{line}} falta el nombre de la calicata o el suelo.',
    columnMissing: 'Faltan columnas: {{column}}.',
    columnsUnknown: 'Las columnas no están claras: fecha y media, o año, mes y media.',
    dxfBlocks: 'Solo tiene bloques ({{value}}). Descompóngalos en líneas y guarde otra vez.',
    dxfBroken: 'El dibujo está roto: no se puede leer.',
    dxfCut: 'El dibujo está cortado: le falta el final.',
    dxfEmpty: 'En el dibujo no hay líneas.',
    dxfMany: '{{value}} cosas son más de las que se leen ({{max}}). Guarde solo las capas necesarias.',
    dxfNone: 'Esto no es un dibujo DXF.',
    dxfOpen: 'Ninguna línea se cierra: solo las cerradas sirven para eso.',
    dxfShapes: '{{value}} formas son más de las que caben ({{max}}). Tome menos capas.',
    fileBinary: 'Esto no es un archivo de texto.',
    fileBroken: 'El archivo está roto o cortado en la línea {{line}}.',
    fileDeep: 'El archivo está anidado más que cualquier levantamiento: se rechaza.',
    fileEmpty: 'El archivo no tiene cifras.',
    fileHostile: 'El archivo declara un tipo de documento. Se rechaza: así se puede ocultar lo que hace.',
    fileLong: 'El archivo es demasiado largo ({{value}} caracteres, {{max}} como mucho).',
    fileWide: 'Un elemento del archivo tiene más atributos que cualquier levantamiento: se rechaza.',
    hourlyEmpty: 'La lluvia por horas todavía no tiene horas. Anote una, o elija otro reparto.',
    labOneSided:
      'Los puntos del ensayo de laboratorio quedan de un lado de la cima: ensaye más húmedo o más seco.',
    labOverAir:
      'La cima del ensayo de laboratorio pasa la línea sin aire: ningún suelo es tan denso. Pese de nuevo, o dé el peso de sus granos.',
    labTogether: 'Dos puntos del ensayo de laboratorio tienen la misma humedad.',
    labTooFew: 'Un ensayo de laboratorio necesita cuatro puntos al menos.',
    notADate: 'La línea {{line}} no tiene fecha legible: use 2011-12-31, o año y mes.',
    notAPlan: 'Este no es un archivo de plan de Cimiento.',
    notAnArchive: 'No es un archivo de todas las obras como lo guarda Cimiento.',
    notJson: 'Este archivo no es JSON, o está cortado.',
    notLandXml: 'Esto no es LandXML.',
    pointBroken: 'No se puede leer el punto {{at}} del archivo.',
    rowShort: 'La línea {{line}} tiene {{found}} columnas; hacen falta {{wanted}}. ¿Está cortado el archivo?',
    rowsMany: 'Demasiadas filas: {{max}} como mucho.',
    temperatureWild: '{{value}} en {{date}} no es la temperatura media de ningún sitio.',
    rainGap: 'Línea {{line}}: antes de {{value}} falta una hora. Escriba 0 si no llovió.',
    rainLong: 'Línea {{line}}: se leen {{max}} horas como mucho.',
    rainWild: 'Línea {{line}}: {{value}} de lluvia de una vez; es posible de {{min}} a {{max}}.',
    coneBack: 'Golpes y profundidad del cono solo pueden crecer: una lectura retrocede.',
    rechargeBack:
      'En un ensayo de recuperación el tiempo avanza, el nivel sube y nunca pasa del agua de afuera: una lectura no.',
    holeEmpty: 'Un cono cuyo frasco pesa {{value}} después no deja hoyo: pese de nuevo.',
    paperUnread:
      'La hoja se hizo dos veces y no se lee como se calculó, así que no se entrega. Use la pantalla; avise a quien lleva el programa.',
    readTooLong:
      'Leerlo tomó más de {{limit}} y se dejó. ¿Es el archivo correcto? Guarde solo lo necesario y pruebe de nuevo.',
    unitUnknown: 'La unidad de longitud del archivo no se conoce.',
    timeBack: 'Línea {{line}}: {{value}} no es posterior a la línea anterior.',
    headMissing: 'La primera línea debe nombrar las columnas: {{head}}.',
  },
};
