export { remembering } from './remembering';
