export { EventHub } from './eventHub';
export { eventRoutes } from './eventRoutes';
export { presenceRoutes } from './presence';
