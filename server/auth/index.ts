export {
  beginSession,
  clearCookie,
  endSession,
  memberColumns,
  memberOf,
  hashOf,
  sessionOf,
  openAmong,
} from './sessions';
