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
    openingSmall: '{{name}}: por un hueco de {{value}} no pasan {{min}}. Hágalo más ancho.',
  },
};
