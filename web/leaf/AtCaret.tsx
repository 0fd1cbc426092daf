import type { Editor } from '@tiptap/react';
import type { ReactNode } from 'react';
import type { Case } from '#contracts';
import { entryIn } from '#core/bank';
import { placementsOf } from '../editor';
import type { useOffering } from '../offers';
import {
  BlankOffers,
  BlankPanel,
  CommandPanel,
  LettersPanel,
  OffersPanel,
  OutOfReach,
  PlacementActions,
  PlacementPanel,
  ReachList,
  StatementPanel,
  takeOffer,
  useTyped,
  type LeafState,
  type OfferHost,
  type usePlacing,
} from '../writing';

interface Props {
  one: Case;
  /** The id of the draft. */
  draft: string;
  editor: Editor;
  leaf: LeafState;
  placing: ReturnType<typeof usePlacing>;
  offering: ReturnType<typeof useOffering> & { host: OfferHost };
  /** Whether what is in reach is listed while nothing else is said. */
  listsReach: boolean;
}

/** What speaks of what is being typed: a text command, keys begun, offers; with none, of the text at the caret. */
function OfTheTyped(props: Props & { children: ReactNode }) {
  const { one, editor, placing, offering, children } = props;
  const { index, reach, host } = placing;
  const { command, begun, offered, outside } = useTyped(editor, reach?.outside ?? null);
  if (command) return <CommandPanel told={command} />;
  if (begun) return <LettersPanel begun={begun} index={placing.index} />;
  if (outside && index)
    return (
      <>
        <OutOfReach
          editor={editor}
          cue={outside}
          kind={one.kind}
          index={index}
          placeAt={(entry, from, to) => host.placeAt(editor, entry, outside.typed, from, to)}
        />
        {children}
      </>
    );
  if (!offered) return children;
  const take = (at: number) => takeOffer(editor.view, offering.host, at);
  const { sourceOf, cueOf } = offering;
  return <OffersPanel {...{ offered, sourceOf, cueOf, take }} />;
}

/** Whether nothing of the bank is at the caret. */
const isPlain = ({ blank, placement, statement }: LeafState): boolean => !blank && !placement && !statement;

/** What speaks of the text at the caret: its blank, statement and placement, else what is in reach. */
function OfTheText({ one, editor, leaf, placing, offering, draft, listsReach }: Props) {
  const { index, reach, placeIn, host } = placing;
  if (isPlain(leaf) && !listsReach) return null;
  if (isPlain(leaf)) {
    return (
      <ReachList
        kind={one.kind}
        index={index}
        reach={reach}
        before={leaf.before}
        placed={new Set(Object.values(placementsOf(editor.state.doc)).map(({ entry }) => entry))}
        place={(id) => {
          const placement = placeIn(editor, id);
          if (placement) offering.host.brought(placement, id, 1, 'click');
        }}
      />
    );
  }
  const entry = leaf.placed && index?.entries.get(leaf.placed.entry);
  return (
    <div className="grid gap-4">
      {leaf.blank && <BlankPanel editor={editor} blank={leaf.blank} record={one.record} />}
      {leaf.blank && (
        <BlankOffers
          key={`${leaf.blank.attrs.placement} ${leaf.blank.attrs.field}`}
          editor={editor}
          blank={leaf.blank.pos}
          host={offering.host}
          sourceOf={offering.sourceOf}
          cueOf={offering.cueOf}
        />
      )}
      {leaf.statement && <StatementPanel editor={editor} statement={leaf.statement} />}
      {leaf.placement && leaf.placed && (
        <PlacementPanel
          editor={editor}
          draft={draft}
          id={leaf.placement}
          brief={leaf.blank !== null}
          content={(index && entryIn(index, leaf.placed.entry)?.content) ?? undefined}
          renew={(id, wording) => host.renew(editor, id, wording)}
          rivals={host.rivals(leaf.placed).flatMap((id) => {
            const other = index?.entries.get(id);
            const collection = other && index?.collections.get(other.collection);
            return collection ? [{ id, title: other.content.title, collection: collection.name }] : [];
          })}
          replace={(entry) => host.replace(editor, leaf.placement!, entry)}
          actions={
            entry &&
            index && (
              <PlacementActions
                key={leaf.placement}
                editor={editor}
                id={leaf.placement}
                entry={entry}
                index={index}
                changedByHand={host.changedByHand}
              />
            )
          }
        />
      )}
    </div>
  );
}

/** What speaks of the caret: what is being typed there, else what is there. */
export const AtCaret = (props: Props) => (
  <OfTheTyped {...props}>
    <OfTheText {...props} />
  </OfTheTyped>
);
