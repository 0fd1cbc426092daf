export { TypedAgainSection } from './TypedAgainSection';
