export { anyEntry } from './anyEntry';
export { anyAnswers } from './anyAnswers';
export { finished } from './finished';
