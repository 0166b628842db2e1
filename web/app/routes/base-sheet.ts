import { sheetOf } from '../server/sheets.server.ts';
import type { Route } from './+types/base-sheet';

export const loader = ({ request, params }: Route.LoaderArgs) => sheetOf(request, params.jobId, 'base');
