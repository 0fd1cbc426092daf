import { entryTexts, type TextAt } from '#core/terms';
import type { EntryContent } from '#core/entry';

const BESIDE = 60;

const sameAt = (a: TextAt, b: TextAt) => JSON.stringify(a) === JSON.stringify(b);

const WHERE: Record<TextAt['in'], string> = {
  title: 'in its title',
  purpose: 'in “when to use it”',
  wording: '',
  field: 'in a field',
};

interface Props {
  content: EntryContent;
  at: TextAt;
  from: number;
  to: number;
  /** What would stand there instead, shown beside it; null where nothing would. */
  put: string | null;
}

/** Words of an entry among those beside them, with what would stand in their place. */
export function InItsText({ content, at, from, to, put }: Props) {
  const text = (entryTexts(content).find((one) => sameAt(one.at, at))?.text ?? '').replace(
    /\uFFFC+/g,
    (blank) => '…'.padEnd(blank.length, '\u200b'),
  );
  const before = text.slice(0, from);
  const after = text.slice(to);
  return (
    <span className="font-book text-[15px] break-words">
      {before.length > BESIDE ? `… ${before.slice(before.indexOf(' ', before.length - BESIDE) + 1)}` : before}
      {put === null ? (
        <mark className="bg-flower text-ink">{text.slice(from, to)}</mark>
      ) : (
        <>
          <del className="text-rust decoration-1">{text.slice(from, to)}</del>
          {put !== '' && <ins className="ml-1 bg-flower text-ink no-underline">{put}</ins>}
        </>
      )}
      {after.length > BESIDE ? `${after.slice(0, after.lastIndexOf(' ', BESIDE))} …` : after}
      {WHERE[at.in] && <span className="font-face text-[13px] text-soft"> {WHERE[at.in]}</span>}
    </span>
  );
}
