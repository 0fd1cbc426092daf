export { stackedLevels, type Beside } from './stackedLevels';
