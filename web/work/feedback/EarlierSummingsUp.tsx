import type { SummingUp } from '#contracts';
import { instantInWords } from '#client/clock';

/** What one wrote beneath the same person's work before, to look into. */
export function EarlierSummingsUp({ all }: { all: readonly SummingUp[] }) {
  if (all.length === 0) return null;
  return (
    <details data-print="no" className="px-9 pb-3 text-[14px] max-[899px]:px-4">
      <summary className="cursor-pointer text-[13px] text-elder">Earlier summings-up</summary>
      {all.map(({ assignment, savedAt, text }) => (
        <div key={assignment + savedAt} className="mt-2">
          <p className="text-[13px] text-soft">
            {assignment}, {instantInWords(savedAt)}
          </p>
          <p className="font-book whitespace-pre-line">{text}</p>
        </div>
      ))}
    </details>
  );
}
