export { AlikeSection } from './AlikeSection';
export { SharedEndsSection } from './SharedEndsSection';
