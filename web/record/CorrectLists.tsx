import { useMutation } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import type { Case, RecordListChange } from '#contracts';
import {
  HISTORY_LIST_IDS,
  HISTORY_LISTS,
  itemsOf,
  newestFirst,
  plainItem,
  type ListChange,
  type RecordList,
  type RemovedItem,
  type WrittenItem,
} from '#core/record';
import { call, inWords } from '#client/api';
import { KEYS, queryClient } from '../api';
import { instantInWords } from '#client/clock';
import { Button, Notice, useFocusNext } from '../ui';
import { RecordItemForm, type BegunItems } from './RecordItemForm';
import { recordDayInWords, itemInLocale } from './itemInLocale';

type Item = WrittenItem['item'];

interface OfList {
  one: Case;
  list: RecordList;
  title: string;
  add: string;
}

const FIRST_LISTS: readonly Omit<OfList, 'one'>[] = [
  { list: 'measurements', title: 'Measurements', add: 'Add a measurement' },
  { list: 'medicines', title: 'Medicines', add: 'Add a medicine' },
  { list: 'problems', title: 'Problems', add: 'Add a problem' },
];
const HISTORY: readonly Omit<OfList, 'one'>[] = HISTORY_LIST_IDS.map((list) => {
  const { title, one } = HISTORY_LISTS[list];
  return { list, title, add: `Add ${one}` };
});

/** More than these are folded away: a long stay is weighed twice a day. */
const SHOWN = 6;

/** Which item of a list is written on, and what was begun of others. */
function useOpenItem(list: RecordList) {
  const [open, setOpen] = useState<Item | 'new' | null>(null);
  const [begun] = useState<BegunItems>(() => new Map());
  const nameOf = (of: Item | 'new') => (of === 'new' ? 'new' : itemInLocale(list, of));
  /** It is saved, or given up. */
  const done = (of: Item | 'new') => {
    begun.delete(nameOf(of));
    setOpen((now) => (now === of ? null : now));
  };
  return { open, setOpen, begun, nameOf, done };
}

/** One list of the record: each item can be corrected or taken out, and one added. */
function CorrectList({ one, list, title, add }: OfList) {
  const { open, setOpen, begun, nameOf, done } = useOpenItem(list);
  const section = useRef<HTMLElement>(null);
  const adding = useRef<HTMLButtonElement>(null);
  const focusNext = useFocusNext();
  const change = useMutation({
    mutationFn: (body: RecordListChange) => call('changeRecordList', { params: { case: one.id }, body }),
    onSuccess: (now) => {
      queryClient.setQueryData(KEYS.case(one.id), now);
      // Whoever writes elsewhere by now is left there; else what had the keys is gone with its line.
      const had = document.activeElement;
      if (had === document.body || section.current?.contains(had)) focusNext(() => adding.current);
    },
    onError: () => void queryClient.invalidateQueries({ queryKey: KEYS.case(one.id) }),
  });
  const write = (had: Item | null, now: Item | null, onSuccess?: () => void) =>
    change.mutate({ list, had, now: now && plainItem(now) } as ListChange, { onSuccess });
  const close = (of: Item | 'new') => {
    done(of);
    focusNext(() => adding.current);
  };
  const items = newestFirst([...itemsOf(one.record, list)].reverse());
  const removed = (one.record.removed ?? []).filter((gone) => gone.list === list);
  const line = (item: Item, at: number) => (
    <li key={`${itemInLocale(list, item)} ${at}`} className="border-b border-hair py-1 last:border-0">
      <ItemLine list={list} item={item} open={() => setOpen(item)} write={write} />
    </li>
  );
  return (
    <section ref={section} aria-label={title} className="col-span-full">
      <h2 className="section-head">{title}</h2>
      <ul className="text-[14px]">{items.slice(0, SHOWN).map(line)}</ul>
      {items.length > SHOWN && (
        <details>
          <summary className="min-h-6 cursor-pointer text-[13px] text-soft">
            Earlier, {(items.length - SHOWN).toLocaleString()}
          </summary>
          <ul className="text-[14px]">{items.slice(SHOWN).map((item, at) => line(item, at + SHOWN))}</ul>
        </details>
      )}
      {/* Beneath the list and not within it: it stays with what is written in it, whatever colleagues do to the list meanwhile. */}
      {open !== null && (
        <RecordItemForm
          key={nameOf(open)}
          {...{ list, begun }}
          name={nameOf(open)}
          record={one.record}
          had={open === 'new' ? null : open}
          // Only what is written here is over with it: another line may be removed meanwhile.
          save={(now) => write(open === 'new' ? null : open, now, () => done(open))}
          cancel={() => close(open)}
          isPending={change.isPending}
        />
      )}
      {change.error && <Notice tone="warning" title={inWords(change.error)} />}
      <p className="py-1 text-[13px]">
        <Button ref={adding} look="text" aria-expanded={open === 'new'} onClick={() => setOpen('new')}>
          {add}
        </Button>
      </p>
      {removed.length > 0 && (
        <Removed gone={removed} putBack={(back) => change.mutate({ list: 'removed', back })} />
      )}
    </section>
  );
}

interface LineProps {
  list: RecordList;
  item: Item;
  open: () => void;
  write: (had: Item, now: Item | null) => void;
}

function ItemLine({ list, item, open, write }: LineProps) {
  const words = itemInLocale(list, item);
  return (
    <div className="flex flex-wrap items-baseline gap-x-4">
      <span className="min-w-0 grow break-words">{words}</span>
      <span className="text-[13px] text-soft">
        {item.byHand
          ? `${item.source}${item.writtenAt ? `, ${instantInWords(item.writtenAt)}` : ''}`
          : item.source}
      </span>
      <span className="ml-auto flex gap-4 text-[13px]">
        <Button look="text" aria-label={`Correct ${words}`} onClick={open}>
          Correct
        </Button>
        <Button look="text" aria-label={`Remove ${words}`} onClick={() => write(item, null)}>
          Remove
        </Button>
      </span>
      {item.said && (
        <span className="basis-full text-[13px] text-soft">
          {item.said.source} said {itemInLocale(list, item.said)}.{' '}
          <Button look="text" onClick={() => write(item, item.said!)}>
            Back to that
          </Button>
        </span>
      )}
    </div>
  );
}

function Removed({ gone, putBack }: { gone: readonly RemovedItem[]; putBack: (one: RemovedItem) => void }) {
  return (
    <ul aria-label="Removed" className="text-[13px] text-soft">
      {[...gone].reverse().map((one, at) => (
        <li key={`${itemInLocale(one.list, one.item)} ${at}`} className="py-0.5">
          <s>{itemInLocale(one.list, one.item)}</s>, removed on {recordDayInWords(one.on)}. {one.by}.{' '}
          <Button
            look="text"
            aria-label={`Put back ${itemInLocale(one.list, one.item)}`}
            onClick={() => putBack(one)}
          >
            Put back
          </Button>
        </li>
      ))}
    </ul>
  );
}

/** The lists of a record, to be corrected by anyone the case is given to. Of its history those with something in them are open. */
export function CorrectLists({ one }: { one: Case }) {
  const isEmpty = ({ list }: Omit<OfList, 'one'>) =>
    itemsOf(one.record, list).length === 0 && !one.record.removed?.some((gone) => gone.list === list);
  // What was empty when one began to correct stays where it is: a line added to it does not move it.
  const [others] = useState(() => HISTORY.filter(isEmpty));
  const told = HISTORY.filter((list) => !others.includes(list));
  return (
    <>
      {[...FIRST_LISTS, ...told].map((list) => (
        <CorrectList key={list.list} one={one} {...list} />
      ))}
      {others.length > 0 && (
        <details className="col-span-full">
          <summary className="min-h-6 cursor-pointer text-[14px]">
            {others.length === HISTORY.length
              ? 'Allergies, immunisations, procedures and more'
              : 'More lists'}
          </summary>
          <div className="mt-2 grid gap-3">
            {others.map((list) => (
              <CorrectList key={list.list} one={one} {...list} />
            ))}
          </div>
        </details>
      )}
    </>
  );
}
