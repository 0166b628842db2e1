/** Palabras de los libros, en llano. */
import type { explain as english } from '../en/explain.ts';
import type { Words } from '../words.ts';

export const explain: Words<typeof english> = {
  explain: {
    wellpoints: {
      ask: '¿Qué son los pozos filtrantes?',
      text: 'Tubos finos hincados en fila, de los que chupa una sola bomba. Bajan el agua antes de excavar; sirven en arena, no en arcilla.',
    },
    cbr: {
      ask: '¿Qué es el CBR?',
      text: 'Cuánto resiste el suelo, en partes de cien de piedra triturada. Lo dice un cono a golpes: cuantos menos mm por golpe, más duro.',
    },
    nFactor: {
      ask: '¿Qué es el factor de superficie?',
      text: 'Cuánto del frío del aire entra en el suelo. El pasto o la nieve dejan fuera la mitad; una superficie limpia lo deja entrar casi todo.',
    },
    heaveGroup: {
      ask: '¿Qué dicen F1 a F4?',
      text: 'Cuánto levanta un suelo al helarse. F1 casi nada, F4 lo que más: limos mojados que suben agua al hielo.',
    },
    deviation: {
      ask: '¿Qué quiere decir eso?',
      text: 'Dos veces de tres la cifra verdadera cae a menos de esto de la dada; diecinueve de veinte, a menos del doble. Los libros lo llaman desviación típica.',
    },
    gumbel: {
      ask: '¿Cómo se sacan las tormentas?',
      text: 'La peor tormenta de cada año sobre una línea: cuanto más rara, más honda. Los libros la llaman de Gumbel.',
    },
    influence: {
      ask: '¿Qué línea es esa?',
      text: 'La carga de una zapata baja y se abre con una pendiente. Si se excava bajo esa línea, la zapata pierde lo que la sostiene.',
    },
  },
};
