/** Photos: taken in the hole, looked through on the desk, printed with the record. */
export const photo = {
  photo: {
    take: 'Take a photo',
    again: 'Another one',
    working: 'Making it small…',
    none: 'No photo yet.',
    older_one: '{{count}} older photo',
    older_other: '{{count}} older photos',
    text: 'What it shows',
    of: 'Of what',
    job: 'the job',
    size: '{{size}} kB',
    tooLarge: 'That file is larger than any photo of a phone. Take one, or choose another.',
    title: 'Photos',
    count_one: '{{count}} photo',
    count_other: '{{count}} photos',
    rest: '{{count}} older photos are not printed.',
  },
};
