import { useState } from 'react';
import { isReached } from '#client/api';
import { copiesOf } from '#client/drafts';
import { waitingActs } from '#client/waiting';
import { leaveSession } from '../account';
import { signOut } from '../api';
import { Button } from '../ui';

/** How many texts and other things of a member only this computer has. */
async function onlyHere(member: string): Promise<number> {
  const acts = await waitingActs(member);
  const begun = new Set(acts.flatMap((act) => (act.kind === 'leaf' ? [act.draft.id] : [])));
  return acts.length + copiesOf(member).filter((draft) => !begun.has(draft)).length;
}

/** What was just written is on its way: it is waited for so often, so long. */
const [TIMES, WAIT_MS] = [12, 250];

/** How much only this computer has once what is on its way has come, where the server can be reached. */
async function stillOnlyHere(member: string): Promise<number> {
  for (let times = 0; times < TIMES && isReached(); times += 1) {
    if ((await onlyHere(member)) === 0) return 0;
    await new Promise((resolve) => setTimeout(resolve, WAIT_MS));
  }
  return onlyHere(member);
}

/** Signing out; where something is on this computer alone it is asked first, since nothing stays there. `asked` is that question. */
export function useSignOut(member: string) {
  const [left, setLeft] = useState(0);
  const leave = async () => {
    await signOut().catch(() => undefined);
    await leaveSession(member);
  };
  const run = async () => {
    const count = await stillOnlyHere(member);
    if (count === 0) await leave();
    else setLeft(count);
  };
  const what = left === 1 ? 'One text or entry' : `${left} texts or entries`;
  const asked = left > 0 && (
    <div role="alertdialog" aria-label="Sign out?" className="mx-auto max-w-(--page-width) px-7 pb-3">
      <div className="border-l-2 border-rust pl-3 text-[14px]">
        <p>
          {what} {left === 1 ? 'is' : 'are'} on this computer alone and not sent yet. Signed out, nothing of
          yours stays on it.
        </p>
        <p className="mt-2 flex flex-wrap gap-2">
          <Button autoFocus onClick={() => setLeft(0)}>
            Stay signed in
          </Button>
          <Button onClick={() => void leave()}>Sign out and lose {left === 1 ? 'it' : 'them'}</Button>
        </p>
      </div>
    </div>
  );
  return { run: () => void run(), asked };
}
