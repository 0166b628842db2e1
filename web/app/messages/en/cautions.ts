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
    pitsUnsupported: 'Board and strut the pits of {{what}} as they go down',
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
    },
    pitsUnsupported: {
      title: 'Pits {{depth}} deep in bays, sides upright; protection from {{from}}.',
    },
    engineerDepth: {
      title: '{{depth}} deep; past {{limit}} sides are an engineer’s.',
    },
    waterNear: {
      title: 'Water only {{under}} under formation.',
    },
    depthUnknown: {
      title: 'Nothing decides its depth yet.',
    },
    ringUnknown: {
      title: 'Nobody is named to call.',
    },
    frostUnknown: {
      title: 'Frost depth not known.',
    },
    waterUnknown: {
      title: 'Water not known.',
    },
    soilAssumed: {
      title: 'The soil is assumed: nobody has dug {{name}}.',
    },
    coverAssumed: {
      title: 'The least cover of {{cover}} is assumed.',
    },
    water: {
      title: 'Water {{above}} above the bottom.',
    },
    aboveFrost: {
      title: '{{above}} above the frost line.',
    },
    waterClass: {
      title: 'Water lowers the soil to class C.',
    },
    caveIn: {
      title: 'Sides can still cave in at {{depth}}.',
    },
    ladder: {
      title: '{{deep}} deep: a ladder within {{travel}} of everyone.',
    },
    gas: {
      title: '{{deep}} deep: test the air from {{depth}} down, before anyone goes in.',
    },
    doubled: {
      title: 'Nothing of its own to dig.',
    },
    rescue: {
      title: 'Rescue alone is not a plan.',
    },
    edge: {
      title: 'Keep spoil and machine off the edge.',
    },
    services: {
      title: 'No services are on this plan.',
    },
    thaw: {
      title: 'Frost goes {{depth}} deep: frozen faces thaw.',
    },
    softening: {
      title: 'The bottom softens when wet.',
    },
    instruction: {
      title: 'To level {{level}} by {{who}}’s word.',
    },
    stoneSize: {
      title: '{{bed}}: stone of {{stone}} is too big for lifts of {{lift}}.',
    },
    slabFrost: {
      title: 'Frost comes through slab and bed into soil it lifts.',
    },
    slabEngineer: {
      title: 'A slab above the frost line waits for an engineer’s word.',
    },
    slabSide: {
      title:
        'Frost can come in under a slab from the side: {{way}} is its shortest way, {{frost}} as deep as it goes.',
    },
    slabLow: {
      title: 'A floor stands {{over}} {{where}} the ground beside it; {{wanted}} over it is the practice.',
    },
    drainFlat: {
      title: '{{drain}} has no fall to speak of: it works by head only.',
    },
    drainCrosses: {
      title: '{{drain}} crosses {{footing}}: {{clear}} between them.',
    },
    drainNowhere: {
      title: 'A drain without an outfall only stores water.',
    },
    liftFailed: {
      title: 'A lift failed its test.',
    },
    liftCovered: {
      title: 'A lift was laid on one that is not released.',
    },
    liftOverridden: {
      title: '{{who}} let a lift be covered that had not passed: {{reason}}',
    },
    floats: {
      title: '{{name}} floats when empty: weight over uplift {{safety}}; {{asked}} is asked.',
    },
    unproved: {
      title: 'A figure does not hold: {{expected}} one way, {{found}} another.',
    },
    replacementNarrow: {
      title:
        '{{name}}: what replaces the soft soil is {{has}} wide at its foot; the load spreads to {{needs}}.',
    },
    floatsBarely: {
      title: '{{name}} is barely held down when empty: weight over uplift {{safety}}; {{asked}} is asked.',
    },
    floatsMeanwhile: {
      title: '{{name}} can float until it is roofed and filled over.',
    },
    heave: {
      title:
        '{{name}}: water under pressure can lift its bottom: weight over pressure {{safety}}; {{asked}} is asked.',
    },
    piping: {
      title:
        '{{name}}: the bottom can boil with {{head}} of water over it: safety against boiling {{toe}} at the foot of the sides, {{middle}} in the middle; {{asked}} is asked.',
    },
    drawdown: {
      title: 'Pumping draws the water under {{hazard}} down: {{likely}}, up to {{high}}, at {{distance}}.',
    },
    surfaceWater: {
      title: '{{name}} runs into the hole of {{hole}}.',
    },
    underFlood: {
      title: '{{name}} stands {{short}} too low over the flood.',
    },
    floatUnknown: {
      title: 'An empty box floats when ground water comes back, and the water is not known.',
    },
    crossing: {
      title: '{{hazard}} lies in {{length}} of what is cast: not settled.',
    },
    vibrates: {
      title: 'The compactor works {{distance}} from {{hazard}}: keep {{keep}} off.',
    },
    softDeep: {
      title: '{{spot}}: {{depth}} below the ground with upright sides; protection from {{from}}.',
    },
    softPast: {
      title: '{{spot}} reaches {{outside}} past the bottoms: what is soft there stays.',
    },
    underpinOpen: {
      title: 'The old wall over this run is not known: it is counted as an open trench.',
    },
    stoneBeam: {
      title: 'The top of the stone footing stands {{over}} over the ground: splash reaches the wall.',
    },
    handDeep: {
      title: '{{depth}} deep: too deep to throw out; {{most}} is the most.',
    },
    compactorUnsuited: {
      title: '{{bed}}: this compactor does little for a layer with much fines.',
    },
    liftOverCompactor: {
      title: '{{bed}}: specified lift {{specified}} is more than this compactor’s usual {{typical}}.',
    },
    shortfall: {
      title: 'Not enough fit soil to backfill: {{volume}} short.',
    },
    defer: {
      title: 'Who decides.',
      text: 'Local codes, the competent person on site and the licensed engineer decide. This plan never says an excavation is safe.',
    },
    keepOff: {
      service: {
        title: '{{hazard}} is {{distance}} from the opening.',
      },
      crest: {
        title: '{{hazard}} is {{distance}} away.',
      },
      tree: {
        title: '{{hazard}} is {{distance}} away.',
      },
      rock: {
        title: '{{hazard}} is {{distance}} away.',
      },
      stream: {
        title: '{{hazard}} is {{distance}} away.',
      },
      well: {
        title: '{{hazard}} is {{distance}} away.',
      },
      overhead: {
        title: '{{hazard}} is {{distance}} away.',
      },
    },
    influence: {
      title: 'Below the line of {{hazard}}.',
    },
    flood: {
      title: '{{hazard}} can flood the dig.',
    },
    cutBack: {
      title: 'Old concrete of {{hazard}} is in the way.',
    },
    perched: {
      title: 'Perched water is cut, {{depth}} down.',
    },
    frozenFace: {
      title: 'Frozen to {{depth}} today.',
    },
    frostDry: {
      title: 'A soil typed at {{moisture}} of water is drier than the frost formula was made for ({{from}}).',
    },
    beyondSurvey: {
      title: 'Dug beyond the survey.',
    },
    stepHigh: {
      title: 'Steps of {{height}} are higher than the footing is thick, {{thickness}}.',
    },
    lapShort: {
      title: 'Laps of {{lap}} are shorter than {{wanted}}.',
    },
    instructionWidth: {
      title: 'Width set by {{who}}: {{width}}.',
    },
    shallowSchool: {
      title: 'Shallow bed of {{bed}}: an engineer’s call.',
    },
    servicesMarked: {
      title: 'Services here are only those someone knew.',
    },
    shored: {
      title: 'Held sides need a named designer.',
    },
    spoilNear: {
      title: '{{area}}: the heap stands too near the edge.',
    },
    rehandle: {
      title: '{{area}} lies in the way: {{volume}} moved twice.',
    },
    areaOutside: {
      title: '{{area}} reaches over the plot’s boundary.',
    },
    noRoom: {
      title: '{{volume}} of kept soil have no room.',
    },
    reach: {
      title: '{{machine}} does not reach the bottom.',
    },
    gate: {
      title: '{{gate}} is too narrow for {{machine}}.',
    },
    outsidePlot: {
      title: 'The dig reaches {{area}} outside the plot.',
    },
  },
};
