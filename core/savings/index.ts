export { shownByPlacement } from './shown';
