import { useState } from 'react';
import type { PageCard, TeamSettings } from '#contracts';
import { labelOfDetail } from '#core/record';
import { inWords } from '#client/api';
import { useChangeTeamSettings, useTeamSettings } from '../api';
import { useShell } from '../shell';
import { Button, Failed, Loading, Notice } from '../ui';
import { useTaught, type Taught } from './useTaught';

const NONE: readonly PageCard[] = [];

const without = (host: string, { pageCards }: TeamSettings) =>
  (pageCards ?? NONE).filter((card) => card.host !== host);
const withCard = (card: PageCard) => (there: TeamSettings) => ({
  pageCards: [...without(card.host, there), card],
});
const withoutCard = (host: string) => (there: TeamSettings) => ({ pageCards: without(host, there) });

/** A card that was shown on a page, without the words that stood there. */
const cardOf = ({ host, places }: Taught): PageCard => ({
  ...{ host, places: places.map(({ path, at }) => ({ path, at })) },
});

/** What was shown just now on a page, before it is saved for the team. */
function TaughtCard({
  taught,
  isSaving,
  save,
  drop,
}: {
  taught: Taught;
  isSaving: boolean;
  save: () => void;
  drop: () => void;
}) {
  return (
    <section
      aria-label={`Shown on ${taught.host}`}
      className="grid gap-2 border-l-2 border-leaf py-1 pl-3 text-[14px]"
    >
      <p className="font-semibold">You showed where these are on {taught.host}:</p>
      <ul>
        {taught.places.map(({ path, says }) => (
          <li key={path}>
            {labelOfDetail(path)}: <span className="text-soft">there it says “{says}”</span>
          </li>
        ))}
      </ul>
      <p className="text-soft">Only the places are saved, for all of your team, not the words there.</p>
      <p className="flex flex-wrap gap-2">
        <Button look="main" disabled={isSaving} onClick={save}>
          Save this card
        </Button>
        <Button onClick={drop}>Discard it</Button>
      </p>
    </section>
  );
}

/** The cards there are; owners remove them, and have the last one back. */
function CardList({ cards, isOwner }: { cards: readonly PageCard[]; isOwner: boolean }) {
  const save = useChangeTeamSettings();
  const [removed, setRemoved] = useState<PageCard | null>(null);
  return (
    <>
      <ul aria-label="Page cards">
        {cards.map((card) => (
          <li
            key={card.host}
            className="flex items-baseline justify-between gap-3 border-b border-hair py-1.5 text-[14px]"
          >
            <span className="min-w-0 break-words">
              <span className="font-cue text-[13.5px] break-all">{card.host}</span>{' '}
              <span className="text-soft">
                {card.places.map(({ path }) => labelOfDetail(path)).join(', ')}
              </span>
            </span>
            {isOwner && (
              <Button
                look="text"
                aria-label={`Remove the card of ${card.host}`}
                disabled={save.isPending}
                onClick={() => save.mutate(withoutCard(card.host), { onSuccess: () => setRemoved(card) })}
              >
                Remove
              </Button>
            )}
          </li>
        ))}
      </ul>
      {removed && !cards.some(({ host }) => host === removed.host) && (
        <Notice title={`The card of ${removed.host} is removed.`}>
          <Button look="text" disabled={save.isPending} onClick={() => save.mutate(withCard(removed))}>
            Undo
          </Button>
        </Notice>
      )}
      {save.error && <Notice tone="warning" title={inWords(save.error)} />}
    </>
  );
}

/** Where details of cases stand on pages of others: an entry is filled from there by a key. Owners show it once, on the page itself. */
export function PageCards() {
  const { member } = useShell();
  const settings = useTeamSettings();
  const [taught, drop] = useTaught();
  const save = useChangeTeamSettings();
  const isOwner = member.role === 'owner';
  return (
    <section aria-label="Page cards" className="grid gap-3">
      <h2 className="section-head">Page cards</h2>
      <p className="text-[14px] text-soft">
        A card says where a page shows a name, a number or a language. An entry is then filled from there by{' '}
        <kbd>Alt + P</kbd>, and you see it before it goes in.
        {isOwner && ' Open the page, then the companion, and choose “Show where details are on it”.'}
      </p>
      {isOwner && taught && (
        <TaughtCard
          taught={taught}
          isSaving={save.isPending}
          save={() => save.mutate(withCard(cardOf(taught)), { onSuccess: drop })}
          drop={drop}
        />
      )}
      {save.error && <Notice tone="warning" title={inWords(save.error)} />}
      {settings.isPending && <Loading what="the cards" />}
      {settings.isError && (
        <Failed what="the cards" error={settings.error} retry={() => void settings.refetch()} />
      )}
      {settings.data && <CardList cards={settings.data.pageCards ?? NONE} isOwner={isOwner} />}
    </section>
  );
}
