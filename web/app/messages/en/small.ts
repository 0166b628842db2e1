/** Few words that every page with figures needs, the hole among them. */
export const small = {
  sides: {
    bays: 'in bays',
    shore: 'shored',
    bench: 'benched',
    vertical: 'upright',
  },
  built: {
    footing: 'footing',
    slab: 'slab',
    base: 'base slab',
    stone: 'stone',
  },
  bedMaterial: {
    crushed: 'Crushed stone',
    clear: 'Clear stone',
    pitGravel: 'Pit gravel',
    sand: 'Sand',
    fine: 'Fine crushed stone',
    hardcore: 'Hardcore',
    soilCement: 'Soil with cement',
    lean: 'Lean concrete',
    own: 'Other',
  },
  field: {
    empty: 'A number is needed here.',
    tooLong: 'That is too long for a number.',
    notANumber: '“{{text}}” is not a number.',
    unknownUnit: 'The unit in “{{text}}” does not fit here.',
    whichTon: '“{{text}}”: which ton? Write t for 1000 kg, tn for a short ton (907 kg).',
    notFinite: 'That number is too large to mean anything.',
    range: 'Between {{min}} and {{max}}.',
  },
};
