/** What is wrong with what is typed of a day or a crossing: fetched with the parts that ask for it. */
export const lateProblems = {
  problem: {
    wholeNumber: '{{value}} is no whole number: count them.',
    leftOver: '{{value}} left over is more than came.',
    heapFoot:
      'A heap that high and that steep stands on {{min}} at least, not on {{value}}: measure its foot or its height again.',
    coldOverWarm: 'The coldest is warmer than the warmest.',
    futureDay: '{{value}} has not come yet: what happened is logged.',
    photoLarge: 'A photo of {{value}} kB; at most {{max}} kB are kept.',
    notAPhoto: 'This is not a photo. Take one, or choose a picture file.',
    openingSmall: '{{name}}: an opening of {{value}} does not let {{min}} through. Make it wider.',
  },
};
