/** Words of the books in plain ones. */
export const explain = {
  explain: {
    wellpoints: {
      ask: 'What are wellpoints?',
      text: 'Slim pipes jetted into the ground in a row and sucked at by one pump. They draw the water down before you dig; they work in sand, not in clay.',
    },
    cbr: {
      ask: 'What is CBR?',
      text: 'How hard the ground pushes back, in parts of a hundred of crushed stone. A cone knocked in tells it: the fewer mm a blow, the harder.',
    },
    nFactor: {
      ask: 'What is the surface factor?',
      text: 'How much of the air’s cold gets into the ground. Grass or snow keep half of it out, a bare or cleared surface lets nearly all in.',
    },
    heaveGroup: {
      ask: 'What do F1 to F4 say?',
      text: 'How much a soil lifts when it freezes. F1 hardly, F4 the most: wet silts that draw water up into ice.',
    },
    deviation: {
      ask: 'What is meant by that?',
      text: 'Two times in three the true figure lies within this of the one shown, nineteen in twenty within twice as much. Books call it a standard deviation.',
    },
    gumbel: {
      ask: 'How are storms drawn?',
      text: 'The worst storm of each year on a line: the rarer, the deeper. Books call the line Gumbel’s.',
    },
    influence: {
      ask: 'What line is that?',
      text: 'A footing’s load goes down and outward at a slope. Dig below that line and the footing loses what carries it.',
    },
  },
};
