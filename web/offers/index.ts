export { countUse } from './countUse';
export { useGlossaryLists } from './useGlossaryLists';
export { useOffering } from './useOffering';
export { useSavePreferences } from './useSavePreferences';
