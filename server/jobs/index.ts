export { bindLong } from './bindLong';
export { jobRoutes } from './jobRoutes';
export { dropOldJobs } from './jobs';
