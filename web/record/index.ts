export { AboutCase } from './AboutCase';
export { DetailField } from './DetailField';
export { Headpiece } from './Headpiece';
export { recordDayInWords, itemInLocale } from './itemInLocale';
export { FromClipboard } from './FromClipboard';
export { takenInWords } from './takenInWords';
export { useClipboardDetails } from './useClipboardDetails';
