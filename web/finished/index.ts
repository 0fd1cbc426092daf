export { asPlain, TEXT_FORMS } from './textForms';
export { TakeTexts } from './TakeTexts';
