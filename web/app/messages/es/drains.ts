/** Drenes: palabras de los campos que llegan con uno. */
export const drains = {
  drain: {
    outfall: 'Salida',
    has: 'Tiene salida, que decide su nivel',
    outlet: 'Nivel en la salida',
    head: 'Nivel en su inicio',
    headHint: 'vacío: por la caída',
    where: 'Suelta',
    outlets: { daylight: 'al aire libre', ditch: 'en una zanja', sump: 'en un pozo de bombeo' },
    fallIs: 'Cae',
    pipe: 'Caño, por fuera',
    hasPipe: 'Un caño en la piedra',
    bedding: 'Piedra bajo el caño',
    wrapped: 'Geotextil alrededor',
    stone: 'Piedra, menos el caño',
    cloth: 'Geotextil',
    silt: 'Barro en el fondo',
    siltHint: 'se saca antes de la piedra',
    scrape: 'Barro a sacar primero',
    scrapeHours: '{{hours}} de una persona',
  },
};
