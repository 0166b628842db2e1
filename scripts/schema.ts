/** Writes docs/plan.schema.json, the plan file's JSON Schema, from the schema the core checks with. */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { PlanSchema } from '@cimiento/core/schema';
import { ROOT } from './postgres.ts';

writeFileSync(join(ROOT, 'docs/plan.schema.json'), `${JSON.stringify(PlanSchema, null, 2)}\n`);
