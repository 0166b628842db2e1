/** Filling back. */
export const backfill = {
  backfill: {
    void: 'Hole to fill again',
    short: 'To bring in',
    spoil: 'Spoil by soil',
    soil: 'Soil',
    bank: 'bank',
    loose: 'loose',
    kept: 'kept',
    hauled: 'leaves',
    topsoil: 'Topsoil',
    topsoil_keep: 'keep apart',
    topsoil_haul: 'haul away',
    keep: 'Keep fit soil for backfill',
  },
};
