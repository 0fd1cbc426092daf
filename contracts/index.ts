export { ROUTES, pathFor } from './routes';
export { MOST_FILES, MOST_NAME } from './files';
export type { CaseFile } from './files';
export { MOST_SENT_BYTES } from './limits';
export type { Access, AtHand, Route } from './route';
export type { RouteName, BodyOf, ResponseOf, ParamsOf } from './routes';
export { ProblemSchema, PROBLEM_TITLES } from './problem';
export type { Problem, ProblemCode } from './problem';
export { MemberSchema, PASSWORD_LENGTH } from './members';
export type { Member, Beginning } from './members';
export type { BankHad, Found, Nearest, NewEntry, Revision, RevisionSummary } from './bank';
export type { CollectionRevision, GrantedTo, Group, Sharing, Team } from './collections';
export type { Invitation, OwnDetails, Person, Post } from './people';
export { ACTS_ABOUT } from './trail';
export type { Act, TrailAsked, TrailLine } from './trail';
export { CasesOnComputersSchema, USUAL_KEEPING } from './wastebasket';
export type { BackupKeeping, CasesOnComputers, Deletion, Restored, TeamSettings } from './wastebasket';
export {
  BROWSER_CODE_LENGTH,
  BROWSER_CODE_LETTERS,
  BROWSER_CODE_MINUTES,
  LeftAloneSchema,
  MOST_LEFT_ALONE,
} from './browserRoutes';
export type { CompanionBeginning } from './browserRoutes';
export { BACKUP_WHYS } from './backupRoutes';
export type { Backup, BackupWhy, BringingBack, BroughtBack, Compared, Room } from './backupRoutes';
export { MOST_LETTER_BYTES, MOST_SENDING_WAIT } from './sendings';
export type { NewSending, Sending } from './sendings';
export type { Note } from './notes';
export type { PractisedNow } from './practice';
export type { Placed, Usage, Usual } from './usage';
export type { Ageing, Review, ReviewGiven } from './reviews';
export type { HouseWordGiven, SaidOtherwise } from './houseWords';
export type {
  Alike,
  Merging,
  PersonalInBank,
  RewordedInDrafts,
  SharedEndsFound,
  TermFound,
  TypedAgain,
  Uses,
} from './order';
export type { Import, ImportPiece, ImportUndone } from './importRoutes';
export type { Proposal } from './proposals';
export type { Step, Stepped } from './steps';
export { DraftSchema } from './cases';
export type {
  Case,
  CaseSummary,
  FoundCase,
  NewCase,
  NewDraft,
  RecordListChange,
  CaseChange,
  Correction,
  Draft,
  DraftStateSummary,
  DraftStateWhy,
  DraftSummary,
  FinishedText,
  NewerWordings,
} from './cases';
export type { Glossary, GlossarySettings, Imported, OwnUses, ToldUses, Use } from './glossaries';
export { CARD_PATHS, PageCardSchema } from './pageCards';
export type { CardPath, PageCard } from './pageCards';
export { keyedEntryId } from './keyedEntry';
export { EventSchema } from './events';
export type { LiveEvent } from './events';
export { collectionFormat } from './collectionFormat';
export { openApi } from './openApi';
export { CollectionSettingsSchema } from '#core/bank';
export type { Bank, Collection, Entry, CollectionSettings } from '#core/bank';
export { CollectionFileSchema, MOST_HANDED_ON } from '#core/takeover';
export type { CollectionFile } from '#core/takeover';
export { MOST_FHIR_BYTES } from './work/admission';
export type { TakenCase } from './work/admission';
export { MOST_MESSAGE_BYTES } from './work/reply';
export type { EarlierEnquiry, Enquiry, EnquiryChange, TakenMessage } from './work/reply';
export { MOST_LETTERS_AT_ONCE, MOST_ROWS_AT_ONCE, WAYS_OUT } from './work/batch';
export type { Batch, BatchRow, LetterFault, RowChange, WayOut } from './work/batch';
export type { OthersMarkings } from './work/marking';
export { MOST_LINES_AT_ONCE } from './work/naming';
export type { FileInTray, LineChange, SaidBefore, Tray, TrayLine } from './work/naming';
export { STAND_IN_RESTS } from './work/transcript';
export type { EarlierCast, OthersTranscript, StandInRest } from './work/transcript';
export { AssignedInSchema, AssignmentChangeSchema, MOST_SUBMISSION_BYTES } from './work/feedback';
export type {
  Assigned,
  Assignment,
  CaseSubmission,
  ClassCounts,
  HandedIn,
  NewAssignment,
  OthersComments,
  SummingUp,
} from './work/feedback';
