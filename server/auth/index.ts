export {
  beginCompanion,
  beginSession,
  clearCookie,
  endSession,
  memberColumns,
  memberOf,
  hashOf,
  sessionOf,
  openAmong,
} from './sessions';
