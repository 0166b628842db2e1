/** Drains: words of the fields that come with one. */
export const drains = {
  drain: {
    outfall: 'Outfall',
    has: 'It has an outfall, which decides its level',
    outlet: 'Level at the outlet',
    head: 'Level at its head',
    headHint: 'empty: by the fall',
    where: 'It lets go',
    outlets: { daylight: 'at daylight', ditch: 'into a ditch', sump: 'into a sump' },
    fallIs: 'Its fall',
    pipe: 'Pipe, outside',
    hasPipe: 'A pipe in the stone',
    bedding: 'Stone under the pipe',
    wrapped: 'Cloth round the stone',
    stone: 'Stone, less the pipe',
    cloth: 'Cloth',
    silt: 'Silt on its bottom',
    siltHint: 'scraped off before stone',
    scrape: 'Silt to scrape first',
    scrapeHours: '{{hours}} of one person',
  },
};
