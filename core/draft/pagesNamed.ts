/** Which pages are meant by their numbers. */
export type PagesNamed = { ok: true; pages: number[] } | { ok: false; why: string };

/**
 * The pages that a list of their numbers names ("2, 5-7", "all"), counted from 0 and in their order, each once; `count`: how many pages there
 * are. What is none of them is told in words.
 */
export function pagesNamed(text: string, count: number): PagesNamed {
  const asked = text.trim().toLowerCase();
  if (asked === 'all') return { ok: true, pages: Array.from({ length: count }, (_one, page) => page) };
  const pages = new Set<number>();
  const parts = asked.replace(/\s*[-–]\s*/g, '-').split(/[,;\s]+/);
  for (const part of parts.filter((one) => one !== '')) {
    const [, first, last] = /^(\d{1,7})(?:-(\d{1,7}))?$/.exec(part) ?? [];
    if (first === undefined) return { ok: false, why: `"${part}" is no page. Write them as 2, 5-7 or all.` };
    const [from, to] = [Number(first), Number(last ?? first)];
    if (from < 1 || to > count || from > to)
      return { ok: false, why: `There is no page ${part}: the pages are 1 to ${count}.` };
    for (let page = from; page <= to; page += 1) pages.add(page - 1);
  }
  if (pages.size === 0) return { ok: false, why: 'Say which pages: 2, 5-7 or all.' };
  return { ok: true, pages: [...pages].sort((a, b) => a - b) };
}
