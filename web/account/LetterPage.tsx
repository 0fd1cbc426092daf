import { useMutation } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Member } from '#contracts';
import { ApiProblem, inWords } from '#client/api';
import { KEYS, queryClient } from '../api';
import { Button, Loading, Notice } from '../ui';
import { FrontLeaf } from './FrontLeaf';
import type { useLetter } from './useLetter';

/** What a letter is answered by: sending it signs in. Faults are told beside the field of their name. */
export function useAnswer<T>(send: (given: T) => Promise<Member>) {
  const navigate = useNavigate();
  const answer = useMutation({
    mutationFn: send,
    onSuccess: (member) => {
      queryClient.clear();
      queryClient.setQueryData(KEYS.session, member);
      void navigate('/', { replace: true });
    },
  });
  const faults = answer.error instanceof ApiProblem ? (answer.error.problem.faults ?? []) : [];
  const faultOf = (place: string) => faults.find((fault) => fault.place === place)?.message;
  return { answer, faultOf, said: answer.error && faults.length === 0 ? inWords(answer.error) : null };
}

interface Props {
  title: string;
  letter: ReturnType<typeof useLetter>['letter'];
  children: (letter: NonNullable<ReturnType<typeof useLetter>['letter']['data']>) => ReactNode;
}

/** A page that a letter's link leads to; where the link does not work, what to do instead. */
export function LetterPage({ title, letter, children }: Props) {
  return (
    <FrontLeaf title={title}>
      {letter.isPending && <Loading what="the email" />}
      {letter.isError && (
        <div className="mt-4 grid gap-3">
          <Notice tone="warning" title={inWords(letter.error)} />
          <Link to="/sign-in" className="text-elder underline">
            Sign in
          </Link>
        </div>
      )}
      {letter.data && children(letter.data)}
    </FrontLeaf>
  );
}

/** The last line of such a page: what went wrong, and the one thing to do. */
export function Answering({
  said,
  pending,
  children,
}: {
  said: string | null;
  pending: boolean;
  children: string;
}) {
  return (
    <>
      {said && <Notice tone="warning" title={said} />}
      <Button look="main" type="submit" disabled={pending} className="justify-self-start">
        {children}
      </Button>
    </>
  );
}
