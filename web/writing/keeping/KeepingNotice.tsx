import type { Draft, Member } from '#contracts';
import { SignInAgain } from '../../account';
import { instantInWords } from '#client/clock';
import { Button, Notice } from '../../ui';
import type { Keeping } from '#client/drafts';

interface Props {
  keeping: Keeping;
  member: Member;
  /** Signed in again: what could not be saved is sent. */
  goOn: () => void;
  takeTheirs: (draft: Draft) => void;
  keepMine: (draft: Draft) => void;
}

const keptWords = (keptHere: boolean) =>
  keptHere
    ? 'Everything you wrote is saved on this computer.'
    : 'This browser has no room to keep a copy: leave the page open until it is saved.';

/** In the margin while the text cannot be saved: what happened, what was kept, what to do. */
export function KeepingNotice({ keeping, member, goOn, takeTheirs, keepMine }: Props) {
  switch (keeping.kind) {
    case 'saved':
    case 'saving':
      return null;
    case 'unreachable':
      return (
        <Notice tone="warning" title="The server cannot be reached.">
          {keptWords(keeping.keptHere)} Go on writing: it is saved as soon as the server is back.
        </Notice>
      );
    case 'signed-out':
      return <SignInAgain member={member} kept={keptWords(keeping.keptHere)} goOn={goOn} />;
    case 'moved-on':
      return (
        <Notice tone="warning" title="This draft was changed in another window.">
          <p>
            There it was saved {instantInWords(keeping.current.savedAt)} and begins: “
            {keeping.current.excerpt || 'nothing yet'}”. Yours is here, complete.
          </p>
          <p className="mt-2 flex flex-wrap gap-2">
            <Button onClick={() => keepMine(keeping.current)}>Keep mine</Button>
            <Button onClick={() => takeTheirs(keeping.current)}>Take the other</Button>
          </p>
        </Notice>
      );
    case 'refused':
      return (
        <Notice tone="warning" title="The server would not save this text.">
          {keeping.problem.detail} {keptWords(keeping.keptHere)} Change it, and it is tried again.
        </Notice>
      );
  }
}
