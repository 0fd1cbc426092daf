import { ZoomIn, ZoomOut } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { Button, Key } from '../../ui';
import type { PageFind } from './usePageFind';
import type { Markings } from './useMarkings';

/** Goes to a page by its number. */
function PageNumber({ page, count, go }: { page: number; count: number; go: (page: number) => void }) {
  return (
    <>
      <Button look="text" disabled={page === 0} onClick={() => go(page - 1)}>
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
            if (Number.isInteger(asked) && asked >= 1 && asked <= count) go(asked - 1);
            else target.value = String(page + 1);
          }}
        />
        of {count.toLocaleString()}
      </label>
      <Button look="text" disabled={page + 1 >= count} onClick={() => go(page + 1)}>
        Next page
      </Button>
    </>
  );
}

/** What came of looking for words. */
function foundInWords({ typed, found, at, looked, hadWords, failed }: PageFind, count: number): string {
  if (failed) return failed;
  if ((typed ?? '').trim() === '') return '';
  const isThrough = looked >= count;
  if (found.length === 0 && !isThrough) return `Reading page ${looked + 1} of ${count} …`;
  if (found.length === 0 && !hadWords)
    return 'Not in a marking; the pages are pictures, whose words cannot be searched.';
  if (found.length === 0) return 'Not on these pages, and in no marking.';
  const place = at >= 0 ? `${at + 1} of ${found.length}` : `${found.length} found`;
  return isThrough ? place : `${place}, on ${looked} of ${count} pages so far`;
}

/** Looks for words on the pages and in the markings. */
function FindOnPages({ find, count, close }: { find: PageFind; count: number; close: () => void }) {
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => field.current?.focus(), []);
  return (
    <form
      role="search"
      aria-label="Find on these pages"
      className="flex flex-wrap items-baseline gap-x-4 gap-y-1 px-9 pb-2 text-[13.5px] max-[899px]:px-4"
      data-print="no"
      onSubmit={(event) => {
        event.preventDefault();
        find.step(1);
        // Looked at, the next one is one key away.
        field.current?.focus();
      }}
      onKeyDown={(event) => {
        if (event.key === 'Enter' && event.shiftKey) find.step(-1);
        else if (event.key === 'Escape') close();
        else return;
        event.preventDefault();
      }}
    >
      <label className="flex items-baseline gap-2">
        Find
        <input
          ref={field}
          className="input w-56 text-[13.5px]"
          maxLength={200}
          autoComplete="off"
          value={find.typed ?? ''}
          onChange={({ target }) => find.type(target.value)}
        />
      </label>
      <Button look="text" type="submit" disabled={find.found.length === 0}>
        Next place <Key>Enter</Key>
      </Button>
      <Button look="text" disabled={find.found.length === 0} onClick={() => find.step(-1)}>
        Place before
      </Button>
      <Button look="text" onClick={close}>
        Close <Key>Esc</Key>
      </Button>
      <span role="status" className="text-soft">
        {foundInWords(find, count)}
      </span>
    </form>
  );
}

/** Which page is shown, how large, what is looked for on it; and the list in its place. */
export function PageHead({ markings, find, count }: { markings: Markings; find: PageFind; count: number }) {
  const { page, acts, zoom, view } = markings;
  const isPage = view === 'page';
  return (
    <>
      <div
        className="flex flex-wrap items-baseline gap-x-4 gap-y-1 px-9 py-2 text-[13.5px] max-[899px]:px-4"
        data-print="no"
      >
        {isPage && count > 1 && <PageNumber {...{ page, count }} go={(to) => acts.turnTo(to)} />}
        {isPage && find.typed === null && (
          <Button look="text" onClick={() => find.type('')}>
            Find <Key>Alt + /</Key>
          </Button>
        )}
        <Button look="text" onClick={() => acts.show(isPage ? 'list' : 'page')}>
          {isPage ? 'As a list' : 'On the page'} <Key>Alt + ,</Key>
        </Button>
        {!isPage && markings.open && (
          <>
            <Button look="text" onClick={() => acts.writeBeside('before')}>
              Words before all
            </Button>
            <Button look="text" onClick={() => acts.writeBeside('behind')}>
              Words after all
            </Button>
          </>
        )}
        {isPage && (
          <span className="ml-auto flex items-baseline gap-3">
            <Button
              look="text"
              aria-label="Larger"
              title="Larger (Alt + Z)"
              disabled={zoom.isNearest}
              onClick={zoom.larger}
            >
              <ZoomIn size={17} aria-hidden />
            </Button>
            <Button
              look="text"
              aria-label="Smaller"
              title="Smaller (Alt + V)"
              disabled={zoom.isFarthest}
              onClick={zoom.smaller}
            >
              <ZoomOut size={17} aria-hidden />
            </Button>
            <Button look="text" disabled={zoom.zoom === 1} onClick={zoom.whole}>
              Whole width
            </Button>
          </span>
        )}
      </div>
      {isPage && find.typed !== null && (
        <FindOnPages
          {...{ find, count }}
          close={() => {
            find.type(null);
            markings.paneRef.current?.focus({ preventScroll: true });
          }}
        />
      )}
    </>
  );
}
