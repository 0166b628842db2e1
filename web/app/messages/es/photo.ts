/** Fotos: se toman en el hoyo, se miran en el escritorio, se imprimen con el registro. */
export const photo = {
  photo: {
    take: 'Tomar una foto',
    again: 'Otra',
    working: 'Reduciéndola…',
    none: 'Ninguna foto todavía.',
    older_one: '{{count}} foto anterior',
    older_other: '{{count}} fotos anteriores',
    text: 'Qué se ve',
    of: 'De qué',
    job: 'la obra',
    size: '{{size}} kB',
    tooLarge: 'Ese archivo es mayor que cualquier foto de un teléfono. Tome una, o elija otro.',
    title: 'Fotos',
    count_one: '{{count}} foto',
    count_other: '{{count}} fotos',
    rest: '{{count}} fotos anteriores no se imprimen.',
  },
};
