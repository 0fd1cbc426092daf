import { CueShown, PassageView } from '../show';
import type { ResolvedCue } from '#core/cue';
import { useEffect, useMemo, useState } from 'react';
import { Link, useLocation, useSearchParams } from 'react-router';
import type { Collection, Entry } from '#contracts';
import { inOrder } from '#core/language';
import { useAtHand, useBank, usePlaced, useBankIndex } from '../api';
import { calendarToday, dayInWords } from '#client/clock';
import { useShell } from '../shell';
import { Button, Failed, Loading, SelectField, Tick } from '../ui';
import { firstCue, type BankIndex } from '#core/bank';
import { wordingToRead, type FindEntry } from '#core/fill';
import { collectionsAsked } from './asked';
import { ORDERS, type Order } from './orders';
import './print.css';

/** So many cues fit on a card of one page. */
const ON_A_CARD = 60;

interface Printed {
  entry: Entry;
  collection: Collection;
  cue: ResolvedCue | null;
}

interface Layout {
  what: 'sheet' | 'card';
  paper: 'A4' | 'Letter';
  columns: 1 | 2;
  cueIndex: boolean;
}

/** The entries that are printed, collection by collection, as the sheet was narrowed. */
function printedOf(
  index: BankIndex,
  wanted: string,
  ids: ReadonlySet<string> | null,
  order: Order,
): Printed[][] {
  return collectionsAsked(index.bank.collections, wanted)
    .map((collection) =>
      index.bank.entries
        .filter((entry) => entry.collection === collection.id && (!ids || ids.has(entry.id)))
        .sort(ORDERS[order].compare)
        .map((entry) => ({ entry, collection, cue: firstCue(entry, collection) })),
    )
    .filter(({ length }) => length > 0);
}

const Wording = ({ entry: { content }, find }: { entry: Entry; find: FindEntry }) => (
  <PassageView {...wordingToRead(content, find)} links={false} />
);

interface OnPaperProps {
  sections: readonly Printed[][];
  columns: 1 | 2;
  find: FindEntry;
}

function SheetOnPaper({ sections, columns, find }: OnPaperProps) {
  return (
    <div className={columns === 2 ? 'paper-columns' : ''}>
      {sections.map((section) => (
        <section key={section[0]!.collection.id} className="paper-section">
          <h2>{section[0]!.collection.name}</h2>
          {section.map(({ entry, cue }) => (
            <article key={entry.id} className="paper-entry">
              <p className="paper-cue">
                <CueShown cue={cue} />
              </p>
              <div>
                <h3>
                  {entry.content.title}
                  {entry.content.purpose && <small>{entry.content.purpose}</small>}
                </h3>
                <div className="book">
                  <Wording entry={entry} find={find} />
                </div>
              </div>
            </article>
          ))}
        </section>
      ))}
    </div>
  );
}

/** Cues with what they bring. */
const CueList = ({ printed }: { printed: readonly Printed[] }) => (
  <dl>
    {printed.map(({ entry, cue }) => (
      <div key={entry.id}>
        <dt className="paper-cue">
          <CueShown cue={cue} />
        </dt>
        <dd>{entry.content.title}</dd>
      </div>
    ))}
  </dl>
);

/** All cues with what they bring, in their order. */
function CueIndex({ sections }: { sections: readonly Printed[][] }) {
  const cues = sections
    .flat()
    .filter(({ cue }) => cue !== null)
    .sort((a, b) => inOrder(a.entry.content.cues[0]!.text, b.entry.content.cues[0]!.text));
  if (cues.length === 0) return null;
  return (
    <section className="paper-index">
      <h2>Cues</h2>
      <CueList printed={cues} />
    </section>
  );
}

/** Those with a cue that were placed most by the reader; where they are few, the others of their reach after them. */
const onCard = (sections: readonly Printed[][], mine: Readonly<Record<string, number>>): Printed[] =>
  sections
    .flat()
    .filter(({ cue, entry }) => cue !== null && !entry.content.retired)
    .sort((a, b) => (mine[b.entry.id] ?? 0) - (mine[a.entry.id] ?? 0))
    .slice(0, ON_A_CARD);

const countOf = (count: number, what: Layout['what']): string => {
  if (what === 'card') return count === 1 ? 'one cue' : `${count.toLocaleString()} cues`;
  return count === 1 ? 'one entry' : `${count.toLocaleString()} entries`;
};

interface ChoicesProps {
  layout: Layout;
  put: (part: Partial<Layout>) => void;
  /** How many entries, or cues, are on the paper. */
  count: number;
  /** Whether all of them have come. */
  isWhole: boolean;
}

function Choices({ layout, put, count, isWhole }: ChoicesProps) {
  return (
    <section
      aria-label="How it is printed"
      data-print="no"
      className="mx-auto flex max-w-[76rem] flex-wrap items-end gap-x-5 gap-y-2 px-9 pb-5"
    >
      <SelectField
        label="Print"
        value={layout.what}
        onChange={({ target }) => put({ what: target.value as Layout['what'] })}
      >
        <option value="sheet">the sheet</option>
        <option value="card">a card of my cues, on one page</option>
      </SelectField>
      <SelectField
        label="Paper"
        value={layout.paper}
        onChange={({ target }) => put({ paper: target.value as Layout['paper'] })}
      >
        <option>A4</option>
        <option>Letter</option>
      </SelectField>
      {layout.what === 'sheet' && (
        <>
          <SelectField
            label="Columns"
            value={layout.columns}
            onChange={({ target }) => put({ columns: target.value === '2' ? 2 : 1 })}
          >
            <option value={1}>one</option>
            <option value={2}>two</option>
          </SelectField>
          <Tick on={layout.cueIndex} toggle={() => put({ cueIndex: !layout.cueIndex })}>
            Cues at the end
          </Tick>
        </>
      )}
      <Button look="main" disabled={count === 0 || !isWhole} onClick={() => window.print()}>
        Print {countOf(count, layout.what)}
      </Button>
      <Link to="/bank" className="py-1 text-elder underline">
        Back to the bank
      </Link>
    </section>
  );
}

/** The paper as the browser's print wants it: its size, heads and page numbers. A value in a style is text between quotes. */
function paperRules(paper: Layout['paper'], head: string): string {
  const quoted = JSON.stringify(head.replace(/[<\\"]/g, ''));
  const look = "font: 8pt 'Figtree Variable', sans-serif; color: #5b5262;";
  return `@page { size: ${paper}; margin: 20mm 18mm 18mm;
    @top-left { content: ${quoted}; ${look} }
    @top-right { content: counter(page) " / " counter(pages); ${look} } }
  @page :first { @top-left { content: none; } }`;
}

/** The rules of the paper as a sheet of their own: a style element of the page would not be allowed. */
function usePaper(paper: Layout['paper'], head: string): void {
  useEffect(() => {
    const sheet = new CSSStyleSheet();
    sheet.replaceSync(paperRules(paper, head));
    document.adoptedStyleSheets.push(sheet);
    return () => {
      document.adoptedStyleSheets = document.adoptedStyleSheets.filter((one) => one !== sheet);
    };
  }, [paper, head]);
}

function Paper({ index }: { index: BankIndex }) {
  const { member } = useShell();
  const { data: placed } = usePlaced();
  const [params] = useSearchParams();
  const state = useLocation().state as { ids?: string[] | null; order?: Order; card?: boolean } | null;
  const wanted = params.get('in') ?? '';
  const isHere = useAtHand(
    index.bank.collections.filter(({ id }) => wanted === '' || id === wanted).map(({ id }) => id),
  );
  const [layout, setLayout] = useState<Layout>({
    what: state?.card ? 'card' : 'sheet',
    paper: 'A4',
    columns: 1,
    cueIndex: true,
  });
  const sections = useMemo(
    () => printedOf(index, wanted, state?.ids ? new Set(state.ids) : null, state?.order ?? 'title'),
    [index, wanted, state],
  );
  const card = useMemo(() => onCard(sections, placed?.mine ?? {}), [sections, placed]);
  const name = wanted === '' ? 'The bank' : (index.collections.get(wanted)?.name ?? 'The bank');
  const title = layout.what === 'card' ? `Cues of ${member.name}` : name;
  const day = dayInWords(`${calendarToday()}T12:00:00`);
  usePaper(layout.paper, `${title}, ${day}`);
  return (
    <>
      <Choices
        layout={layout}
        put={(part) => setLayout({ ...layout, ...part })}
        count={layout.what === 'card' ? card.length : sections.flat().length}
        isWhole={isHere}
      />
      {!isHere && <Loading what="the bank" />}
      <main id="leaf" className="paper" data-paper={layout.paper} aria-label="As it is printed">
        <header>
          <h1>{title}</h1>
          <p>{day}</p>
        </header>
        {layout.what === 'card' ? (
          <section className="paper-card">
            <CueList printed={card} />
          </section>
        ) : (
          <>
            <SheetOnPaper
              sections={sections}
              columns={layout.columns}
              find={(id) => index.entries.get(id)?.content}
            />
            {layout.cueIndex && <CueIndex sections={sections} />}
          </>
        )}
      </main>
    </>
  );
}

/** The sheet as it goes onto paper, or a card of one's cues. */
export function PrintPage() {
  const bank = useBank();
  const index = useBankIndex();
  if (index) return <Paper index={index} />;
  if (bank.isError) return <Failed what="the bank" error={bank.error} retry={() => void bank.refetch()} />;
  return <Loading what="the bank" />;
}
