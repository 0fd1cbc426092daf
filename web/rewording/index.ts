export { RewordedSection } from './RewordedSection';
