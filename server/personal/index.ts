export { particularsFor } from './particulars';
export { allowDetail } from './personalInBank';
export { personalRoutes } from './personalRoutes';
