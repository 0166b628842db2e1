/** What a browser calls itself, in two words a person knows it by. */

const BROWSERS = [
  ['Edg', 'Edge'],
  ['Firefox', 'Firefox'],
  ['Chrom', 'Chrome'],
  ['Safari', 'Safari'],
] as const;
const SYSTEMS = [
  ['Android', 'Android'],
  ['iPhone', 'iPhone'],
  ['iPad', 'iPad'],
  ['Windows', 'Windows'],
  ['Mac OS', 'Mac'],
  ['Linux', 'Linux'],
] as const;

const named = (agent: string, names: readonly (readonly [string, string])[]) =>
  names.find(([part]) => agent.includes(part))?.[1];

/** Such as `Firefox · Android`; empty of what says neither. */
export const agentOf = (agent: string): string =>
  [named(agent, BROWSERS), named(agent, SYSTEMS)].filter(Boolean).join(' · ');
