export { groupRoutes } from './groupRoutes';
export { invitationRoutes } from './invitationRoutes';
export { joiningRoutes } from './joiningRoutes';
export { ownRoutes } from './ownRoutes';
export { peopleRoutes } from './peopleRoutes';
export { trailRoutes } from './trailRoutes';
