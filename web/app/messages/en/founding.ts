/** Slabs on their floor, drains, stone footings, old walls, strings, what is in the way, what is dug by hand. */
export const founding = {
  drain: {
    flat: 'flat',
    falls: 'falls {{fall}}',
  },
  strings: {
    title: 'Strings',
    one: 'String',
    own: 'the job’s, {{level}}',
    hangsOn: 'Hangs on',
    asFloor: 'its floor’s: {{name}}',
    add: 'Add a string',
    name: 'String',
    first: 'String {{n}}',
    remove: 'Remove string {{name}}',
    job: 'the job’s',
  },
};
