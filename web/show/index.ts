export { CueShown } from './CueShown';
export { DifferenceView, titleOf } from './DifferenceView';
export { EntryHead } from './EntryHead';
export { InItsText } from './InItsText';
export { NotAllSearched } from './NotAllSearched';
export { PassageView } from './PassageView';
export { WithWords } from './WithWords';
export { WordingsView } from './WordingsView';
export { counted } from './counted';
