/** What the core warns of. */
export const cautions = {
  lifts: {
    engineer: 'Lifted only by an engineer, by name.',
    owner: 'Lifted only by its owner, in writing.',
    competent: 'Lifted only by the competent person on site, by name.',
  },
  caution: {
    go: 'Go to {{stage}}',
    standing_one: 'Always, on every dig ({{count}})',
    standing_other: 'Always, on every dig ({{count}})',
    heading: 'Cautions',
    stop: 'Hold',
    count_zero: 'no stops found by this plan',
    count_one: '{{count}} hold',
    count_other: '{{count}} holds',
    unsupported: {
      title: '{{depth}} deep, steeper than {{steepest}}; protection from {{from}}.',
      text: 'Nobody enters until the sides are sloped, benched or shored, and the competent person on site has looked and said so.',
    },
    engineerDepth: {
      title: '{{depth}} deep.',
      text: 'Past {{limit}} the sides are for an engineer to design.',
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
      title: 'Nobody is named to ring.',
      text: 'Name who is rung when something happens, and the number, under Dig; it is printed on the sheet.',
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
      title: 'Water {{above}} above formation.',
      text: 'Draw down to {{hold}} before the last cut is trimmed. Never work under a face that weeps.',
    },
    aboveFrost: {
      title: 'Footing above the frost line.',
      text: 'The level set leaves frost-prone ground under the footing. Get the engineer’s reason in writing.',
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
      text: 'From {{depth}} down, wherever people are; it stands firm and reaches past the edge.',
    },
    gas: {
      title: '{{deep}} deep: test the air before anyone goes down, from {{depth}}.',
      text: 'Bad air cannot be seen. By tanks, fuel, made ground, marsh or a drain: a meter before each entry, air blown in, somebody up top; out at once when it sounds.',
    },
    doubled: {
      title: 'Nothing of its own to dig.',
      text: 'It lies wholly within another dig: drawn twice, or meant to be deeper? Its soil is counted once.',
    },
    rescue: {
      title: 'Rescue alone is not a plan.',
      text: 'Nobody works in the dig alone, and nobody jumps in after a collapse. Know who to ring.',
    },
    edge: {
      title: 'Keep spoil and machine off the edge.',
      text: 'At least {{setback}} from the edge, further when the pile is tall or the side stands steep.',
    },
    services: {
      title: 'No services are on this plan.',
      text: 'Have them located and marked, and dig by hand to prove them, before the machine does.',
    },
    thaw: { title: 'Frozen faces thaw.', text: 'A face that stands frozen in the morning can fall at noon.' },
    softening: {
      title: 'The bottom softens when wet.',
      text: 'Leave the last cut until just before it is covered; keep boots and rain off it.',
    },
    instruction: {
      title: 'Level set by {{who}}: {{level}}.',
      text: 'It overrides the rules; keep the instruction with the job.',
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
      title: 'A floor stands {{over}} over the ground beside it: splash and melt water reach it.',
      text: 'Practice asks {{wanted}}. Raise the floor, lower the ground round it or lead the water away; type what you want under Levels.',
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
      text: 'Rework it and test it again before anything covers it. Only a named person may let it go, with a reason that stays in the record.',
    },
    liftCovered: {
      title: 'A lift was laid on one that is not released.',
      text: 'Test and release the one below first, or lay it bare again: what is under it can no longer be mended.',
    },
    liftOverridden: {
      title: '{{who}} let a lift be covered that had not passed: {{reason}}',
      text: 'Keep this with the job; the engineer should know.',
    },
    floats: {
      title: '{{name}} floats when it is empty: weight over uplift {{safety}}, 1.1 is asked.',
      text: 'Against the highest water known, friction of the fill not counted. It needs {{ballast}} more, a base that stands out under the fill, or anchors: an engineer’s. It floats with water at {{level}}; keep pumping, or flood it, until that is there.',
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
      title:
        '{{name}} is held down too little when it is empty: weight over uplift {{safety}}, {{asked}} is asked.',
      text: 'Against the highest water known, friction of the fill not counted. It needs {{ballast}} more, a base that stands out under the fill, or anchors: an engineer’s. Keep pumping, or flood it, until that is there.',
    },
    floatsMeanwhile: {
      title: '{{name}} can float until it is roofed and filled over.',
      text: 'Keep the water under {{level}} until then: do not let the pumps stop at night or over the weekend, and leave a hole in the base to flood it if they do.',
    },
    heave: {
      title: '{{name}}: water under pressure can lift its bottom ({{safety}}; {{asked}} is asked).',
      text: 'Bring that water down to {{level}} before you dig on, by a well through the tight layer. An engineer says how; recorded under Levels with name, date and reason, the hold lifts.',
    },
    piping: {
      title:
        '{{name}}: {{head}} of water over its bottom, pumped from inside, can boil it ({{toe}} at the foot of the sides, {{middle}} in the middle; {{asked}} is asked).',
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
      text: 'Raise it and the wall tops under it to {{level}}, or say with whom another freeboard was agreed.',
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
      text: 'Lay its underside bare at both ends, and enter it. Never dig under a wall from the surface, and no bay without the engineer’s release.',
    },
    stoneBeam: {
      title: 'The top of the stone footing stands {{over}} over the ground: splash reaches the wall.',
      text: 'Practice asks {{wanted}} under a wall of earth. Raise the plinth or keep the ground lower.',
    },
    handDeep: {
      title: 'Too deep to throw out by hand.',
      text: 'A stage or a bucket stands between: half as long again to twice. Nobody works alone, nor below unsupported sides.',
    },
    compactorUnsuited: {
      title: '{{bed}}: this compactor does little for a layer with much fines.',
      text: 'A rammer, a heavy reversible plate or a trench roller does. The lift shown is what it manages in clean stone.',
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
        text: 'Within {{limit}} it can break in; permits and fish are someone’s call.',
      },
      well: {
        title: '{{hazard}} is {{distance}} away.',
        text: 'Keep {{limit}} off a well: ask its owner before you dig or pump beside it.',
      },
      overhead: {
        title: '{{hazard}} is {{distance}} away.',
        text: 'Boom and tipper bodies reach it: keep {{limit}}, or have it switched off.',
      },
    },
    influence: {
      title: 'Below the line of {{hazard}}.',
      text: '{{by}} too deep beside it: stay above {{limit}}, or ask the engineer about underpinning.',
    },
    flood: {
      title: '{{hazard}} can flood the dig.',
      text: 'Flood level {{limit}} is {{by}} above the ground there.',
    },
    cutBack: {
      title: 'Old concrete of {{hazard}} is in the way.',
      text: 'It stands {{by}} into the trench. The engineer says whether it may be cut back.',
    },
    perched: {
      title: 'Perched water is cut.',
      text: 'It runs in over the tight layer at once, wherever the water table lies.',
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
      text: 'The rule is no higher than the footing; the engineer may say otherwise.',
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
      title: 'Services on this plan are what someone knew.',
      text: 'Have the rest located and marked, and dig by hand to prove them.',
    },
    shored: {
      title: 'Held sides are someone’s design.',
      text: 'Sheets, struts or shield by a competent person; nobody goes beyond them, they go in from the top and come out from the bottom.',
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
