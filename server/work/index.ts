export { workRoutes } from './served';
export { assign, makeAssignment } from './feedback/assignments';
export { takeMessage } from './reply/takeMessage';
export { handIn } from './feedback/submissions';
