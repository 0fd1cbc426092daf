export { anyEntry } from './anyEntry';
export { anyAnswers } from './anyAnswers';
