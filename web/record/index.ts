export { AboutCase } from './AboutCase';
export { DetailField } from './DetailField';
export { Headpiece } from './Headpiece';
export { dayInWords, itemInWords } from './itemInWords';
