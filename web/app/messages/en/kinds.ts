/** Kinds of element: by name, counted, and as the head of a panel. */
export const kinds = {
  kinds: {
    title: {
      strip: 'Trench {{name}}',
      pad: 'Pad {{name}}',
      raft: 'Slab {{name}}',
      box: 'Box {{name}}',
      underpin: 'Underpinned run {{name}}',
      ramp: 'Ramp {{name}}',
    },
    count: {
      strip_one: '{{count}} trench',
      strip_other: '{{count}} trenches',
      pad_one: '{{count}} pad',
      pad_other: '{{count}} pads',
      raft_one: '{{count}} slab',
      raft_other: '{{count}} slabs',
      underpin_one: '{{count}} underpinned run',
      underpin_other: '{{count}} underpinned runs',
      box_one: '{{count}} box',
      box_other: '{{count}} boxes',
      ramp_one: '{{count}} ramp',
      ramp_other: '{{count}} ramps',
    },
  },
  compactor: {
    plateLight: 'plate {{mass}}',
    plateMedium: 'plate {{mass}}',
    plateReversible: 'reversible plate {{mass}}',
    plateHeavy: 'reversible plate {{mass}}',
    rammer: 'rammer {{mass}}',
    trenchRoller: 'trench roller {{mass}}',
    handTamper: 'hand tamper',
  },
};
