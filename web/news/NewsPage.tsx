import { useEffect } from 'react';
import { Link } from 'react-router';
import { dateInWords } from '#core/calendar';
import { usePreferences } from '../api';
import { useSavePreferences } from '../offers';
import { Figure } from '../shell';
import { NEWEST } from './newest';
import { NEWS } from './news';

/** What members can do that they could not before. Looked at, it is not told of as new any more, on any computer. */
export function NewsPage() {
  const seen = usePreferences().data?.newsSeen;
  const isKnown = usePreferences().data !== undefined;
  const { mutate } = useSavePreferences();
  useEffect(() => {
    if (isKnown && (seen ?? 0) < NEWEST) mutate((before) => ({ ...before, newsSeen: NEWEST }));
  }, [isKnown, seen, mutate]);
  return (
    <Figure
      marginLabel="About the news"
      margin={
        <p className="pt-6 text-[14px] text-soft">
          A dot beside your name, at the head of the page, tells of something that came since you were here.
        </p>
      }
    >
      <header className="px-9 pt-6 pb-2 max-[899px]:px-4">
        <h1 className="font-book text-[26px] leading-tight">News</h1>
      </header>
      <ul>
        {NEWS.map(({ number, day, title, words, at }) => (
          <li
            key={number}
            className="grid gap-1 border-b border-hair px-9 py-4 last:border-0 max-[899px]:px-4"
          >
            <p className="text-[13px] text-soft">{dateInWords(day, 'long', navigator.language)}</p>
            <h2 className="font-book text-[19px]">{title}</h2>
            <p className="text-[15px]">{words}</p>
            <p>
              <Link to={at.to} className="text-[14px] text-elder underline">
                {at.label}
              </Link>
            </p>
          </li>
        ))}
      </ul>
    </Figure>
  );
}
