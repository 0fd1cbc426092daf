export { NewPasswordField } from './NewPasswordField';
export { SignInAgain } from './SignInAgain';
export { leaveSession } from './leaveSession';
