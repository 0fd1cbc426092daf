import type { Editor } from '@tiptap/react';
import type { Case } from '#contracts';
import type { DraftKeeper } from '#client/drafts';
import { isInReach } from '#core/glossary';
import { LinkSlip, SymbolSlip } from '../format';
import type { useOffering } from '../offers';
import {
  EarlierStates,
  FindSlip,
  giveKeys,
  ReachSlip,
  ReferenceSlip,
  SpellingSlip,
  TermSlip,
  TextsSlip,
  type LeafSlip,
  type Spelling,
  type usePlacing,
} from '../writing';

interface Props {
  one: Case;
  editor: Editor;
  placing: ReturnType<typeof usePlacing>;
  offering: ReturnType<typeof useOffering>;
  keeper: DraftKeeper;
  slip: LeafSlip;
  openSlip: (slip: LeafSlip | null) => void;
  spelling: Spelling;
  say: (words: string | null) => void;
}

/** The slip that was asked for by a key or in the look-up; the keys go back to the text when it closes. */
export function SlipAskedFor({
  one,
  editor,
  placing,
  offering,
  keeper,
  slip,
  openSlip,
  spelling,
  say,
}: Props) {
  const close = (said?: string | null) => {
    openSlip(null);
    if (said !== undefined) say(said);
    giveKeys(editor.view);
  };
  const { preferences, glossaries } = offering;
  switch (slip.kind) {
    case 'reference':
      return <ReferenceSlip editor={editor} close={close} />;
    case 'earlier':
      return <EarlierStates editor={editor} draft={keeper.draftId} close={close} />;
    case 'texts':
      return <TextsSlip editor={editor} close={close} />;
    case 'find':
      return <FindSlip editor={editor} close={close} />;
    case 'spelling':
      return (
        <SpellingSlip
          {...{ editor, close, ...spelling }}
          keepTerm={(text) => openSlip({ kind: 'term', text })}
        />
      );
    case 'symbol':
      return <SymbolSlip editor={editor} close={close} />;
    case 'link':
      return <LinkSlip editor={editor} close={close} />;
    case 'reach':
      return <ReachSlip kind={one.kind} index={placing.index} glossaries={glossaries} close={close} />;
    case 'term': {
      const inReach = glossaries
        .filter((list) => !list.shipped && isInReach(list, one.kind, preferences.reach[one.kind]))
        .sort((a, b) => b.priority - a.priority);
      return <TermSlip text={slip.text} glossaries={inReach} needs={placing.caseToday} close={close} />;
    }
  }
}
