import { useMutation } from '@tanstack/react-query';
import type { PageCard } from '#contracts';
import { labelOfDetail } from '#core/record';
import { call, inWords } from '#client/api';
import { KEYS, queryClient, useTeamSettings } from '../api';
import { useShell } from '../shell';
import { Button, Notice } from '../ui';
import { useTaught, type Taught } from './useTaught';

const NONE: readonly PageCard[] = [];

/** What was shown just now on a page, before it is saved for the team. */
function TaughtCard({ taught, save, drop }: { taught: Taught; save: () => void; drop: () => void }) {
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
        <Button look="main" onClick={save}>
          Save this card
        </Button>
        <Button onClick={drop}>Discard it</Button>
      </p>
    </section>
  );
}

/** Where details of cases stand on pages of others: an entry is filled from there by a key. Owners show it once, on the page itself. */
export function PageCards() {
  const { member } = useShell();
  const settings = useTeamSettings();
  const [taught, drop] = useTaught();
  const save = useMutation({
    mutationFn: (pageCards: PageCard[]) => call('saveTeamSettings', { body: { pageCards } }),
    onSuccess: (now) => {
      queryClient.setQueryData(KEYS.teamSettings, now);
      drop();
    },
  });
  const cards = settings.data?.pageCards ?? NONE;
  const isOwner = member.role === 'owner';
  const add = ({ host, places }: Taught) =>
    save.mutate([
      ...cards.filter((card) => card.host !== host),
      { host, places: places.map(({ path, at }) => ({ path, at })) },
    ]);
  return (
    <section aria-label="Page cards" className="grid gap-3">
      <h2 className="section-head">Page cards</h2>
      <p className="text-[14px] text-soft">
        A card says where a page shows a name, a number or a language. An entry is then filled from there by{' '}
        <kbd>Alt + P</kbd>, and you see it before it goes in.
        {isOwner && ' Open the page, then the companion, and choose “Show where details are on it”.'}
      </p>
      {isOwner && taught && <TaughtCard taught={taught} save={() => add(taught)} drop={drop} />}
      <ul aria-label="Page cards">
        {cards.map(({ host, places }) => (
          <li
            key={host}
            className="flex items-baseline justify-between gap-3 border-b border-hair py-1.5 text-[14px]"
          >
            <span className="min-w-0 break-words">
              <span className="font-cue text-[13.5px] break-all">{host}</span>{' '}
              <span className="text-soft">{places.map(({ path }) => labelOfDetail(path)).join(', ')}</span>
            </span>
            {isOwner && (
              <Button
                look="text"
                aria-label={`Remove the card of ${host}`}
                disabled={save.isPending}
                onClick={() => save.mutate(cards.filter((card) => card.host !== host))}
              >
                Remove
              </Button>
            )}
          </li>
        ))}
      </ul>
      {save.error && <Notice tone="warning" title={inWords(save.error)} />}
    </section>
  );
}
