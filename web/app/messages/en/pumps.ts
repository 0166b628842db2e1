/** Pumps by name: told wherever a change of a plan is. */
export const pumps = {
  night: {
    pumps: {
      electric50: 'electric, {{hose}} hose, in the sump',
      petrol50: 'petrol, {{hose}}',
      petrol80: 'petrol, {{hose}}',
      diesel100: 'diesel, {{hose}}',
      bucket: 'people with buckets',
    },
  },
};
