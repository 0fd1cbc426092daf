import { useMutation } from '@tanstack/react-query';
import { EditorContent } from '@tiptap/react';
import { useEffect, useRef } from 'react';
import type { Case, OthersMarkings } from '#contracts';
import { markingsAsText } from '#core/draft';
import { KEYS, queryClient } from '../../api';
import { LeafOfCase, NO_MATERIAL, type LeafWithMaterial, type Material } from '../../leaf';
import type { Action } from '../../shell';
import { Failed, FileDrop, Loading, Refused } from '../../ui';
import { MarkingsBeside } from './MarkingsBeside';
import { MarkingsAsList } from './MarkingsAsList';
import { PageHead } from './PageHead';
import { PagePane } from './PagePane';
import { readPage, savePage } from './readPage';
import { TakeAway } from './TakeAway';
import { useMarkings, type Markings } from './useMarkings';
import { useNotes, type NoteOnPage } from './useNotes';
import { useOthersMarkings } from './useOthersMarkings';
import { usePageFind, type PageFind } from './usePageFind';
import { markedFile, usePages } from './usePages';

/** Where the page to be marked is dropped or chosen. */
function TakePage({ one }: { one: Case }) {
  const taking = useMutation({
    mutationFn: async (file: File) => savePage(one, await readPage(file)),
    onSuccess: () => queryClient.invalidateQueries({ queryKey: KEYS.case(one.id) }),
  });
  return (
    <section aria-label="The page to be marked" className="grid gap-3 px-9 py-5 max-[899px]:px-4">
      <FileDrop
        label="Page"
        hint="Drop the page here that is to be marked: a PDF, a plan, a map or a picture (PNG, JPEG, WebP, TIFF). It is saved with the case."
        accept=".pdf,.png,.jpg,.jpeg,.webp,.gif,.tif,.tiff"
        isReading={taking.isPending}
        take={([file]) => file && taking.mutate(file)}
      />
      {taking.error && <Refused error={taking.error} />}
    </section>
  );
}

/** What a leaf shows of its page. */
interface Shown {
  leaf: LeafWithMaterial;
  markings: Markings;
  find: PageFind;
  notes: readonly NoteOnPage[];
  others: readonly OthersMarkings[];
  pages: ReturnType<typeof usePages>;
}

/** The page above, with its markings on it, or these as a list. */
function Above({ leaf, markings, find, notes, others, pages }: Shown) {
  const { one, editor } = leaf;
  const { paneRef, view, acts } = markings;
  const source = pages.data;
  const isShown = source !== undefined && view === 'page';
  const wasShown = useRef(false);
  useEffect(() => {
    if (!isShown) return;
    // Whoever pressed something while the page was on its way goes on there.
    const isElsewhere = document.activeElement?.matches('button, input, select, textarea') ?? false;
    if (wasShown.current || !isElsewhere) paneRef.current?.focus({ preventScroll: true });
    wasShown.current = true;
  }, [isShown, paneRef]);
  // Without its page what is marked can be read and written on all the same.
  const isMissing = pages.isError && view === 'page';
  useEffect(() => {
    if (isMissing) acts.show('list');
  });
  if (!source && view === 'list')
    return (
      <>
        {pages.isError ? (
          <Failed what="the page" error={pages.error} retry={() => void pages.refetch()} />
        ) : (
          <Loading what="the page" />
        )}
        <p className="px-9 pt-3 text-[13.5px] text-soft max-[899px]:px-4">
          What is marked on it is here as a list. You can write in it.
        </p>
        <MarkingsAsList editor={editor} />
      </>
    );
  if (!source)
    return (
      <>
        {markedFile(one) ? <Loading what="the page" /> : <TakePage one={one} />}
        {/* The text has its home in the page all the time. */}
        <div hidden>
          <EditorContent editor={editor} />
        </div>
      </>
    );
  return (
    <>
      <PageHead {...{ markings, find }} count={source.count} />
      {view === 'page' ? (
        <PagePane {...{ source, editor, markings, find, notes, others }} />
      ) : (
        <MarkingsAsList editor={editor} />
      )}
    </>
  );
}

/** What can be done with the page that is shown, and with its markings. */
function actionsOf({ leaf, markings, find }: Pick<Shown, 'leaf' | 'markings' | 'find'>): Action[] {
  const { acts, zoom, view, current, point } = markings;
  const asList = { label: 'The markings as a list', key: 'Alt + ,', run: () => acts.show('list') };
  const asPage = { label: 'The markings on the page', key: 'Alt + ,', run: () => acts.show('page') };
  if (view === 'list') return [asPage];
  const changes: Action[] = [
    { label: 'The same marking again, here', key: 'Alt + .', run: () => acts.again() },
    ...(current === null
      ? []
      : [{ label: 'Line up with another marking', key: 'Alt + E', run: () => point('line-up') }]),
    { label: 'Delete this marking', run: () => acts.drop() },
  ];
  return [
    { label: 'Next marking', key: 'Alt + T', run: () => acts.step(1) },
    { label: 'Marking before', key: 'Alt + H', run: () => acts.step(-1) },
    { label: 'Find on these pages', key: 'Alt + /', run: () => find.type(find.typed ?? '') },
    asList,
    { label: 'Larger', key: 'Alt + Z', run: zoom.larger },
    { label: 'Smaller', key: 'Alt + V', run: zoom.smaller },
    ...(leaf.open ? changes : []),
  ];
}

/** The page of a case, with what can be done with the markings on it. */
function useMarkedPage(leaf: LeafWithMaterial): Material {
  const { one } = leaf;
  const pages = usePages(one.id, markedFile(one));
  const markings = useMarkings(leaf);
  const find = usePageFind(pages.data, markings);
  const notes = useNotes(pages.data);
  const others = useOthersMarkings(one);
  const { acts, isReading, cross, view } = markings;
  const has = !!pages.data;
  const takeAway = pages.data ? <TakeAway {...{ leaf }} source={pages.data} page={markings.page} /> : null;
  return {
    ...NO_MATERIAL,
    above: <Above {...{ leaf, markings, pages, find, notes, others }} />,
    leafClass: 'with-page',
    drawsText: true,
    actions: has ? actionsOf({ leaf, markings, find }) : [],
    beside: has ? (
      <MarkingsBeside {...{ markings, notes, others }} open={leaf.open} pages={pages.data?.count ?? 0}>
        {takeAway}
      </MarkingsBeside>
    ) : null,
    listsReach: false,
    isReading,
    takesKeys: true,
    beforePlacing: () => {
      if (has && isReading && view === 'page') acts.begin(cross);
    },
    outgoing: markingsAsText,
    takeAway,
  };
}

/** A page on its leaf, marked at its places. */
export const MarkedPageLeaf = ({ id }: { id: string }) => <LeafOfCase id={id} material={useMarkedPage} />;
