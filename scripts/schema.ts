/**
 * Writes docs/plan.schema.json, the plan file's JSON Schema, from the schema the core checks with,
 * and docs/plan-fields.md from its table of fields.
 */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { FIELDS, type Field, KINDS } from '@cimiento/core';
import { PlanSchema } from '@cimiento/core/schema';
import { ROOT } from './postgres.ts';

writeFileSync(join(ROOT, 'docs/plan.schema.json'), `${JSON.stringify(PlanSchema, null, 2)}\n`);

const rows = Object.entries(FIELDS).map(([pattern, field]: [string, Field]) => {
  const { kind, min, max, start } = field;
  const starts = start === undefined ? '' : typeof start === 'number' ? start : start.join(' or ');
  return `| \`${pattern}\` | ${kind} | ${min} | ${max} | ${starts} |`;
});
writeFileSync(
  join(ROOT, 'docs/plan-fields.md'),
  `# Every number of a plan file

Written by \`npm run schema\` from \`core/src/plan/fields.ts\`. SI; \`*\` stands for a place in a list; two starts are
those of a metric and an imperial job. Kinds: ${Object.keys(KINDS).join(', ')}.

| pointer | kind | least | most | a new job starts with |
| --- | --- | --- | --- | --- |
${rows.join('\n')}
`,
);
