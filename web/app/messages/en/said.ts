/** Workings as a crew says them: a sentence with the numbers in place. */
export const said = {
  said: {
    formula: 'The formula',
    neat: 'The footings’ own plan, straight down: {{value}}.',
    overdig: {
      room: 'Room for forms and boots, up to {{room}} each side along {{run}}: {{value}} more.',
      bucket: 'What the bucket takes because it is as wide as it is: {{value}} more.',
      sides:
        'Sides up to {{slope}} over up to {{depth}}, both sides of {{run}}, less what they share: {{value}} more.',
      low: 'Bottoms dug lower than asked: {{value}} more.',
      soft: 'Soft ground taken out under the bottoms: {{value}} more.',
      access: 'Ramps in and out: {{value}} more.',
    },
    digTotal: '{{neat}} neat and {{overdig}} over it, soil that two share counted once: {{value}}.',
    stratum: 'Of that {{value}} is this soil.',
    handTrim: '{{trim}} left on {{bottomArea}} of bottom for the shovel: {{value}}.',
    bulk: '{{bank}} in the ground swell by {{swell}}: {{value}} loose.',
    pile: '{{keptLoose}} laid along {{run}} at its own slope of {{repose}}: {{pileBase}} wide and {{value}} high.',
    void: '{{digTotal}} dug, less stone {{stoneVolume}}, lean concrete {{blindingVolume}}, footings {{footingVolume}} and walls {{stemVolume}}: {{value}} to fill.',
    keepSoil: 'It shrinks by {{shrink}} when it is tamped, so {{value}} of it is kept.',
    shortfall: 'Fit soil ends {{value}} short: bring it in.',
    loads:
      '{{loose}} and {{mass}} in bodies of {{body}} that carry {{payload}}: {{value}} loads, the last one {{lastFill}} full.',
    footings: 'The footings, where two cross counted once: {{value}}.',
    order: '{{volume}} and {{waste}} for waste, up to the plant’s step of {{step}}: order {{value}}.',
    trucks: 'In trucks of {{truck}}: {{value}}.',
    haulSoil: '{{bank}} in the ground, {{loose}} loose, at {{density}}: {{value}} leave.',
    brokenOut: '{{bank}} broken out swell by {{swell}}: {{value}}, {{mass}}.',
    brokenLoads: 'What is broken out goes in {{value}} loads of its own.',
    mixed: 'With every truck there is, the fewest is {{value}}.',
    lifts:
      'A bed of {{bed}} under a compactor that does {{liftLimit}}: {{value}} lifts of {{lift}}, spread at {{liftLoose}}, {{passes}} passes each.',
    stoneVolume: 'Stone out to the dug faces: {{value}}.',
    stoneMass: '{{stoneVolume}} at {{density}}: {{value}}.',
    stoneLoose: 'It comes loose, {{looseFactor}} times as much: {{value}}.',
    drainStone: 'Stone round the drains, less their pipe: {{value}}.',
    blinding: '{{blindingArea}} in plan, {{thickness}} thick: {{value}}.',
    irregularity: '{{blindingArea}} lie {{unevenness}} uneven: {{value}} more.',
    inflow: {
      low: 'If the ground lets water through slowly, {{permeability}}: {{value}}.',
      likely: 'As it likely is, {{permeability}}, drawn from {{head}} down to {{held}}: {{value}}.',
      high: 'If it runs, {{permeability}}: {{value}}.',
    },
    putBack: '{{spotArea}} of soft spot, {{thickness}} deep: {{value}} put back.',
    stack: 'From neat to dug',
  },
};
