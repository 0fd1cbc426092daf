import { useMutation } from '@tanstack/react-query';
import { BROWSER_CODE_MINUTES } from '#contracts';
import { call, inWords } from '#client/api';
import { Button, Notice } from '../ui';

/** Five by five, so that it is read and typed without losing one's place. */
const inFives = (code: string): string => `${code.slice(0, 5)}-${code.slice(5)}`;

/** Shows a code that joins the companion of a browser to the member: it brings the bank into other pages. */
export function JoinBrowser() {
  const make = useMutation({ mutationFn: () => call('makeBrowserCode') });
  return (
    <section aria-label="Elderleaf on other pages" className="grid gap-2 pt-6">
      <h2 className="section-head">Elderleaf on other pages</h2>
      <p className="text-[14px] text-soft">
        The companion brings your cues into mail, course boards, chats and record systems in this browser. It
        reads the bank and counts uses; it sees no cases and no people, and what you type stays on its page.
      </p>
      {make.data && (
        <div role="status" className="slip grid gap-1">
          <p className="text-[14px]">
            Open the companion in the browser&rsquo;s toolbar while this page is in front: it fills this in.
            Or type it there.
          </p>
          <p data-browser-code className="font-cue text-[22px] tracking-[0.08em] text-leaf select-all">
            {inFives(make.data.code)}
          </p>
          <p className="text-[13px] text-soft">
            Address: <span className="font-cue">{window.location.origin}</span>. The code works once, for{' '}
            {BROWSER_CODE_MINUTES} minutes.
          </p>
        </div>
      )}
      {make.error && <Notice tone="warning" title={inWords(make.error)} />}
      <Button className="justify-self-start" disabled={make.isPending} onClick={() => make.mutate()}>
        {make.data ? 'Another code' : 'Join a browser'}
      </Button>
    </section>
  );
}
