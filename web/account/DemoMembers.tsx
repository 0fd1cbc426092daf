import { useMutation } from '@tanstack/react-query';
import type { Member } from '#contracts';
import { call, inWords } from '#client/api';
import { Notice } from '../ui';

/** In the demo, and only there: the invented team of Hollin Marsh, one click each. */
export function DemoMembers({ members, enter }: { members: Member[]; enter: (member: Member) => void }) {
  const signIn = useMutation({
    mutationFn: (member: string) => call('signInDemo', { body: { member } }),
    onSuccess: enter,
  });
  return (
    <section className="mt-8 border-t border-hair pt-5" aria-labelledby="demo-team">
      <h2 id="demo-team" className="eyebrow">
        Demo: Hollin Marsh Wildlife Hospital and Field School
      </h2>
      <ul className="mt-2">
        {members.map((member) => (
          <li key={member.id} className="border-b border-hair last:border-0">
            <button
              type="button"
              className="flex w-full items-baseline gap-3 py-2 text-left hover:text-elder"
              onClick={() => signIn.mutate(member.id)}
            >
              <span className="font-book text-[17px]">{member.name}</span>
              <span className="text-[14px] text-soft">{member.job}</span>
            </button>
          </li>
        ))}
      </ul>
      {signIn.isError && <Notice tone="warning" title={inWords(signIn.error)} />}
    </section>
  );
}
