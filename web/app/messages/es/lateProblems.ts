/** Lo que está mal en lo que se escribe de un día o de un cruce: llega con las partes que lo piden. */
export const lateProblems = {
  problem: {
    wholeNumber: '{{value}} no es un número entero: cuéntelos.',
    leftOver: 'Sobran {{value}}: más de lo que llegó.',
    heapFoot:
      'Un acopio tan alto y tan empinado se apoya al menos en {{min}}, no en {{value}}: mida otra vez su pie o su altura.',
    coldOverWarm: 'Lo más frío es más cálido que lo más cálido.',
    futureDay: '{{value}} aún no llega: se anota lo que pasó.',
    photoLarge: 'Una foto de {{value}} kB; se guardan {{max}} kB como máximo.',
    notAPhoto: 'Esto no es una foto. Tome una, o elija un archivo de imagen.',
    risingOpen: 'De esto depende su coronación, y nadie lo ha dicho aún.',
    risingNoFlood:
      '{{name}}: su coronación depende de una crecida, y ningún arroyo la tiene. Póngala en Terreno.',
    risingNoFloor: '{{name}}: su coronación depende de un piso, y no hay ninguno. Agréguelo en Niveles.',
    risingLow: '{{name}}: el muro acabaría a {{value}}, por debajo de su zapata, a {{min}}.',
    riseThin: 'Una tongada de {{value}} es más delgada que la piedra mayor de la mezcla ({{min}}).',
    steelHowMany: '{{name}}: diga cuántas barras, o cada cuánto.',
    steelNoLap:
      '{{name}}: barras de {{value}} salen de piezas de {{max}}: ponga el empalme que dibujó el ingeniero.',
    steelNoSheet: '{{name}}: diga el ancho de la malla y lo que pesa.',
    steelNoLength: '{{name}}: diga cuánto mide la espera.',
    steelCover: '{{name}}: el recubrimiento de los dos lados ({{value}}) no deja nada de {{max}} de ancho.',
    stripThick:
      '{{name}}: {{value}} es más que la tierra vegetal de allí, {{max}}. Quite menos, o rebaje a una cota.',
    stripOpen: '{{name}}: diga hasta dónde baja.',
    fillNoDays: 'Diga cuántos días se seca.',
    fillHigh: '{{name}}: {{value}} es más de lo que tiene de hondo, {{max}}.',
    fillHeld: 'Aún no está liberado. Diga quién lo manda rellenar y por qué.',
    noWorkday: 'No se trabaja ningún día: marque uno.',
    pinPast: '{{name}} no es antes del {{value}}, y hoy es {{today}}. Tome un día posterior.',
    weatherGap: 'Falta el {{value}} en el tiempo: póngalo, o empiece después.',
    bayNoName: 'Diga quién miró.',
    openShort:
      'Un frente sigue fresco {{value}} y una carga tarda {{min}}: escriba más tiempo, un camión menor o un paso más rápido.',
    stockShort:
      'Tablas de {{value}} no llegan de una estaca a otra, {{min}}: un largo mayor o estacas más juntas.',
    coldOverWarmDay: 'El {{day}} la mínima pasa de la máxima.',
    taskCircle: 'Se esperan unas a otras: {{names}}. Quite una.',
    openingSmall: '{{name}}: por un hueco de {{value}} no pasan {{min}}. Hágalo más ancho.',
  },
};
