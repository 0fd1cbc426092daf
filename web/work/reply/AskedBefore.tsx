import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { EarlierEnquiry } from '#contracts';
import { call, inWords } from '#client/api';
import { dayInWords } from '#client/clock';
import { KEYS } from '../../api';
import { Notice } from '../../ui';

/** Where an earlier enquiry stands, in words. */
function standing({ state, takenByName, letter }: EarlierEnquiry): string {
  if (letter) return `${letter.byName} answered ${dayInWords(letter.at)}:`;
  if (state === 'answered') return 'nothing was to be answered';
  return takenByName ? `${takenByName} answers it` : 'nobody answers it yet';
}

function Earlier({ one }: { one: EarlierEnquiry }) {
  return (
    <li className="py-1 text-[14px]">
      {one.isMine ? (
        <Link to={`/cases/${one.case}`} className="text-elder underline">
          {one.title}
        </Link>
      ) : (
        one.title
      )}
      <span className="text-soft">
        , {dayInWords(one.since)}; {standing(one)}
      </span>
      {one.letter && (
        <blockquote className="line-clamp-6 border-l-2 border-hair pl-3 break-words whitespace-pre-line text-soft">
          {one.letter.excerpt}
        </blockquote>
      )}
    </li>
  );
}

/** Enquiries of before under one line that is folded; nothing where there are none. */
const Folded = ({ words, enquiries }: { words: string; enquiries: readonly EarlierEnquiry[] }) =>
  enquiries.length === 0 ? null : (
    <details className="px-9 pt-3 max-[899px]:px-4" data-print="no">
      <summary className="w-fit cursor-pointer text-[13px] text-elder underline">
        {words}, {enquiries.length.toLocaleString()}
      </summary>
      <ul>
        {enquiries.map((one) => (
          <Earlier key={one.case} one={one} />
        ))}
      </ul>
    </details>
  );

/** What the sender asked before, and what others asked that is like it, with what was answered: folded, above the message. */
export function AskedBefore({ of }: { of: string }) {
  const earlier = useQuery({
    queryKey: KEYS.earlierEnquiries(of),
    queryFn: () => call('earlierEnquiries', { params: { case: of } }),
  });
  const like = useQuery({
    queryKey: KEYS.likeEnquiries(of),
    queryFn: () => call('likeEnquiries', { params: { case: of } }),
  });
  const error = earlier.error ?? like.error;
  if (error) return <Notice tone="warning" title={`What was asked before is not known: ${inWords(error)}`} />;
  return (
    <>
      <Folded words="Asked before" enquiries={earlier.data ?? []} />
      <Folded words="Others asked something like it" enquiries={like.data ?? []} />
    </>
  );
}
