import { LINK_FAULTS, type Fact, type FactKind } from '#core/ageing';
import type { EntryContent } from '#core/entry';
import { lineText, linesOf } from '#core/passage';

const KINDS: Record<FactKind, string> = {
  price: 'a price',
  hours: 'hours or days',
  date: 'a date',
  link: 'a link',
  phone: 'a phone number',
  'e-mail': 'an email address',
  staff: 'a name of the team',
};
const LONG = 160;

/** The facts of one line, marked in it, with what they are beside it. */
function FactLine({ text, facts }: { text: string; facts: readonly Fact[] }) {
  const first = facts[0]!.from;
  const start = first > LONG / 2 ? text.indexOf(' ', first - LONG / 2) + 1 : 0;
  const last = facts.at(-1)!.to;
  const end = text.length - last > LONG / 2 ? text.lastIndexOf(' ', last + LONG / 2) : text.length;
  const pieces = facts.flatMap(({ from, to }, at) => [
    text.slice(at === 0 ? start : facts[at - 1]!.to, from),
    <mark key={from} className="bg-flower text-ink">
      {text.slice(from, to)}
    </mark>,
  ]);
  const kinds = [...new Set(facts.map(({ kind }) => KINDS[kind]))];
  return (
    <li className="py-0.5">
      <span className="font-book text-[15px] break-words">
        {start > 0 && '… '}
        {pieces}
        {text.slice(last, end)}
        {end < text.length && ' …'}
      </span>{' '}
      <span className="text-[13px] text-soft">{kinds.join(', ')}</span>
      {facts
        .filter(({ fault }) => fault !== null)
        .map(({ from, words, fault }) => (
          <span key={from} className="block text-[13px] text-rust">
            “{words}” leads nowhere: {LINK_FAULTS[fault!]}.
          </span>
        ))}
    </li>
  );
}

/** What grows old in an entry, in its lines. */
export function Facts({ content, facts }: { content: EntryContent; facts: readonly Fact[] }) {
  const byLine = new Map<string, Fact[]>();
  for (const fact of facts) {
    const key = JSON.stringify([fact.wording, fact.part, fact.line]);
    byLine.set(key, [...(byLine.get(key) ?? []), fact]);
  }
  return (
    <ul aria-label={`Facts in ${content.title}`}>
      {[...byLine].map(([key, here]) => {
        const { wording, part, line } = here[0]!;
        const passage = content.wordings
          .find(({ id }) => id === wording)
          ?.parts.find(({ id }) => id === part)?.passage;
        const text = passage ? lineText(linesOf(passage)[line] ?? []).replace(/\uFFFC/g, '…') : '';
        return <FactLine key={key} text={text} facts={here} />;
      })}
    </ul>
  );
}
