/** What the core warns of. */
export const cautions = {
  lifts: {
    engineer: 'Lifted only by an engineer, by name.',
    owner: 'Lifted only by its owner, in writing.',
    competent: 'Lifted only by the competent person on site, by name.',
    locator: 'Lifted only by the locate service’s marks.',
  },
  act: {
    unsupported: 'Slope {{what}} to {{steepest}}, or shore',
    engineerDepth: 'Get the engineer’s sides for {{what}}',
    influence: 'Keep {{what}} above level {{limit}} beside {{hazard}}',
    flood: 'Raise or guard the dig against {{hazard}}, to level {{limit}}',
    keepOff: {
      service: 'Lay {{hazard}} bare by hand; its owner says how near',
      overhead: 'Have {{hazard}} switched off and earthed by its owner',
    },
    water: 'Draw the water down to level {{hold}}',
    floats: 'Hold {{name}} down: {{ballast}} more, or the engineer’s word',
    floatsBarely: 'Hold {{name}} down: {{ballast}} more, or the engineer’s word',
    heave: 'Bring the water under {{name}} down to level {{level}}',
    piping: 'Draw down outside {{name}}, or sheet it {{sheets}} deeper',
    depthUnknown: 'Say what decides the depth of {{what}}',
    frostUnknown: 'Ask how deep frost goes here; type it',
    aboveFrost: 'Dig {{what}} {{above}} deeper, or record the engineer’s word',
    shallowSchool: 'Get an engineer’s word for the shallow bed',
    replacementNarrow: 'Widen the bottom of {{name}} to {{needs}}',
    slabFrost: 'Make the bed of {{what}} {{bed}}, or board it',
    slabEngineer: 'Record the engineer’s word for {{what}}',
    drainCrosses: 'Move {{drain}} clear of {{footing}}',
    liftFailed: 'Rework the lift of {{what}} and test again',
    liftCovered: 'Test and release the lift under {{what}}',
    softDeep: 'Take {{spot}} out from above; nobody in',
    underpinOpen: 'Enter the old wall over {{what}}',
    outsidePlot: 'Bring {{what}} inside the plot',
  },
  caution: {
    go: 'Go to {{stage}}',
    standing_one: 'Always, on every dig',
    standing_other: 'Always, on every dig',
    heading: 'Cautions',
    of: '{{count}} things',
    concerns: 'Of {{names}}.',
    all: 'everything',
    rules: { cautious: 'US 29 CFR 1926 P, made more careful', us: 'US 29 CFR 1926 P', own: 'our own' },
    by: { local: 'the local code', computed: 'the climate given' },
    where: { over: 'over', under: 'under' },
    elsewhere_one: '{{count}} elsewhere',
    elsewhere_other: '{{count}} elsewhere',
    stop: 'Hold',
    count_zero: 'no stops found by this plan',
    count_one: '{{count}} hold',
    count_other: '{{count}} holds',
    unsupported: {
      title: '{{depth}} deep, steeper than {{steepest}}; protection from {{from}}.',
      text: 'By the rules for sides: {{rules}}. Slope, bench or shore them. Nobody enters until the competent person on site has looked and said so.',
    },
    engineerDepth: {
      title: '{{depth}} deep; past {{limit}} sides are an engineer’s.',
      text: 'By the rules for sides: {{rules}}. Send the section to the engineer; record the word under Levels.',
    },
    waterNear: {
      title: 'Water only {{under}} under formation.',
      text: 'Hold it {{hold}} under formation, or the bottom softens and water comes up as it is trimmed.',
    },
    depthUnknown: {
      title: 'Nothing decides its depth yet.',
      text: 'Nobody digs by this plan until a frost depth, a bearing soil, a floor, a cover or an engineer’s word says how deep.',
    },
    ringUnknown: {
      title: 'Nobody is named to call.',
      text: 'Name who is called when something happens, and the number, under Dig. It is printed on the sheet.',
    },
    frostUnknown: {
      title: 'Frost depth not known.',
      text: 'Without it nobody can say whether the footings stand below frost. Ask the local code or give the climate; type 0 where the ground never freezes.',
    },
    waterUnknown: {
      title: 'Water not known.',
      text: 'Nobody has given a level. Look in the nearest hole, or dig a pit and wait, before counting on a dry bottom.',
    },
    soilAssumed: {
      title: 'The soil is assumed: nobody has dug {{name}}.',
      text: 'Dig a trial pit or feel the soil by hand: slopes, swell and water depend on it.',
    },
    coverAssumed: {
      title: 'The least cover of {{cover}} is assumed.',
      text: 'Nobody has given the local code’s: ask for it and type it.',
    },
    water: {
      title: 'Water {{above}} above the bottom.',
      text: 'Draw it down to level {{hold}}, {{under}} under the bottom, before the last cut is trimmed. Nobody works under a face that weeps.',
    },
    aboveFrost: {
      title: '{{above}} above the frost line.',
      text: 'Frost goes {{frost}} deep by {{by}}. Dig down to it, or record under Levels which engineer said otherwise, when and why.',
    },
    waterClass: {
      title: 'Water lowers the soil to class C.',
      text: 'Sides that stood dry may not stand wet.',
    },
    caveIn: {
      title: 'Sides can still cave in at {{depth}}.',
      text: 'Inspect every day, after rain and after a thaw, before anyone goes down.',
    },
    ladder: {
      title: '{{deep}} deep: a ladder within {{travel}} of everyone.',
      text: 'From {{depth}} down ({{rules}}). Tied, and {{above}} over the edge. The lead looks each morning.',
    },
    gas: {
      title: '{{deep}} deep: test the air from {{depth}} down, before anyone goes in.',
      text: 'Nobody in under {{oxygen}} oxygen or over {{vapour}} of the explosive limit. Who tests has been trained. By tanks, fuel, fill, marsh or a drain: before each entry, with air blown in and somebody up top.',
    },
    doubled: {
      title: 'Nothing of its own to dig.',
      text: 'It lies wholly within another dig: drawn twice, or meant to be deeper? Its soil is counted once.',
    },
    rescue: {
      title: 'Rescue alone is not a plan.',
      text: 'Nobody works in the dig alone, and nobody jumps in after a collapse. Know who to call.',
    },
    edge: {
      title: 'Keep spoil and machine off the edge.',
      text: 'At least {{setback}} from the edge, further when the pile is tall or the side stands steep.',
    },
    services: {
      title: 'No services are on this plan.',
      text: 'Call the locate service before you dig; no machine until its marks are on the ground. Dig by hand to prove them.',
    },
    thaw: {
      title: 'Frost goes {{depth}} deep: frozen faces thaw.',
      text: 'What stands frozen in the morning can fall at noon. The competent person looks again as it thaws.',
    },
    softening: {
      title: 'The bottom softens when wet.',
      text: 'Leave the last {{trim}} until just before it is covered. Keep boots and rain off it.',
    },
    instruction: {
      title: 'To level {{level}} by {{who}}’s word.',
      text: 'It overrides the rules. Keep it with the job.',
    },
    stoneSize: {
      title: '{{bed}}: stone of {{stone}} is too big for lifts of {{lift}}.',
      text: 'A lift should be at least four times the largest stone.',
    },
    slabFrost: {
      title: 'Frost comes through slab and bed into soil it lifts.',
      text: 'It reaches {{reach}} under the top of the slab. The bed must be {{bed}}, {{short}} more than it is, or a board must keep the frost out: see Base.',
    },
    slabEngineer: {
      title: 'A slab above the frost line waits for an engineer’s word.',
      text: 'Sized for frost only. Bearing, edges and steel are a licensed engineer’s: record under Levels who said so, when and why, for this slab.',
    },
    slabSide: {
      title:
        'Frost can come in under a slab from the side: {{way}} is its shortest way, {{frost}} as deep as it goes.',
      text: 'A rule of thumb, assumed. Boards laid {{width}} out past the edge, or a bed that goes further out, lengthen the way. An engineer says what the edge needs.',
    },
    slabLow: {
      title: 'A floor stands {{over}} {{where}} the ground beside it; {{wanted}} over it is the practice.',
      text: 'Splash and melt water reach it. Raise the floor, lower the ground round it or lead the water away; type what you want under Levels.',
    },
    drainFlat: {
      title: '{{drain}} has no fall to speak of: it works by head only.',
      text: '{{stand}} of water must stand in it before any leaves, and then about {{flow}} for every metre it stands higher. Scrape silt out before stone goes in; it will not wash itself clean.',
    },
    drainCrosses: {
      title: '{{drain}} crosses {{footing}}: {{clear}} between them.',
      text: 'Dig the deeper one first. Under a footing the stone must not let soil out from below it; the engineer says how near is near enough.',
    },
    drainNowhere: {
      title: 'A drain without an outfall only stores water.',
      text: 'Say where it lets go, and how low: daylight, a ditch or a sump.',
    },
    liftFailed: {
      title: 'A lift failed its test.',
      text: 'Rework it and test it again before anything covers it. Only the engineer lets it go, by name and with a reason.',
    },
    liftCovered: {
      title: 'A lift was laid on one that is not released.',
      text: 'Test and release the one below, or lay it bare again. Only the engineer lets it stay, by name and with a reason.',
    },
    liftOverridden: {
      title: '{{who}} let a lift be covered that had not passed: {{reason}}',
      text: 'Keep this with the job; the engineer should know.',
    },
    floats: {
      title: '{{name}} floats when empty: weight over uplift {{safety}}; {{asked}} is asked.',
      text: 'By the highest water known, without the fill’s friction. It needs {{ballast}} more, a wider base or anchors. It floats with water at level {{level}}: pump on, or flood it, until an engineer has settled it.',
    },
    unproved: {
      title: 'A figure does not hold: {{expected}} one way, {{found}} another.',
      text: 'Figures that hang on it are not told. Do not order, dig or haul by this plan until somebody has found out which is wrong; write down what was typed last.',
    },
    replacementNarrow: {
      title:
        '{{name}}: what replaces the soft soil is {{has}} wide at its foot; the load spreads to {{needs}}.',
      text: 'Dig the bottom that wide: more room under Dig, a formed footing, or a wider projection of that layer. Thinner or stiffer is the engineer’s to say.',
    },
    floatsBarely: {
      title: '{{name}} is barely held down when empty: weight over uplift {{safety}}; {{asked}} is asked.',
      text: 'Against the highest water known, friction of the fill not counted. It needs {{ballast}} more, a base that stands out under the fill, or anchors: an engineer’s. Keep pumping, or flood it, until that is there.',
    },
    floatsMeanwhile: {
      title: '{{name}} can float until it is roofed and filled over.',
      text: 'Hold the water under level {{level}} until then. Pumps run through nights and weekends; leave a hole in the base to flood it if they stop.',
    },
    heave: {
      title:
        '{{name}}: water under pressure can lift its bottom: weight over pressure {{safety}}; {{asked}} is asked.',
      text: 'Bring that water down to level {{level}} before you dig on, by a well through the tight layer. An engineer says how; recorded under Levels with name, date and reason, the hold lifts.',
    },
    piping: {
      title:
        '{{name}}: the bottom can boil with {{head}} of water over it: safety against boiling {{toe}} at the foot of the sides, {{middle}} in the middle; {{asked}} is asked.',
      text: 'Draw it down from outside first, drive tight sheets {{sheets}} below the bottom, or weigh it with stone on a filter. An engineer says which.',
    },
    drawdown: {
      title: 'Pumping draws the water under {{hazard}} down: {{likely}}, up to {{high}}, at {{distance}}.',
      text: 'Its ground can settle, a well can run dry. Tell its owner, look at it before and daily after; an engineer decides.',
    },
    surfaceWater: {
      title: '{{name}} runs into the hole of {{hole}}.',
      text: 'Move it, or cut it off with a ditch. Wash-out also kills what grows: it goes to a lined pit.',
    },
    underFlood: {
      title: '{{name}} stands {{short}} too low over the flood.',
      text: 'Raise it and the wall tops under it to level {{level}}, or say with whom another freeboard was agreed.',
    },
    floatUnknown: {
      title: 'An empty box floats when ground water comes back, and the water is not known.',
      text: 'Look for it: dig a pit, ask the neighbours, give the highest of the year. An engineer says what holds it down.',
    },
    vibrates: {
      title: 'The compactor works {{distance}} from {{hazard}}: keep {{keep}} off.',
      text: 'Assumed for its mass. Close to a neighbour’s footing, and beside concrete of the last day, take a lighter one or a hand tamper in thinner lifts, and look for cracks before and after.',
    },
    softDeep: {
      title: '{{spot}}: {{depth}} below the ground with upright sides; protection from {{from}}.',
      text: 'Nobody goes in. Take it out and fill it again from above, in one go, before the next stretch; who must work in it needs sides sloped or held first.',
    },
    softPast: {
      title: '{{spot}} reaches {{outside}} past the bottoms: what is soft there stays.',
      text: 'Only what lies under a trench or pad is taken out. The load spreads: ask how far the good ground has to reach, and widen the dig.',
    },
    underpinOpen: {
      title: 'The old wall over this run is not known: it is counted as an open trench.',
      text: 'Lay its underside bare at both ends and enter it. Its engineer releases each bay, by name. Never dig under a wall from the surface.',
    },
    stoneBeam: {
      title: 'The top of the stone footing stands {{over}} over the ground: splash reaches the wall.',
      text: 'Practice asks {{wanted}} under a wall of earth. Raise the plinth or keep the ground lower.',
    },
    handDeep: {
      title: '{{depth}} deep: too deep to throw out; {{most}} is the most.',
      text: 'A stage or a bucket stands between: half as long again to twice. Nobody alone, nobody below unsupported sides.',
    },
    compactorUnsuited: {
      title: '{{bed}}: this compactor does little for a layer with much fines.',
      text: 'A rammer, a heavy reversible plate or a trench roller does. The {{lift}} shown are what it manages in clean stone.',
    },
    liftOverCompactor: {
      title: '{{bed}}: specified lift {{specified}} is more than this compactor’s usual {{typical}}.',
      text: 'Prove it with a trial strip, or keep to the thinner lift.',
    },
    shortfall: {
      title: 'Not enough fit soil to backfill: {{volume}} short.',
      text: 'Bring it in, or dry and keep more of what is dug.',
    },
    defer: {
      title: 'Who decides.',
      text: 'Local codes, the competent person on site and the licensed engineer decide. This plan never says an excavation is safe.',
    },
    keepOff: {
      service: {
        title: '{{hazard}} is {{distance}} from the opening.',
        text: 'Keep {{limit}} off, or lay it bare by hand first and ask its owner.',
      },
      crest: {
        title: '{{hazard}} is {{distance}} away.',
        text: 'Within {{limit}} of a slope’s edge the machine can tip and the edge can go.',
      },
      tree: {
        title: '{{hazard}} is {{distance}} away.',
        text: 'Roots hold it up: keep {{limit}} off, or it may fall.',
      },
      rock: {
        title: '{{hazard}} is {{distance}} away.',
        text: 'Undermined rock rolls: {{limit}} clear, or break it first.',
      },
      stream: {
        title: '{{hazard}} is {{distance}} away.',
        text: 'Within {{limit}} it can break in. Ask the water authority first.',
      },
      well: {
        title: '{{hazard}} is {{distance}} away.',
        text: 'Keep {{limit}} off a well: ask its owner before you dig or pump beside it.',
      },
      overhead: {
        title: '{{hazard}} is {{distance}} away.',
        text: 'Boom and tipper bodies reach it. Keep {{limit}} off, or its owner switches it off and earths it, and says so in writing.',
      },
    },
    influence: {
      title: 'Below the line of {{hazard}}.',
      text: '{{by}} too deep beside it: stay above level {{limit}}, or ask the engineer about underpinning.',
    },
    flood: {
      title: '{{hazard}} can flood the dig.',
      text: 'Flood level {{limit}} is {{by}} above the ground there.',
    },
    cutBack: {
      title: 'Old concrete of {{hazard}} is in the way.',
      text: 'It stands {{by}} into the trench. The engineer says whether it may be cut, by name.',
    },
    perched: {
      title: 'Perched water is cut, {{depth}} down.',
      text: 'It runs in over the tight layer at once, wherever the water table lies. Cut it off with a ditch, or pump it there.',
    },
    frozenFace: {
      title: 'Frozen to {{depth}} today.',
      text: 'The crust digs like rock, {{longer}} × as long; once it thaws the face falls without warning.',
    },
    frostDry: {
      title: 'A soil typed at {{moisture}} of water is drier than the frost formula was made for ({{from}}).',
      text: 'Its conductivity is taken as at {{from}}: in soil so dry frost can go deeper than is told. Take the local figure, or ask the engineer.',
    },
    beyondSurvey: {
      title: 'Dug beyond the survey.',
      text: 'The ground there is held level from the nearest spots: take more levels.',
    },
    stepHigh: {
      title: 'Steps of {{height}} are higher than the footing is thick, {{thickness}}.',
      text: 'The rule is no higher than the footing. The engineer may say otherwise.',
    },
    lapShort: {
      title: 'Laps of {{lap}} are shorter than {{wanted}}.',
      text: 'Twice the step, the thickness or {{least}}, whichever is most; the engineer may say otherwise.',
    },
    instructionWidth: {
      title: 'Width set by {{who}}: {{width}}.',
      text: 'It overrides the plan; keep the instruction with the job.',
    },
    shallowSchool: {
      title: 'Shallow bed of {{bed}}: an engineer’s call.',
      text: 'It is worked out for frost alone. Do not build it without a licensed engineer’s word.',
    },
    servicesMarked: {
      title: 'Services here are only those someone knew.',
      text: 'Call the locate service for the rest; no machine until its marks are on the ground. Dig by hand to prove them.',
    },
    shored: {
      title: 'Held sides need a named designer.',
      text: 'Sheets, struts or shield as designed. They go in from the top and come out from the bottom; nobody goes beyond them.',
    },
    spoilNear: {
      title: '{{area}}: the heap stands too near the edge.',
      text: 'Its toe is {{edge}} from a dig. Move it off, or hold that side up.',
    },
    rehandle: {
      title: '{{area}} lies in the way: {{volume}} moved twice.',
      text: 'It lies on {{what}}. Dig that first, or put the spoil elsewhere.',
    },
    areaOutside: {
      title: '{{area}} reaches over the plot’s boundary.',
      text: 'Ask the neighbour, or draw it back.',
    },
    noRoom: {
      title: '{{volume}} of kept soil have no room.',
      text: 'Draw more lay-down area, or haul it and bring it back.',
    },
    reach: {
      title: '{{machine}} does not reach the bottom.',
      text: 'It is {{short}} short. A larger machine, a ramp, or a lower stand for it.',
    },
    gate: {
      title: '{{gate}} is too narrow for {{machine}}.',
      text: 'It is {{width}} over the tracks and wants room on both sides.',
    },
    outsidePlot: {
      title: 'The dig reaches {{area}} outside the plot.',
      text: 'Not without the neighbour and an engineer: steeper held sides, or move it.',
    },
  },
};
