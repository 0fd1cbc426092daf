export { workRoutes } from './served';
export { assign, makeAssignment } from './feedback/assignments';
export { handIn } from './feedback/submissions';
