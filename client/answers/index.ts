export { answerHelp, answerProblemInWords } from './answerHelp';
