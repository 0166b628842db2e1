/** Signing in, the day board, and what went wrong. */
import type { board as english } from '../en/board.ts';
import type { Words } from '../words.ts';

export const board: Words<typeof english> = {
  close: 'Cerrar',
  oops: {
    again: 'Probar otra vez',
    jobs: 'Al tablero de obras',
    databaseDown: {
      title: 'El archivo de obras no responde',
      text: 'La base de datos no contesta por ahora. No se pierde nada: lo escrito queda en este navegador. Pruebe en un momento.',
    },
    forbidden: { title: 'Desde aquí no', text: 'El pedido vino de otro sitio; no se hizo nada.' },
    leadOnly: { title: 'No le toca', text: 'En esta cuadrilla eso solo lo hace un encargado: pídaselo.' },
    notFound: { title: 'No hay tal obra', text: 'Aquí no hay nada, o es de otra cuadrilla.' },
    badRequest: { title: 'Eso no se entendió', text: 'El pedido no se entendió; no se hizo nada.' },
    signedOut: { title: 'Sesión cerrada', text: 'Su sesión terminó. Entre de nuevo para seguir.' },
    unknown: { title: 'Algo se rompió', text: 'El error es nuestro. Sus obras guardadas están intactas.' },
  },
  prefs: {
    lang: 'Idioma',
    system: 'Unidades',
    theme: 'Luz',
    asDrawn: 'del plano',
    metric: 'm · mm',
    imperial: 'pies · pulg',
    light: 'día',
    night: 'noche',
    sun: 'sol',
  },
  outbox: {
    title: 'Espera ser enviado',
    send: 'Enviar ahora',
    records_one: '{{count}} anotación',
    records_other: '{{count}} anotaciones',
    refused_one: '{{count}} anotación no aceptada: su registro dice por qué',
    refused_other: '{{count}} anotaciones no aceptadas: su registro dice por qué',
    edit: 'un cambio del plan',
    conflict: 'otra persona guardó mientras tanto: ábrala para elegir',
    open: 'sin guardar: ábrala para ver por qué',
    gone: 'la obra ya no está en su tablero',
    noJob: 'Una obra que no está en este tablero',
    signedOut: 'Su sesión está cerrada, o hay otra persona en sesión: le esperan a usted.',
    others_one: '{{count}} anotación de otra persona que usa este navegador espera a que entre.',
    others_other: '{{count}} anotaciones de otra persona que usa este navegador esperan a que entre.',
  },
  skip: {
    title: 'Ir directo a',
    numbers: 'Los números',
    stages: 'Las etapas',
    drawings: 'Los dibujos',
    jobs: 'Las obras',
    newJob: 'Una obra nueva',
  },
  jobs: {
    noPlace: 'sin lugar',
    revision: 'rev {{n}}',
    name: 'Nombre de la obra',
    place: 'Lugar',
  },
};
