/** Words a plan chooses among, apart from those a stage brings itself. */
export const SUPPORTS = ['slope', 'bench', 'shore'] as const;
export type Support = (typeof SUPPORTS)[number];
export const STRIP_USES = ['footing', 'drain', 'underpin'] as const;
export const RULE_SETS = ['cautious', 'us', 'own'] as const;
export const AREA_USES = ['spoil', 'topsoil', 'stone'] as const;
export const ELEMENT_KINDS = ['strip', 'pad', 'raft', 'pit', 'ramp'] as const;
