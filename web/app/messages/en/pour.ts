/** Concrete. */
export const pour = {
  pour: {
    blinding: 'Lean concrete',
    inBeds: 'Lean concrete under footings is a layer of their bed: see Base.',
    irregularity: 'Uneven bed',
    irregularityHint: 'allowance',
    makeUp: 'Make up a low bottom with',
    with: { stone: 'stone', lean: 'lean concrete', concrete: 'more footing' },
    lean: 'Lean concrete',
    together: 'Cast together',
    order: 'Order',
    waste: 'Waste',
    step: 'Plant’s step',
    screed: 'Straight-edge it is drawn off with',
    truck: 'Concrete truck',
    neat: 'Footings and make-up',
    orderConcrete: 'Concrete to order',
    orderLean: 'Lean concrete to order',
    loads_one: '{{count}} load',
    loads_other: '{{count}} loads',
  },
};
