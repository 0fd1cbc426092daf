import { useMutation } from '@tanstack/react-query';
import { X } from 'lucide-react';
import type { Collection, GrantedTo, Sharing, Team } from '#contracts';
import { granteeKey, mergedGrants, rightsOf, type Grantee } from '#core/rights';
import { call, inWords, isProblem } from '#client/api';
import { KEYS, queryClient, useSharing, useTeam } from '../api';
import { useShell } from '../shell';
import { ActingSelect, Button, Failed, Loading, Notice, Overtaken, useUnsaved } from '../ui';

const LEVELS: [GrantedTo['right'], string][] = [
  ['read', 'may use it'],
  ['contribute', 'may propose changes'],
  ['keep', 'keeps it'],
  ['none', 'may not see it'],
];
/** Said where another keeper saved at the same moment: by then theirs is shown. */
const QUICKER =
  'Another keeper saved sharing just before you. What they changed is shown here with yours: save it again.';
const inWordsOf = Object.fromEntries(LEVELS) as Record<GrantedTo['right'], string>;

/** All, then groups, then members: in one order, whoever named them first. */
const RANK = { team: 0, group: 1, member: 2 } as const;
const placeOf = ({ to }: GrantedTo) => `${RANK[to.kind]} ${granteeKey(to)}`;
const inOrder = (grants: readonly GrantedTo[]) =>
  [...grants].sort((a, b) => placeOf(a).localeCompare(placeOf(b)));

/** Two changes of what is granted made one. */
function inOrderMerged(
  mine: readonly GrantedTo[],
  base: readonly GrantedTo[],
  theirs: readonly GrantedTo[],
): GrantedTo[] | null {
  const merged = mergedGrants(mine, base, theirs);
  return merged && inOrder(merged);
}

/** Everyone something can be granted to, by key, as they are called. */
function granteesOf({ members, groups }: Team): Map<string, { to: Grantee; name: string }> {
  const all = [
    { to: { kind: 'team' } as const, name: 'The whole team' },
    ...groups.map(({ id, name }) => ({ to: { kind: 'group', id } as const, name: `${name} (group)` })),
    ...members.map(({ id, name }) => ({ to: { kind: 'member', id } as const, name })),
  ];
  return new Map(all.map((one) => [granteeKey(one.to), one]));
}

/** Whether a member would keep it, by what it grants and by what is passed down to it. */
function isKept(
  grants: readonly GrantedTo[],
  { passedDown }: Sharing,
  member: string,
  { groups }: Team,
): boolean {
  const mine = groups.filter((group) => group.members.includes(member)).map(({ id }) => id);
  const at = (collection: string, granted: readonly GrantedTo[]) =>
    granted.map(({ to, right }) => ({ collection, to, right }));
  const rights = rightsOf(
    { id: member, groups: new Set(mine) },
    [
      { id: 'around', parent: null, ownedBy: null },
      { id: 'this', parent: 'around', ownedBy: null },
    ],
    [...at('around', passedDown), ...at('this', grants)],
  );
  return rights.get('this') === 'keep';
}

interface EditorProps {
  collection: Collection;
  sharing: Sharing;
  team: Team;
}

interface GrantLineProps {
  name: string;
  right: GrantedTo['right'];
  set: (right: GrantedTo['right']) => void;
  remove: () => void;
}

/** What one person or group may do. */
const GrantLine = ({ name, right, set, remove }: GrantLineProps) => (
  <li className="grid grid-cols-[1fr_auto] gap-x-2 border-b border-hair py-1.5">
    <div className="grid min-w-0 grid-cols-[minmax(0,1fr)_11rem] items-baseline gap-x-2 text-[14px]">
      <span className="break-words">{name}</span>
      <select
        aria-label={name}
        className="input bg-paper text-[13px]"
        value={right}
        onChange={({ target }) => set(target.value as GrantedTo['right'])}
      >
        {LEVELS.map(([level, words]) => (
          <option key={level} value={level}>
            {words}
          </option>
        ))}
      </select>
    </div>
    <button
      type="button"
      aria-label={`Remove ${name} from the list`}
      className="self-center p-1 text-soft hover:text-rust"
      onClick={remove}
    >
      <X size={15} aria-hidden />
    </button>
  </li>
);

interface ShareWithProps {
  /** Whom it can be shared with, by key. */
  others: readonly (readonly [string, { name: string; to: Grantee }])[];
  add: (to: Grantee) => void;
}

/** Adds a person, a group or everyone. */
const ShareWith = ({ others, add }: ShareWithProps) => (
  <ActingSelect
    label="Share with"
    value=""
    act={(key) => {
      const one = others.find(([known]) => known === key);
      if (one) add(one[1].to);
    }}
  >
    <option value="">choose a person, a group or everyone</option>
    {others.map(([key, { name }]) => (
      <option key={key} value={key}>
        {name}
      </option>
    ))}
  </ActingSelect>
);

/** Who may do what: changed here, and saved together. */
function SharingEditor({ collection, sharing, team }: EditorProps) {
  const { member } = useShell();
  const unsaved = useUnsaved<readonly GrantedTo[]>(inOrder(sharing.grants), sharing.version, inOrderMerged);
  const { value: grants, set: setGrants, changed } = unsaved;
  const grantees = granteesOf(team);
  const nameOf = (to: Grantee) => grantees.get(granteeKey(to))?.name ?? 'Someone';
  const save = useMutation({
    mutationFn: () =>
      call('share', {
        params: { collection: collection.id },
        version: unsaved.version,
        body: { grants: [...grants] },
      }),
    onSuccess: (now) => {
      unsaved.saved(inOrder(now.grants), now.version);
      queryClient.setQueryData([...KEYS.sharing, collection.id], now);
      // What it passes down is told on the pages of those within it.
      for (const queryKey of [KEYS.sharing, KEYS.bank]) void queryClient.invalidateQueries({ queryKey });
    },
    // Refused since another keeper was quicker than what is told of it: theirs comes, and is made one with what is changed here.
    onError: () => queryClient.invalidateQueries({ queryKey: KEYS.sharing }),
  });
  const named = new Set(grants.map(({ to }) => granteeKey(to)));
  // Who has left keeps their name where they are named, and is not offered anew.
  const left = new Set(team.members.filter((one) => one.left).map(({ id }) => `member ${id}`));
  const others = [...grantees].filter(([key]) => !named.has(key) && !left.has(key));
  const lost = changed && !isKept(grants, sharing, member.id, team);
  return (
    <form
      aria-label="Sharing"
      className="grid gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate();
      }}
    >
      <ul>
        {grants.map(({ to, right }) => (
          <GrantLine
            key={granteeKey(to)}
            {...{ name: nameOf(to), right }}
            set={(now) => setGrants(grants.map((one) => (one.to === to ? { to, right: now } : one)))}
            remove={() => setGrants(grants.filter((one) => one.to !== to))}
          />
        ))}
      </ul>
      <ShareWith others={others} add={(to) => setGrants(inOrder([...grants, { to, right: 'read' }]))} />
      {lost && (
        <Notice tone="warning" title="You would no longer be a keeper.">
          Its other keepers can make you one again.
        </Notice>
      )}
      {unsaved.overtaken && <Overtaken {...unsaved} />}
      {save.error && !unsaved.overtaken && (
        <Notice tone="warning" title={isProblem(save.error, 'moved-on') ? QUICKER : inWords(save.error)} />
      )}
      {changed && (
        <Button
          type="submit"
          look="main"
          className="justify-self-start"
          disabled={unsaved.overtaken || save.isPending}
        >
          Save sharing
        </Button>
      )}
    </form>
  );
}

function PassedDown({ sharing, team }: Omit<EditorProps, 'collection'>) {
  if (sharing.passedDown.length === 0) return null;
  const grantees = granteesOf(team);
  return (
    <div>
      <h3 className="eyebrow">Inherited</h3>
      <ul className="mt-1 text-[13.5px] text-soft">
        {sharing.passedDown.map(({ to, right, from }, at) => (
          <li key={at}>
            {grantees.get(granteeKey(to))?.name ?? 'Someone'} {inWordsOf[right]}
            {from !== null && `, from “${from}”`}
          </li>
        ))}
      </ul>
      <p className="mt-1 text-[12.5px] text-soft">
        These rights also apply here unless you set others for the same person or group. Keepers of the
        collection above keep this one too.
      </p>
    </div>
  );
}

/** Who may do what in a collection: to be changed by those who keep it, to be read by others. */
export function SharingPanel({ collection }: { collection: Collection }) {
  const sharing = useSharing(collection.id);
  const team = useTeam();
  const error = sharing.error ?? team.error;
  if (collection.own)
    return <p className="text-[14px] text-soft">This is your own: nobody else sees it, or what is in it.</p>;
  if (error)
    return (
      <Failed
        what="sharing"
        error={error}
        retry={() => void Promise.all([sharing.refetch(), team.refetch()])}
      />
    );
  if (!sharing.data || !team.data) return <Loading what="sharing" />;
  const grantees = granteesOf(team.data);
  return (
    <section aria-label="Sharing" className="grid gap-4">
      <h2 className="section-head">Sharing</h2>
      {collection.right === 'keep' ? (
        <SharingEditor collection={collection} sharing={sharing.data} team={team.data} />
      ) : (
        <ul className="text-[14px]">
          {sharing.data.grants.map(({ to, right }) => (
            <li key={granteeKey(to)}>
              {grantees.get(granteeKey(to))?.name} {inWordsOf[right]}
            </li>
          ))}
        </ul>
      )}
      <PassedDown sharing={sharing.data} team={team.data} />
    </section>
  );
}
