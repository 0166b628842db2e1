#!/usr/bin/env -S npx tsx
/** The command line: the same core on plan and job files. */
import { readFile } from 'node:fs/promises';
import { pathToFileURL } from 'node:url';
import { compute, digSequence, isDay, programmeOf } from '@cimiento/core';
import { daysJson, readJob, takeoffCsv, takeoffJson, writeRecordCsv } from '@cimiento/formats';

const USAGE = `usage: cimiento takeoff FILE.json [--csv]   the takeoff as JSON (SI) or CSV
       cimiento validate FILE.json          problems with their paths; exit 1 when any
       cimiento record FILE.json            what was logged on the job as CSV, in the order of time
       cimiento days FILE.json [--today DATE]  tasks and days as JSON; without a date from the plan's own start
exit 0 done, 1 the plan has problems, 2 unreadable input or wrong usage
`;

const COMMANDS = ['takeoff', 'validate', 'record', 'days'];

/** What is asked beside a file; null: it cannot be read. */
function flagsOf(command: string, flags: readonly string[]): { csv: boolean; today: string | null } | null {
  if (flags.length === 0) return { csv: false, today: null };
  if (command !== 'days') return flags.every((flag) => flag === '--csv') ? { csv: true, today: null } : null;
  const [flag, day, ...more] = flags;
  if (flag !== '--today' || day === undefined || more.length > 0) return null;
  return /^\d{4}-\d{2}-\d{2}$/.test(day) && isDay(day) ? { csv: false, today: day } : null;
}

interface Out {
  out(text: string): void;
  err(text: string): void;
}

/** Runs one command; returns the exit status. */
export async function run(args: readonly string[], io: Out): Promise<number> {
  const [command, file, ...flags] = args;
  const asked = command && COMMANDS.includes(command) && file ? flagsOf(command, flags) : null;
  if (!asked || !file) {
    io.err(USAGE);
    return 2;
  }
  let text: string;
  try {
    text = await readFile(file, 'utf8');
  } catch (error) {
    io.err(`cannot read ${file}: ${error instanceof Error ? error.message : String(error)}\n`);
    return 2;
  }
  const read = readJob(text);
  const json = (value: unknown) => io.out(`${JSON.stringify(value, null, 2)}\n`);
  if (!read.ok) {
    const unreadable = 'unreadable' in read;
    if (command === 'validate' && !unreadable) json({ ok: false, problems: read.problems });
    else io.err(`${JSON.stringify({ ok: false, problems: read.problems }, null, 2)}\n`);
    return unreadable ? 2 : 1;
  }
  if (command === 'record') {
    io.out(writeRecordCsv(read.plan, read.records));
    return 0;
  }
  const takeoff = compute(read.plan, read.records);
  if (command === 'validate') {
    json({ ok: takeoff.problems.length === 0, problems: takeoff.problems });
    return takeoff.problems.length > 0 ? 1 : 0;
  }
  if (command === 'days') {
    const found = digSequence(read.plan, takeoff);
    const days = programmeOf(read.plan, takeoff, {
      order: found.ok ? found.steps.map(({ id }) => id) : [],
      today: asked.today,
      records: read.records,
    });
    json(daysJson(read.plan, days));
    return days.problems.length > 0 ? 1 : 0;
  }
  if (asked.csv) io.out(takeoffCsv(read.plan, takeoff));
  else json(takeoffJson(read.plan, takeoff));
  return 0;
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href)
  process.exitCode = await run(process.argv.slice(2), {
    out: (text) => process.stdout.write(text),
    err: (text) => process.stderr.write(text),
  });
