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
    risingOpen: 'Its top is told by this, and nobody has said it yet.',
    risingNoFlood:
      '{{name}}: its top is told by a flood, and no stream has a flood level. Give one on Ground.',
    risingNoFloor: '{{name}}: its top is told by a floor, and there is none. Add one on Levels.',
    risingLow: '{{name}}: the wall would end at {{value}}, under its footing’s top at {{min}}.',
    riseThin: 'A rise of {{value}} is thinner than the largest stone in the mix ({{min}}).',
    steelHowMany: '{{name}}: say how many bars, or how far apart.',
    steelNoLap: '{{name}}: bars of {{value}} come out of stock of {{max}}: give the lap the engineer drew.',
    steelNoSheet: '{{name}}: say how wide a sheet is and what it weighs.',
    steelNoLength: '{{name}}: say how long a starter bar is.',
    steelCover: '{{name}}: cover on both sides ({{value}}) leaves nothing of what is {{max}} wide.',
    stripThick:
      '{{name}}: {{value}} is thicker than the topsoil there, {{max}}. Strip less, or reduce to a level.',
    stripOpen: '{{name}}: say how far down it goes.',
    fillNoDays: 'Say how many days it dries.',
    fillHigh: '{{name}}: {{value}} is more than it is deep, {{max}}.',
    fillHeld: 'It is not let yet. Say who has it filled all the same, and why.',
    noWorkday: 'No day of the week is worked: tick one.',
    pinPast: '{{name}} is not before {{value}}, and today is {{today}}. Take a later day.',
    weatherGap: 'The weather has no {{value}}: put that day in, or take it from one day on.',
    bayNoName: 'Say who looked.',
    openShort:
      'A face stays fresh {{value}}, and one load takes {{min}}: type a longer time, a smaller truck or a quicker rate.',
    stockShort:
      'Boards of {{value}} do not reach from one stake to the next, {{min}}: a longer stock, or stakes closer.',
    coldOverWarmDay: 'On {{day}} the low is over the high.',
    taskCircle: 'These wait for one another: {{names}}. Take one of them out.',
    openingSmall: '{{name}}: an opening of {{value}} does not let {{min}} through. Make it wider.',
  },
};
