import type { Editor } from '@tiptap/react';
import type { Passage } from '#core/passage';
import type { CaseRecord } from '#core/record';
import type { ReactNode } from 'react';
import type { Case, Draft } from '#contracts';
import type { DraftKeeper } from '#client/drafts';
import type { Action } from '../shell';
import type { usePlacing } from '../writing';

/** The leaf that a case's material is worked on. */
export interface LeafWithMaterial {
  one: Case;
  draft: Draft;
  editor: Editor;
  keeper: DraftKeeper;
  /** False for a finished draft. */
  open: boolean;
  say: (words: string | null) => void;
  /** Whether it has words and no gap; where it has one, that is shown and gone to. */
  isWhole: () => boolean;
  /** The leaf is finished by other ways than its key. */
  settle: (finished: Draft) => void;
  /** What the bank has of an entry that was placed, and a placement in another of its wordings. */
  bank: Pick<ReturnType<typeof usePlacing>['host'], 'contentOf' | 'inWording'>;
  /** Places an entry where one writes. */
  place: (entry: string) => void;
  /** Tells what the record knows besides, worked out from the material; an equal list is no other. */
  tellDetails: (details: CaseRecord['details']) => void;
}

/** What a case brings to be worked on (a submission, a recording), as a leaf shows it. */
export interface Material {
  /** Stands above the text. */
  above: ReactNode;
  /** A class for the leaf itself, where it is drawn otherwise for its material; '' where it is not. */
  leafClass: string;
  /** Whether it draws the text itself, within what stands above it. */
  drawsText: boolean;
  /** What the text beneath is called; null where it needs no name. */
  textName: string | null;
  /** What can be done with it, for the look-up and by keys. */
  actions: readonly Action[];
  /** Speaks of what is at hand, first of all that is level with it in the margin. */
  beside: ReactNode;
  /** Whether what is in reach is listed while nothing else is said: not beside a comment that has words. */
  listsReach: boolean;
  /** While one reads and does not write nothing is said of the text. */
  isReading: boolean;
  /** Whether it takes the keys when the leaf is opened, and not the text. */
  takesKeys: boolean;
  /** Before an entry is placed that was looked up: what is read becomes what is written on. */
  beforePlacing: () => void;
  /** What is still to be done before the leaf is finished, once it was said: true where finishing waits for it. */
  holdsFinish: () => boolean;
  /** What became of a finished text, before the ways to take it away. */
  outcome: (acts: { reopen: () => void }) => ReactNode;
  /** How the finished text reads where it is taken away. */
  outgoing: (passage: Passage) => Passage;
  /** Ways to take the text away besides those of every text, beneath these once it is finished. */
  takeAway: ReactNode;
  /** Ways to take what is finished away, in place of those of the text; null for those. */
  finished: ((acts: { reopen: () => void; reopening: boolean; isNew: boolean }) => ReactNode) | null;
}

/** Gives the material of a leaf; a hook, the same one for as long as the leaf is open. */
export type UseMaterial = (leaf: LeafWithMaterial) => Material;

/** Of a case that brings nothing. */
export const NO_MATERIAL: Material = {
  above: null,
  leafClass: '',
  drawsText: false,
  textName: null,
  actions: [],
  beside: null,
  listsReach: true,
  isReading: false,
  takesKeys: false,
  beforePlacing: () => undefined,
  holdsFinish: () => false,
  outcome: () => null,
  outgoing: (passage) => passage,
  takeAway: null,
  finished: null,
};

/** Of a leaf on which nothing but the text is. */
export const useNoMaterial: UseMaterial = () => NO_MATERIAL;
