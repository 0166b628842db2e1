/** Water in the dig. */
export const water = {
  water: {
    title: 'Water to hold',
    aside: 'first estimate',
    none: 'Water not known: nobody has given a level. Look in the nearest hole, or dig a pit and wait.',
    below: 'Every bottom is above the water level given.',
    pit: 'as one pit',
    trench: 'as a trench',
    likely: 'Inflow, likely',
    range: 'Low to high',
    hold: 'Draw down to',
    size: 'Opening',
    note: 'Steady flow from the ground only. The soil’s permeability rules the answer: a pit test narrows it. Rain is not in it.',
    fromLogs: 'Standing water is taken from the logs.',
  },
};
