export { Figure } from './Figure';
export { Mark } from './Mark';
export { NothingHere } from './NothingHere';
export { Offline } from './Offline';
export { useShell, ShellContext, type Shell, type Action, type Placer } from './ShellContext';
export { liveKeys, SECOND_WAYS, useKeyListener, useLiveKeys } from './keys';
export { switchTheme, followTheme } from './theme';
export { useKeysOnScreen } from './useKeysOnScreen';
export { useScreenTitle } from './useScreenTitle';
