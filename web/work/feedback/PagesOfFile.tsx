import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { inWords } from '#client/api';
import { Button, Notice } from '../../ui';
import type { Pages } from './usePages';

/** The pages of a file as they look, one at a time: for pictures and charts, which are not among its words. */
export function PagesOfFile({ pages }: { pages: Pages }) {
  const [page, setPage] = useState(1);
  const [failed, setFailed] = useState<string | null>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const count = useQuery({ queryKey: ['pages', pages], queryFn: pages.count, gcTime: 0 }).data ?? null;
  useEffect(() => {
    if (!canvas.current) return;
    let isLeft = false;
    pages.draw(page, canvas.current).then(
      () => !isLeft && setFailed(null),
      (error: unknown) => !isLeft && setFailed(inWords(error)),
    );
    return () => {
      isLeft = true;
    };
  }, [pages, page]);
  return (
    <section
      aria-label="Pages as they look"
      className="grid gap-2 px-9 pt-3 max-[899px]:px-4"
      data-print="no"
    >
      <p className="flex items-baseline gap-4 text-[13px] text-soft">
        <span role="status">{count === null ? `Page ${page}` : `Page ${page} of ${count}`}</span>
        <Button look="text" disabled={page === 1} onClick={() => setPage(page - 1)}>
          Page before
        </Button>
        <Button look="text" disabled={count === null || page >= count} onClick={() => setPage(page + 1)}>
          Next page
        </Button>
      </p>
      {failed && <Notice tone="warning" title={failed} />}
      <canvas ref={canvas} role="img" aria-label={`Page ${page}`} className="w-full border border-hair" />
    </section>
  );
}
