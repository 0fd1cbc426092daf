export { sendingRoutes } from './sendingRoutes';
export { deliverDue } from './deliverDue';
