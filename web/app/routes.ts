import { index, type RouteConfig, route } from '@react-router/dev/routes';

export default [
  index('routes/home.ts'),
  route('sign-in', 'routes/sign-in.tsx'),
  route('sign-out', 'routes/sign-out.ts'),
  route('join', 'routes/join.tsx'),
  route('preferences', 'routes/preferences.ts'),
  route('healthz', 'routes/healthz.ts'),
  route('plan.schema.json', 'routes/plan-schema.ts'),
  route('weather', 'routes/weather.ts'),
  route('crew/archive', 'routes/archive.ts'),
  route('jobs', 'routes/jobs.tsx'),
  route('jobs/:jobId', 'routes/job.tsx'),
  route('jobs/:jobId/revisions', 'routes/revisions.ts'),
  route('jobs/:jobId/records', 'routes/records.ts'),
  route('jobs/:jobId/events', 'routes/events.ts'),
  route('jobs/:jobId/record.pdf', 'routes/record-file.ts'),
  route('jobs/:jobId/plan.json', 'routes/plan-file.ts'),
  route('jobs/:jobId/takeoff.json', 'routes/takeoff-json.ts'),
  route('jobs/:jobId/takeoff.csv', 'routes/takeoff-csv.ts'),
  route('jobs/:jobId/dig-sheet.pdf', 'routes/dig-sheet.ts'),
  route('jobs/:jobId/set-out-sheet.pdf', 'routes/set-out-sheet.ts'),
] satisfies RouteConfig;
