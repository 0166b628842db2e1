/** Concrete. */
export const pour = {
  pour: {
    blinding: 'Blinding',
    hasBlinding: 'Lean concrete under the footings',
    thickness: 'Thickness',
    projection: 'Past the footing',
    irregularity: 'Uneven bed',
    irregularityHint: 'allowance',
    makeUp: 'Make up a low bottom with',
    with: { stone: 'stone', lean: 'lean concrete', concrete: 'more footing' },
    lean: 'Lean concrete',
    order: 'Order',
    waste: 'Waste',
    step: 'Plant’s step',
    truck: 'Truck',
    neat: 'Footings and make-up',
    orderConcrete: 'Concrete to order',
    orderLean: 'Lean concrete to order',
    loads_one: '{{count}} load',
    loads_other: '{{count}} loads',
  },
};
