/** What the core refuses, at the field. */
export const problems = {
  problem: {
    range: '{{value}} is out of range: between {{min}} and {{max}}.',
    clock: '“{{value}}” is not a time of day such as 07:30.',
    blank: 'A name is needed.',
    tooLong: 'Too long.',
    tooFew: 'Too few entries at {{path}}.',
    tooMany: 'Too many entries at {{path}}.',
    notFinite: '{{value}} is not a number anyone can dig.',
    soilsStart: 'The first soil must start at the ground, not {{value}} down: there is a gap.',
    soilsOrder: 'This soil starts at {{value}}, not below the one above it ({{min}}).',
    baseAboveSoils: 'The ground must be known to deeper than the last soil’s top, {{min}}.',
    text: 'This text holds characters that cannot be kept (half an emoji, or a control character). Type it again.',
    farFromJob:
      '{{value}} is far from the rest of the job: between {{min}} and {{max}}. Is a digit too many?',
    tooDeep:
      '{{name}}: its bottom at {{value}} is more than can be dug here; {{min}} at the lowest. Is a level on another datum?',
    tookTooLong:
      'Working this out took more than {{limit}} and was called off. Undo the last change, or split the job.',
    farFromGround:
      '{{value}} is too far from the ground: between {{min}} and {{max}}. Is it on another datum?',
    stemWider: 'The wall is wider than its footing ({{max}}).',
    zeroLength: 'A trench here has no length.',
    noDepth: 'Nothing decides the depth yet: give a frost depth, a bearing soil, a floor or a least cover.',
    formationAboveGround:
      '{{name}}: formation at {{value}} is above the ground ({{max}}), so nothing is dug there.',
    stringBelowFormation:
      'The string at {{value}} is below formation of {{name}} ({{min}}). Are the levels swapped?',
    soilSequence: '{{name}}: this soil lies under one that other logs have below it.',
    logBottom: '{{name}} must end below its last soil’s top, {{min}}.',
    logsTogether: '{{name}} stands where {{other}} does.',
    climateOpen: 'Type a freezing index or import a record of temperatures.',
    underOld: 'The new underside, {{value}}, must lie below the old wall’s, {{max}}.',
    bayLonger: 'A bay of {{value}} is longer than the run, {{max}}. Shorten it.',
    outfallAbove:
      'The outlet, {{value}}, lies above the head of the drain, {{max}}. Water does not climb: lower the outlet or raise the drain.',
    pipeLarger:
      'A pipe of {{value}} does not fit: {{max}} are left in the stone. Take a smaller pipe, or a wider, thicker surround.',
    slabNoFloor: 'A slab founded by its floor needs a floor. Add one under Levels, or found it by depth.',
    slabUnderFooting:
      '“{{name}}” goes down to {{value}}, under the footing “{{other}}” at {{min}}. Thin its bed or deepen the footing.',
    softSpotOutside:
      '“{{name}}” lies under no bottom: nothing of it is taken out. Move it under a trench or pad, or remove it.',
    groupFloors:
      '“{{name}}” is dug with group “{{group}}”, whose members carry another floor. Give it a group of its own, or the same floor.',
    stringUnderGround: 'String “{{name}}”, {{value}}, lies under the ground, {{min}}. Raise it.',
    layerUnderStone:
      '“{{name}}”: a layer of {{value}} is thinner than its largest stone, {{min}}. Lay it thicker or take finer stone.',
    coursesLast: 'Courses ({{name}}) stand on the footing: nothing can lie under them.',
    logFar: '{{name}} is far from everything that is dug: is its place right?',
    stackOpen: '{{name}}: the floor cannot close; its layers cut {{value}} into the footing.',
    outlineCrosses: 'The outline crosses itself: side {{one}} and side {{other}}.',
    outlineFlat: 'The outline encloses nothing.',
    keyWider: 'The keyway is wider than its footing ({{max}}).',
    wallFills: 'Walls of {{value}} leave no room inside.',
    boxLow: 'Base and roof together ({{min}}) are as high as the box.',
    reachDoubled: '{{name}}: two reaches at one depth.',
    sameCorner: 'A distance from {{name}} to itself.',
  },
};
