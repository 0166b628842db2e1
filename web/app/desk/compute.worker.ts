import { compute, type Plan } from '@cimiento/core';
import { expose } from 'comlink';

const api = { compute: (plan: Plan) => compute(plan) };
export type ComputeWorker = typeof api;
expose(api);
