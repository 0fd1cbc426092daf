import { useMutation } from '@tanstack/react-query';
import { EditorContent } from '@tiptap/react';
import { useEffect, useState } from 'react';
import type { Case } from '#contracts';
import { sendFile } from '#client/files';
import { KEYS, queryClient } from '../../api';
import { pageSources } from '../../documents';
import { mustFit } from '../../files';
import { LeafOfCase, NO_MATERIAL, type LeafWithMaterial, type Material } from '../../leaf';
import { Button, Failed, FileDrop, Loading, Refused } from '../../ui';
import { MarkingsBeside } from './MarkingsBeside';
import { PagePane } from './PagePane';
import { TakeAway } from './TakeAway';
import { useMarkings, type Markings } from './useMarkings';
import { markedFile, usePages } from './usePages';

const NEAREST = 0.25;
const FARTHEST = 12;
const within = (zoom: number) => Math.min(FARTHEST, Math.max(NEAREST, zoom));

/** Where the page to be marked is dropped or chosen. */
function TakePage({ one }: { one: Case }) {
  const taking = useMutation({
    mutationFn: async (file: File) => {
      await mustFit(file);
      // What cannot be shown is refused before it is saved.
      const source = await (await pageSources()).openPages(file);
      source.close();
      await sendFile(one.id, crypto.randomUUID(), file, {
        progress: () => undefined,
        signal: new AbortController().signal,
      });
    },
    onSuccess: () => queryClient.invalidateQueries({ queryKey: KEYS.case(one.id) }),
  });
  return (
    <section aria-label="The page to be marked" className="grid gap-3 px-9 py-5 max-[899px]:px-4">
      <FileDrop
        label="Page"
        hint="Drop the page here that is to be marked: a PDF, a plan, a map or a picture (PNG, JPEG, WebP). It is saved with the case."
        accept=".pdf,.png,.jpg,.jpeg,.webp"
        isReading={taking.isPending}
        take={([file]) => file && taking.mutate(file)}
      />
      {taking.error && <Refused error={taking.error} />}
    </section>
  );
}

/** Which page is shown, and how large. */
function PageHead({
  markings,
  count,
  zoom,
  setZoom,
}: {
  markings: Markings;
  count: number;
  zoom: number;
  setZoom: (change: (zoom: number) => number) => void;
}) {
  const { page, setPage } = markings;
  return (
    <div
      className="flex flex-wrap items-baseline gap-x-4 gap-y-1 px-9 py-2 text-[13.5px] max-[899px]:px-4"
      data-print="no"
    >
      {count > 1 && (
        <>
          <Button look="text" disabled={page === 0} onClick={() => setPage(page - 1)}>
            Page before
          </Button>
          <label className="flex items-baseline gap-1">
            Page
            <input
              className="input w-14 text-center text-[13.5px]"
              inputMode="numeric"
              key={page}
              defaultValue={page + 1}
              onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
              onBlur={({ target }) => {
                const asked = Number(target.value);
                if (Number.isInteger(asked) && asked >= 1 && asked <= count) setPage(asked - 1);
                else target.value = String(page + 1);
              }}
            />
            of {count.toLocaleString()}
          </label>
          <Button look="text" disabled={page + 1 >= count} onClick={() => setPage(page + 1)}>
            Next page
          </Button>
        </>
      )}
      <span className="ml-auto flex gap-4">
        <Button look="text" disabled={zoom >= FARTHEST} onClick={() => setZoom((now) => now * 1.4)}>
          Larger
        </Button>
        <Button look="text" disabled={zoom <= NEAREST} onClick={() => setZoom((now) => now / 1.4)}>
          Smaller
        </Button>
        <Button look="text" disabled={zoom === 1} onClick={() => setZoom(() => 1)}>
          Whole width
        </Button>
      </span>
    </div>
  );
}

/** The page above, with its markings on it. */
function Above({
  leaf,
  markings,
  zoom,
  setZoom,
  found,
}: {
  leaf: LeafWithMaterial;
  markings: Markings;
  zoom: number;
  setZoom: (change: (zoom: number) => number) => void;
  found: ReturnType<typeof usePages>;
}) {
  const { one, editor } = leaf;
  const { paneRef } = markings;
  const source = found.data;
  useEffect(() => {
    if (source) paneRef.current?.focus({ preventScroll: true });
  }, [source, paneRef]);
  if (!source)
    return (
      <>
        {!markedFile(one) ? (
          <TakePage one={one} />
        ) : found.isError ? (
          <Failed what="the page" error={found.error} retry={() => void found.refetch()} />
        ) : (
          <Loading what="the page" />
        )}
        {/* The text has its home in the page all the time. */}
        <div hidden>
          <EditorContent editor={editor} />
        </div>
      </>
    );
  return (
    <>
      <PageHead {...{ markings, zoom, setZoom }} count={source.count} />
      <PagePane {...{ source, editor, zoom, setZoom, markings }} />
    </>
  );
}

/** The page of a case, with what can be done with the markings on it. */
function useMarkedPage(leaf: LeafWithMaterial): Material {
  const { one, open } = leaf;
  const [zoom, setTo] = useState(1);
  const setZoom = (change: (zoom: number) => number) => setTo((now) => within(change(now)));
  const found = usePages(one.id, markedFile(one));
  const markings = useMarkings(leaf);
  const { acts, isReading, cross } = markings;
  const has = !!found.data;
  const count = found.data?.count ?? 0;
  return {
    ...NO_MATERIAL,
    above: <Above {...{ leaf, markings, zoom, setZoom, found }} />,
    leafClass: 'with-page',
    drawsText: true,
    actions: has
      ? [
          { label: 'Next marking', key: 'Alt + T', run: () => acts.step(1) },
          { label: 'Marking before', key: 'Alt + H', run: () => acts.step(-1) },
          { label: 'Larger', key: 'Alt + Z', run: () => setZoom((now) => now * 1.4) },
          { label: 'Smaller', key: 'Alt + V', run: () => setZoom((now) => now / 1.4) },
          ...(open
            ? [
                { label: 'The same marking again, here', key: 'Alt + .', run: () => acts.again() },
                { label: 'Delete this marking', run: () => acts.drop() },
              ]
            : []),
        ]
      : [],
    beside: has ? (
      <MarkingsBeside markings={markings} pages={count}>
        <TakeAway leaf={leaf} page={markings.page} />
      </MarkingsBeside>
    ) : null,
    listsReach: false,
    isReading,
    takesKeys: true,
    beforePlacing: () => {
      if (has && isReading) acts.begin(cross);
    },
  };
}

/** A page on its leaf, marked at its places. */
export const MarkedPageLeaf = ({ id }: { id: string }) => <LeafOfCase id={id} material={useMarkedPage} />;
