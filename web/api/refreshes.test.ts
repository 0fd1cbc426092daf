import { afterEach, expect, test } from '@jest/globals';
import { EventSchema, type LiveEvent } from '#contracts';
import { KEYS, queryClient } from './queries';
import { LIVE, refreshBy } from './refreshes';

afterEach(() => queryClient.clear());

const saved = {
  entry: 'owl',
  collection: 'ward',
  revision: 2,
  title: 'Owl',
  by: 'imke',
  byName: 'Imke Tarrow',
};

/** A collection that this page has not heard of yet: the bank is asked for it. */
const NO_BANK = { collections: [], entries: [], away: [] };

/** Each event, with what is out of date once it was heard. */
const HEARD: [LiveEvent, readonly (readonly (string | number)[])[]][] = [
  [{ type: 'entry-saved', ...saved }, [KEYS.bank, KEYS.revisions('owl'), KEYS.revision('owl', 1)]],
  [{ type: 'entries-changed', collection: 'ward' }, [KEYS.bank, KEYS.wastebasket]],
  [{ type: 'reach-changed' }, [KEYS.bank, KEYS.sharing, KEYS.team, KEYS.proposals]],
  [{ type: 'sharing-changed' }, [KEYS.sharing]],
  [{ type: 'proposals-changed' }, [KEYS.proposals]],
  [{ type: 'notes-changed' }, [KEYS.notes]],
  [{ type: 'presence-changed', entry: 'owl' }, [KEYS.present('owl')]],
  [{ type: 'glossary-changed', glossary: 'species' }, [KEYS.glossaries]],
  [{ type: 'house-words-changed' }, [KEYS.houseWords]],
  [{ type: 'sessions-changed' }, [KEYS.sessions]],
  [{ type: 'people-changed' }, [KEYS.team, KEYS.people, KEYS.session, KEYS.teamSettings, KEYS.sharing]],
  [{ type: 'case-added', case: 'bramble' }, [KEYS.cases, KEYS.assignments]],
  [
    { type: 'comments-changed', case: 'report' },
    [KEYS.othersComments('report'), KEYS.othersMarkings('report')],
  ],
  [{ type: 'case-changed', case: 'bramble' }, [KEYS.case('bramble')]],
  [{ type: 'tray-changed', case: 'post', versions: {} }, [KEYS.tray('post')]],
  [{ type: 'pedal-pressed', rest: 'left', isDown: true }, []],
  [{ type: 'draft-saved', draft: 'leaf', version: 2 }, []],
  [{ type: 'queue-changed' }, [KEYS.queue]],
  [{ type: 'sendings-changed' }, [KEYS.sendings, KEYS.sendingsOf('letter')]],
  [{ type: 'missed' }, [...LIVE, KEYS.sendingsOf('letter'), KEYS.tray('post')]],
];

/** Shown on the page before an event is heard: of the same thing, and of others. */
const SHOWN = [
  KEYS.sessions,
  ...LIVE,
  KEYS.wastebasket,
  KEYS.session,
  ...['owl', 'seal'].flatMap((id) => [KEYS.revisions(id), KEYS.revision(id, 1), KEYS.present(id)]),
  ...['bramble', 'keel'].map((id) => KEYS.case(id)),
  KEYS.othersComments('report'),
  KEYS.othersMarkings('report'),
  KEYS.sendingsOf('letter'),
  KEYS.tray('post'),
];

test.each(HEARD.map(([event, stale]) => [event.type, event, stale] as const))(
  '%s has the page ask again for what it changed, and for nothing else',
  (_type, event, stale) => {
    for (const key of SHOWN) queryClient.setQueryData(key, key === KEYS.bank ? NO_BANK : []);
    refreshBy(event);
    const asked = SHOWN.filter((key) => queryClient.getQueryState(key)!.isInvalidated);
    expect(asked.map(String).sort()).toEqual(stale.map(String).sort());
  },
);

test('no event is left out', () => {
  expect(HEARD.map(([{ type }]) => type).sort()).toEqual(
    EventSchema.options.map(({ shape }) => shape.type.value).sort(),
  );
});

test('a tray whose lines the page has as they are now is not asked for again', () => {
  const line = (id: string, version: number) => ({ id, version });
  const tray = { version: 1, setup: {}, lines: [line('a', 3), line('b', 1)] };
  const isAsked = (versions: Record<string, number>) => {
    queryClient.setQueryData(KEYS.tray('post'), tray);
    refreshBy({ type: 'tray-changed', case: 'post', versions });
    return queryClient.getQueryState(KEYS.tray('post'))!.isInvalidated;
  };
  expect([isAsked({ a: 3, b: 1 }), isAsked({ a: 4 }), isAsked({ c: 1 })]).toEqual([false, true, true]);
});
