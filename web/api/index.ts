export {
  dropUnsent,
  useBank,
  takeKept,
  useAtHand,
  useEntriesAtHand,
  takeWhole,
  renewCollection,
  takeEntries,
  entryNow,
} from './bank';
export { newCollection } from './newCollection';
export {
  KEYS,
  askOnItsWayAgain,
  queryClient,
  useBeginning,
  useSession,
  usePreferences,
  useSharing,
  useTeam,
  useGlossaries,
  useCases,
  useRevision,
  useRevisions,
  houseWordsQuery,
  dictionariesQuery,
  useAllowedDetails,
  useOwnUses,
  useNewerWordings,
  useNotes,
  preferencesQuery,
  usePeople,
  usePostRoom,
  useRoom,
  useBackups,
  useQueue,
  useSendings,
  useOwnSessions,
  usePlaced,
  useUsual,
  usePractised,
  useProposals,
  revisionQuery,
  useEarlierUses,
} from './queries';
export { useBankIndex } from './useBankIndex';
export { useFoundAway } from './useFoundAway';
export { useLiveEvents } from './useLiveEvents';
export { useIsOfTeam, usePersonalFinder } from './usePersonalFinder';
export { useReach } from './useReach';
export { useMergedSetup } from './useMergedSetup';
export { useTerms, useDropTerm, useKeepTerm, useImport } from './useTerms';
export { useKinds } from './useKinds';
export { useChangeTeamSettings, useTeamSettings } from './useTeamSettings';
export { useCase, useRecordRules } from './useCase';
export { settleSignOut, signOut } from './signOut';
