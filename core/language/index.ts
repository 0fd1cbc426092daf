export { withArticle } from './article';
export { numberWords } from './numberWords';
export { readNumber } from './readNumber';
