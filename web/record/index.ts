export { AboutCase } from './AboutCase';
export { DetailField } from './DetailField';
export { Headpiece } from './Headpiece';
export { dayInWords, itemInWords } from './itemInWords';
export { FromClipboard } from './FromClipboard';
export { takenInWords } from './takenInWords';
export { useClipboardDetails } from './useClipboardDetails';
