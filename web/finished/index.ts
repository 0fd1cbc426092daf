export { docxForm, TEXT_FORMS } from './textForms';
export { TakeTexts } from './TakeTexts';
