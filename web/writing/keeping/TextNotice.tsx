import type { Member } from '#contracts';
import type { DraftKeeper, Keeping } from '#client/drafts';
import { SignInAgain } from '../../account';
import { Button, Notice } from '../../ui';
import type { KeptText } from './useTextKeeping';

interface Props {
  /** What it is called: "letter". */
  called: string;
  member: Member;
  keeper: DraftKeeper;
  keeping: Keeping;
  /** Takes what somebody else saved in place of what stands here: given as the server has it. */
  takeTheirs: (theirs: KeptText) => void;
}

/** While a text cannot be saved that is kept with something else: what happened, what was kept, what to do. */
export function TextNotice({ called, member, keeper, keeping, takeTheirs }: Props) {
  switch (keeping.kind) {
    case 'moved-on': {
      // The server tells what it is kept with, as that is now.
      const theirs = keeping.current as KeptText;
      return (
        <Notice tone="warning" title={`Somebody else changed this ${called} meanwhile.`}>
          <p>Yours is here, complete.</p>
          <p className="mt-2 flex flex-wrap gap-2">
            <Button onClick={() => keeper.saveOver(theirs.version)}>Keep mine</Button>
            <Button onClick={() => takeTheirs(theirs)}>Take theirs</Button>
          </p>
        </Notice>
      );
    }
    case 'refused':
      return (
        <Notice tone="warning" title="What you wrote could not be saved.">
          {keeping.problem.detail}
        </Notice>
      );
    case 'unreachable':
      return (
        <Notice tone="warning" title="The server cannot be reached.">
          {keeping.keptHere
            ? 'What you wrote is saved on this computer, and goes to the server as soon as it is back.'
            : 'This browser has no room to keep a copy: leave the page open until it is saved.'}
        </Notice>
      );
    case 'signed-out':
      return (
        <SignInAgain
          member={member}
          kept="What you wrote is saved on this computer."
          goOn={() => keeper.goOnFrom(keeper.savedVersion)}
        />
      );
    default:
      return null;
  }
}
