export { phraseRoutes } from './phraseRoutes';
