export { KindsOfWorkField } from './KindsOfWorkField';
export { kindsInWords, KINDS_OF_WORK, kindInWords } from './kindsOfWork';
