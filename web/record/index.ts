export { AboutCase } from './AboutCase';
export { DetailField } from './DetailField';
export { hasRecord, Headpiece } from './Headpiece';
export { RECORD_KEY } from './recordKey';
export { recordDayInWords, itemInLocale } from './itemInLocale';
export { FromClipboard } from './FromClipboard';
export { takenInWords } from './takenInWords';
export { useClipboardDetails } from './useClipboardDetails';
export { useIsWide } from './useIsWide';
