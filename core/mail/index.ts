export { messageParts, type MessagePart } from './messageParts';
export { plainSubject } from './subject';
export { languageOfText } from './languageOfText';
