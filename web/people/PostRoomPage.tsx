import { useMutation } from '@tanstack/react-query';
import { Link } from 'react-router';
import { call } from '#client/api';
import { usePostRoom } from '../api';
import { instantInWords } from '#client/clock';
import { Figure } from '../shell';
import { Button, Failed, Loading, Refused } from '../ui';

/** A letter's text, its link to be followed or copied. */
function Text({ text }: { text: string }) {
  return text.split(/(https?:\/\/\S+)/).map((piece, at) =>
    at % 2 === 1 ? (
      <a key={at} href={piece} className="break-all text-elder underline">
        {piece}
      </a>
    ) : (
      piece
    ),
  );
}

/** A letter whose link lets its holder be that member: read once, and the trail tells of it. */
function SecretLetter({ id, to }: { id: string; to: string }) {
  const read = useMutation({ mutationFn: () => call('readPost', { params: { letter: id } }) });
  if (read.data)
    return (
      <p className="book mt-2 text-[15px] whitespace-pre-line">
        <Text text={read.data.text} />
      </p>
    );
  return (
    <div className="mt-2 text-[14px]">
      <p className="text-soft">
        Its link sets the password of {to}. You can read it once, to pass it on; the trail will say that you
        did.
      </p>
      <Button className="mt-2" onClick={() => read.mutate()} disabled={read.isPending}>
        Read the email to {to}
      </Button>
      {read.error && <Refused error={read.error} />}
    </div>
  );
}

/** Where letters wait as long as no mail server is set: an owner hands their links on. */
export function PostRoomPage() {
  const post = usePostRoom(true);
  return (
    <Figure
      marginLabel="About the post room"
      margin={
        <p className="pt-6 text-[14px] text-soft">
          No mail server is set, so emails wait here for an owner to pass on. They stay until the server is
          restarted. Each link works once.
        </p>
      }
    >
      <h1 className="px-9 pt-6 pb-2 font-book text-[26px] leading-tight max-[899px]:px-4">Post room</h1>
      {post.isPending && <Loading what="the emails" />}
      {post.isError && <Failed what="the emails" error={post.error} retry={() => void post.refetch()} />}
      {post.data?.length === 0 && (
        <p className="px-9 py-5 text-soft max-[899px]:px-4">
          No email is waiting. They come when someone is{' '}
          <Link to="/people" className="text-elder underline">
            invited
          </Link>{' '}
          or needs a new password.
        </p>
      )}
      <ul>
        {post.data?.map(({ id, to, subject, text, sentAt }) => (
          <li key={id} className="border-b border-hair px-9 py-4 max-[899px]:px-4">
            <article aria-label={subject}>
              <h2 className="font-book text-[18px]">{subject}</h2>
              <p className="text-[13px] text-soft">
                To {to}, {instantInWords(sentAt)}
              </p>
              {text === null ? (
                <SecretLetter id={id} to={to} />
              ) : (
                <p className="book mt-2 text-[15px] whitespace-pre-line">
                  <Text text={text} />
                </p>
              )}
            </article>
          </li>
        ))}
      </ul>
    </Figure>
  );
}
