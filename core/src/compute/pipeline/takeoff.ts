/** The takeoff: everything the core says about a job. Codes and data only; words live with the interface. */
import type { CautionCode } from '../../cautions/index.ts';
import type { Figures } from '../../figures/index.ts';
import type { Caution } from '../../results/index.ts';
import type { Job } from '../../takeoff/index.ts';

export interface Takeoff extends Omit<Job, 'plan' | 'dig' | 'placed'> {
  readonly figures: Figures;
  readonly cautions: readonly Caution<CautionCode>[];
}
