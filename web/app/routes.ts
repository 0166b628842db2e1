import { index, type RouteConfig, route } from '@react-router/dev/routes';
import { SHEET_IDS, SHEETS } from './paper/sheets.ts';

export default [
  index('routes/home.ts'),
  route('sign-in', 'routes/sign-in.tsx'),
  route('sign-out', 'routes/sign-out.ts'),
  route('join', 'routes/join.tsx'),
  route('preferences', 'routes/preferences.ts'),
  route('healthz', 'routes/healthz.ts'),
  route('plan.schema.json', 'routes/plan-schema.ts'),
  route('weather', 'routes/weather.ts'),
  route('gauge', 'routes/gauge.ts'),
  route('forecast', 'routes/forecast.ts'),
  route('instruments', 'routes/instruments.ts'),
  route('crew/archive', 'routes/archive.ts'),
  route('hole', 'routes/hole.tsx'),
  route('crew/jobs', 'routes/crew-jobs.ts'),
  route('jobs', 'routes/jobs.tsx'),
  route('jobs/:jobId', 'routes/job.tsx'),
  route('jobs/:jobId/revisions', 'routes/revisions.ts'),
  route('jobs/:jobId/records', 'routes/records.ts'),
  route('jobs/:jobId/whole', 'routes/whole.ts'),
  route('jobs/:jobId/events', 'routes/events.ts'),
  route('jobs/:jobId/plan.json', 'routes/plan-file.ts'),
  route('jobs/:jobId/takeoff.json', 'routes/takeoff-json.ts'),
  route('jobs/:jobId/takeoff.csv', 'routes/takeoff-csv.ts'),
  ...SHEET_IDS.map((id) =>
    route(`jobs/:jobId/${SHEETS[id].file}.pdf`, 'routes/sheet.ts', { id: `sheet-${id}` }),
  ),
] satisfies RouteConfig;
