import { createContext, useContext, type ReactNode } from 'react';
import type { Member } from '#contracts';

/** What a screen can do with an entry the finder found; null where it can only be opened. */
export type Placer = (entry: string) => void;

/** Something the finder can do besides finding wording. */
export interface Action {
  label: string;
  key?: string;
  run: () => void;
}

export interface Shell {
  member: Member;
  finderOpen: boolean;
  setFinderOpen: (open: boolean) => void;
  /** Registered by the leaf: how to place an entry at the caret, and what else can be done here. */
  screen: {
    place: Placer | null;
    actions: Action[];
    /** How far down the window the line is that one writes on, in px; null where none is in sight. */
    lineTop?: () => number | null;
  };
  setScreen: (screen: Shell['screen']) => void;
  /** The screens that the finder can go to, in its order. */
  places: readonly { label: string; to: string }[];
  /** The finder itself, which a screen shows in its margin. */
  finder: ReactNode;
  /** What was done before one came to this screen, with its undo. */
  doneElsewhere: ReactNode;
}

export const ShellContext = createContext<Shell | null>(null);

/** The shell around the screen; throws outside it. */
export function useShell(): Shell {
  const shell = useContext(ShellContext);
  if (!shell) throw new Error('useShell must be used within the Shell');
  return shell;
}
