import { compute } from '@cimiento/core';
import { takeoffJson } from '@cimiento/formats';
import { fileOf, jobOf } from '../server/download.server.ts';
import type { Route } from './+types/takeoff-json';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { plan } = await jobOf(request, params.jobId);
  const json = `${JSON.stringify(takeoffJson(plan, compute(plan)), null, 2)}\n`;
  return fileOf(json, 'application/json', `${plan.name} takeoff`, 'json');
}
