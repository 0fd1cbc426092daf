import { useMemo } from 'react';
import { ArrowDown, ArrowUp, X } from 'lucide-react';
import type { BatchRow, Case } from '#contracts';
import { calendarToday } from '#client/clock';
import { columnFields, type BatchSetup, type Rule } from '#core/batch';
import { entryIn, type BankIndex } from '#core/bank';
import { fullWordings } from '#core/entry';
import { languageName } from '#core/language';
import { ConditionEditor, EntryPick } from '../../entry';
import { Figure } from '../../shell';
import { Button, moved } from '../../ui';
import { AddRules } from './AddRules';
import { BatchHead } from './BatchHead';
import { useRules } from './useRules';

interface RuleProps {
  rule: Rule;
  place: number;
  last: number;
  setup: BatchSetup;
  index: BankIndex;
  /** How many rows get it. */
  rows: number;
  change: (rule: Rule) => void;
  move: (by: 1 | -1) => void;
  remove: () => void;
}

/** Moves a rule among the others, and removes it. */
function RuleButtons({
  name,
  place,
  last,
  move,
  remove,
}: Pick<RuleProps, 'place' | 'last' | 'move' | 'remove'> & { name: string }) {
  return (
    <span className="ml-auto flex items-center gap-1">
      {[
        { words: `Move ${name} up`, by: -1 as const, Icon: ArrowUp, isOff: place === 0 },
        { words: `Move ${name} down`, by: 1 as const, Icon: ArrowDown, isOff: place === last },
      ].map(({ words, by, Icon, isOff }) => (
        <button
          key={by}
          type="button"
          aria-label={words}
          disabled={isOff}
          className="rounded-[3px] p-1.5 hover:text-elder disabled:opacity-40"
          onClick={() => move(by)}
        >
          <Icon size={14} aria-hidden />
        </button>
      ))}
      <button
        type="button"
        aria-label={`Remove ${name}`}
        className="rounded-[3px] p-1.5 hover:text-elder"
        onClick={remove}
      >
        <X size={14} aria-hidden />
      </button>
    </span>
  );
}

/** A rule: when it holds, and which entry the row then gets, in which wording. */
function RuleLine({ rule, place, last, setup, index, rows, change, move, remove }: RuleProps) {
  const fields = useMemo(() => columnFields(setup.columns), [setup.columns]);
  const wordings =
    rule.entry === '' ? [] : fullWordings(entryIn(index, rule.entry)?.content ?? { wordings: [] });
  const name = `Rule ${place + 1}`;
  return (
    <li aria-label={name} className="grid gap-2 border-b border-hair py-3">
      <div className="flex flex-wrap items-baseline gap-x-2">
        <span className="eyebrow">Where</span>
        <ConditionEditor
          condition={rule.when}
          fields={fields}
          today={calendarToday()}
          change={(when) => change({ ...rule, when })}
        />
        <RuleButtons {...{ name, place, last, move, remove }} />
      </div>
      <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
        <span className="eyebrow">goes</span>
        <EntryPick
          label={`Entry of ${name}`}
          index={index}
          value={rule.entry === '' ? null : rule.entry}
          pick={(entry) => change({ ...rule, entry, wording: null })}
        />
        {wordings.length > 1 && (
          <select
            aria-label={`Wording of ${name}`}
            className="live-word"
            value={rule.wording ?? ''}
            onChange={({ target }) => change({ ...rule, wording: target.value === '' ? null : target.value })}
          >
            <option value="">in the language of the row</option>
            {wordings.map(({ id, name: called, language }) => (
              <option key={id} value={id}>
                {called} ({languageName(language)})
              </option>
            ))}
          </select>
        )}
        <span className="ml-auto text-[13px] text-soft">
          {rows.toLocaleString()} {rows === 1 ? 'row' : 'rows'}
        </span>
      </div>
    </li>
  );
}

interface Props {
  one: Case;
  setup: BatchSetup;
  rows: readonly BatchRow[];
  index: BankIndex;
  keep: (setup: BatchSetup) => void;
  /** Whether something is on its way to be kept. */
  isKeeping: boolean;
  showUndecided: () => void;
}

interface OutcomeProps {
  total: number;
  left: number;
  byHand: number;
  showUndecided: () => void;
}

/** How many rows have a letter by now. */
const Outcome = ({ total, left, byHand, showUndecided }: OutcomeProps) => (
  <section aria-label="What comes of it" className="slip">
    <h2 className="section-head">What comes of it</h2>
    <ul className="mt-1 grid gap-1 text-[14px]">
      <li>
        {(total - left).toLocaleString()} of {total.toLocaleString()} rows have a letter.
      </li>
      {byHand > 0 && <li>{byHand.toLocaleString()} of them were decided by hand; they stay so.</li>}
    </ul>
    {left > 0 && (
      <Button className="mt-3" onClick={showUndecided}>
        Decide {left === 1 ? 'one row' : `${left.toLocaleString()} rows`} by hand
      </Button>
    )}
    <p className="mt-3 text-[13px] text-soft">
      The first rule that fits decides. Rows that fit none wait to be decided by hand.
    </p>
  </section>
);

/** Which rows get which entry: by a column, or by rules that are picked together; what fits none is a pile of its own. */
export function DecisionView({ one, setup, rows, index, keep, isKeeping, showUndecided }: Props) {
  const { rules, put, counts, add } = useRules({ setup, rows, keep, isKeeping });
  const outcome = { total: rows.length, left: counts.get('none') ?? 0, byHand: counts.get('hand') ?? 0 };
  return (
    <Figure
      marginLabel="What comes of the rules"
      margin={
        <div className="pt-6">
          <Outcome {...outcome} showUndecided={showUndecided} />
        </div>
      }
    >
      <BatchHead one={one} view="decision" />
      <section aria-label="Rules" className="px-9 py-4 max-[899px]:px-4">
        <ol>
          {rules.map((rule, place) => (
            <RuleLine
              key={rule.id}
              {...{ rule, place, setup, index }}
              last={rules.length - 1}
              rows={counts.get(rule.id) ?? 0}
              change={(changed) => put(rules.map((each) => (each === rule ? changed : each)))}
              move={(by) => put(moved(rules, place, place + by))}
              remove={() => put(rules.filter((each) => each !== rule))}
            />
          ))}
        </ol>
        <AddRules {...{ setup, rows, add }} isFirst={rules.length === 0} />
      </section>
    </Figure>
  );
}
