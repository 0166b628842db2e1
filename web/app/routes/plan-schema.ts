import { PlanSchema } from '@cimiento/core/schema';

export const loader = () =>
  Response.json(PlanSchema, { headers: { 'Content-Type': 'application/schema+json' } });
