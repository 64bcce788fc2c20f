import { wrap } from 'comlink';
import type { PlanApi } from './plan.worker.ts';

export const planner = wrap<PlanApi>(new Worker(new URL('./plan.worker.ts', import.meta.url), { type: 'module' }));
