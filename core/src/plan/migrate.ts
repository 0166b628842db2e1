/**
 * Old plans become new ones step by step, at every door, before validation. A step takes the
 * document of version n and returns that of version n+1; it never looks at later versions.
 */
import type { Problem } from '../compute/takeoff.ts';

export type Step = (document: Record<string, unknown>) => Record<string, unknown>;
/** Steps by the version they start from. Version 1 is the first, so there are none yet. */
export const STEPS: Readonly<Record<number, Step>> = {};

export type Migrated =
  | { readonly ok: true; readonly document: Record<string, unknown>; readonly from: number }
  | { readonly ok: false; readonly problem: Problem };

/**
 * Brings a plan document to the current version.
 * @param document parsed JSON of any version
 */
export function migrate(document: unknown, current: number, format: string, steps = STEPS): Migrated {
  const refuse = (code: string, path: string, value?: unknown): Migrated => ({
    ok: false,
    problem: {
      code,
      path,
      ...(typeof value === 'number' || typeof value === 'string'
        ? { value: typeof value === 'string' ? value.slice(0, 40) : value }
        : {}),
      max: current,
    },
  });
  if (typeof document !== 'object' || document === null || Array.isArray(document))
    return refuse('notAPlan', '');
  let plan = document as Record<string, unknown>;
  if (plan.format !== format) return refuse('notAPlan', '/format', plan.format);
  const { version } = plan;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return refuse('version', '/version', version);
  if (version > current) return refuse('versionTooNew', '/version', version);
  for (let v = version; v < current; v++) {
    const step = steps[v];
    if (!step) return refuse('version', '/version', version);
    plan = { ...step(plan), version: v + 1 };
  }
  return { ok: true, document: plan, from: version };
}
