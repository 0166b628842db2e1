/** What a caution says once it is opened: what to do, and by which rule. */
export const cautionSays = {
  cautionSays: {
    unsupported:
      'By the rules for sides: {{rules}}. Slope, bench or shore them. Nobody enters until the competent person on site has looked and said so.',
    pitsUnsupported:
      'By the rules for sides: {{rules}}. Nothing slopes under a wall: boards and struts follow the dig down, by their designer’s word. Choose shoring under Dig. Nobody enters until the competent person on site has looked and said so.',
    engineerDepth:
      'By the rules for sides: {{rules}}. Send the section to the engineer; record the word under Levels.',
    waterNear: 'Hold it {{hold}} under formation, or the bottom softens and water comes up as it is trimmed.',
    depthUnknown:
      'Nobody digs by this plan until a frost depth, a bearing soil, a floor, a cover or an engineer’s word says how deep.',
    ringUnknown:
      'Name who is called when something happens, and the number, under Dig. It is printed on the sheet.',
    frostUnknown:
      'Without it nobody can say whether the footings stand below frost. Ask the local code or give the climate; type 0 where the ground never freezes.',
    waterUnknown:
      'Nobody has given a level. Look in the nearest hole, or dig a pit and wait, before counting on a dry bottom.',
    soilAssumed: 'Dig a trial pit or feel the soil by hand: slopes, swell and water depend on it.',
    coverAssumed: 'Nobody has given the local code’s: ask for it and type it.',
    water:
      'Draw it down to level {{hold}}, {{under}} under the bottom, before the last cut is trimmed. Nobody works under a face that weeps.',
    aboveFrost:
      'Frost goes {{frost}} deep by {{by}}. Dig down to it, or record under Levels which engineer said otherwise, when and why.',
    waterClass: 'Sides that stood dry may not stand wet.',
    caveIn: 'Inspect every day, after rain and after a thaw, before anyone goes down.',
    ladder:
      'From {{depth}} down ({{rules}}). Tied, and {{above}} over the edge. The lead looks each morning.',
    gas: 'Nobody in under {{oxygen}} oxygen or over {{vapour}} of the explosive limit. Who tests has been trained. By tanks, fuel, fill, marsh or a drain: before each entry, with air blown in and somebody up top.',
    doubled:
      'It lies wholly within another dig: drawn twice, or meant to be deeper? Its soil is counted once.',
    rescue: 'Nobody works in the dig alone, and nobody jumps in after a collapse. Know who to call.',
    edge: 'At least {{setback}} from the edge, further when the pile is tall or the side stands steep.',
    services:
      'Call the locate service before you dig; no machine until its marks are on the ground. Dig by hand to prove them.',
    thaw: 'What stands frozen in the morning can fall at noon. The competent person looks again as it thaws.',
    softening: 'Leave the last {{trim}} until just before it is covered. Keep boots and rain off it.',
    instruction: 'It overrides the rules. Keep it with the job.',
    stoneSize: 'A lift should be at least four times the largest stone.',
    slabFrost:
      'It reaches {{reach}} under the top of the slab. The bed must be {{bed}}, {{short}} more than it is, or a board must keep the frost out: see Base.',
    slabEngineer:
      'Sized for frost only. Bearing, edges and steel are a licensed engineer’s: record under Levels who said so, when and why, for this slab.',
    slabSide:
      'A rule of thumb, assumed. Boards laid {{width}} out past the edge, or a bed that goes further out, lengthen the way. An engineer says what the edge needs.',
    slabLow:
      'Splash and melt water reach it. Raise the floor, lower the ground round it or lead the water away; type what you want under Levels.',
    drainFlat:
      '{{stand}} of water must stand in it before any leaves, and then about {{flow}} for every {{higher}} it stands higher. Scrape silt out before stone goes in; it will not wash itself clean.',
    drainCrosses:
      'Dig the deeper one first. Under a footing the stone must not let soil out from below it; the engineer says how near is near enough.',
    drainNowhere: 'Say where it lets go, and how low: daylight, a ditch or a sump.',
    liftFailed:
      'Rework it and test it again before anything covers it. Only the engineer lets it go, by name and with a reason.',
    liftCovered:
      'Test and release the one below, or lay it bare again. Only the engineer lets it stay, by name and with a reason.',
    liftOverridden: 'Keep this with the job; the engineer should know.',
    floats:
      'By the highest water known, without the fill’s friction. It needs {{ballast}} more, a wider base or anchors. It floats with water at level {{level}}: pump on, or flood it, until an engineer has settled it.',
    unproved:
      'Figures that hang on it are not told. Do not order, dig or haul by this plan until somebody has found out which is wrong; write down what was typed last.',
    replacementNarrow:
      'Dig the bottom that wide: more room under Dig, a formed footing, or a wider projection of that layer. Thinner or stiffer is the engineer’s to say.',
    floatsBarely:
      'Against the highest water known, friction of the fill not counted. It needs {{ballast}} more, a base that stands out under the fill, or anchors: an engineer’s. Keep pumping, or flood it, until that is there.',
    floatsMeanwhile:
      'Hold the water under level {{level}} until then. Pumps run through nights and weekends; leave a hole in the base to flood it if they stop.',
    heave:
      'Bring that water down to level {{level}} before you dig on, by a well through the tight layer. An engineer says how; recorded under Levels with name, date and reason, the hold lifts.',
    piping:
      'Draw it down from outside first, drive tight sheets {{sheets}} below the bottom, or weigh it with stone on a filter. An engineer says which.',
    drawdown:
      'Its ground can settle, a well can run dry. Tell its owner, look at it before and daily after; an engineer decides.',
    surfaceWater:
      'Move it, or cut it off with a ditch. Wash-out also kills what grows: it goes to a lined pit.',
    underFlood:
      'Raise it and the wall tops under it to level {{level}}, or say with whom another freeboard was agreed.',
    floatUnknown:
      'Look for it: dig a pit, ask the neighbours, give the highest of the year. An engineer says what holds it down.',
    crossing:
      'Lay it bare by hand, take its level and its size. Its owner or the engineer says what is done: keep, divert, sleeve or leave out. Until its level is known nothing is left out of the pour.',
    vibrates:
      'Assumed for its mass. Close to a neighbour’s footing, and beside concrete of the last day, take a lighter one or a hand tamper in thinner lifts, and look for cracks before and after.',
    softDeep:
      'Nobody goes in. Take it out and fill it again from above, in one go, before the next stretch; who must work in it needs sides sloped or held first.',
    softPast:
      'Only what lies under a trench or pad is taken out. The load spreads: ask how far the good ground has to reach, and widen the dig.',
    underpinOpen:
      'Lay its underside bare at both ends and enter it. Its engineer releases each bay, by name. Never dig under a wall from the surface.',
    stoneBeam: 'Practice asks {{wanted}} under a wall of earth. Raise the plinth or keep the ground lower.',
    handDeep:
      'A stage or a bucket stands between: half as long again to twice. Nobody alone, nobody below unsupported sides.',
    compactorUnsuited:
      'A rammer, a heavy reversible plate or a trench roller does. The {{lift}} shown are what it manages in clean stone.',
    liftOverCompactor: 'Prove it with a trial strip, or keep to the thinner lift.',
    shortfall: 'Bring it in, or dry and keep more of what is dug.',
    keepOff: {
      service: 'Keep {{limit}} off, or lay it bare by hand first and ask its owner.',
      crest: 'Within {{limit}} of a slope’s edge the machine can tip and the edge can go.',
      tree: 'Roots hold it up: keep {{limit}} off, or it may fall.',
      rock: 'Undermined rock rolls: {{limit}} clear, or break it first.',
      stream: 'Within {{limit}} it can break in. Ask the water authority first.',
      well: 'Keep {{limit}} off a well: ask its owner before you dig or pump beside it.',
      overhead:
        'Boom and tipper bodies reach it. Keep {{limit}} off, or its owner switches it off and earths it, and says so in writing.',
    },
    influence:
      '{{by}} too deep beside it: stay above level {{limit}}, or ask the engineer about underpinning.',
    flood: 'Flood level {{limit}} is {{by}} above the ground there.',
    cutBack: 'It stands {{by}} into the trench. The engineer says whether it may be cut, by name.',
    perched:
      'It runs in over the tight layer at once, wherever the water table lies. Cut it off with a ditch, or pump it there.',
    frozenFace:
      'The crust digs like rock, {{longer}} × as long; once it thaws the face falls without warning.',
    frostDry:
      'Its conductivity is taken as at {{from}}: in soil so dry frost can go deeper than is told. Take the local figure, or ask the engineer.',
    beyondSurvey: 'The ground there is held level from the nearest spots: take more levels.',
    stepHigh: 'The rule is no higher than the footing. The engineer may say otherwise.',
    lapShort:
      'Twice the step, the thickness or {{least}}, whichever is most; the engineer may say otherwise.',
    instructionWidth: 'It overrides the plan; keep the instruction with the job.',
    shallowSchool: 'It is worked out for frost alone. Do not build it without a licensed engineer’s word.',
    servicesMarked:
      'Call the locate service for the rest; no machine until its marks are on the ground. Dig by hand to prove them.',
    shored:
      'Sheets, struts or shield as designed. They go in from the top and come out from the bottom; nobody goes beyond them.',
    spoilNear: 'Its toe is {{edge}} from a dig. Move it off, or hold that side up.',
    rehandle: 'It lies on {{what}}. Dig that first, or put the spoil elsewhere.',
    areaOutside: 'Ask the neighbour, or draw it back.',
    noRoom: 'Draw more lay-down area, or haul it and bring it back.',
    reach: 'It is {{short}} short. A larger machine, a ramp, or a lower stand for it.',
    gate: 'It is {{width}} over the tracks and wants room on both sides.',
    outsidePlot: 'Not without the neighbour and an engineer: steeper held sides, or move it.',
  },
};
