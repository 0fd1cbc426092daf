export { useDictionary } from './useDictionary';
export { useMisspeltMarks } from './useMisspeltMarks';
export { useKnown, useSpellChecker } from './useSpellChecker';
export { useMisspeltWords, type MisspeltWord } from './useMisspeltWords';
export { useRespellings } from './useRespellings';
export { useSayRight } from './useSayRight';
export { useSpellings } from './useSpellings';
export { RightWords } from './RightWords';
