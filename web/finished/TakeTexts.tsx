import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { inWords } from '#client/api';
import { offerAs } from '#client/files';
import { Button, Menu, Notice } from '../ui';
import { textsArchive } from './finishedTexts';
import { TEXT_FORMS, type TextForm } from './textForms';

interface Props {
  /** Of one case, or of all that are given to the member (null). */
  of: string | null;
  label: string;
  /** What the archive is called. */
  name: string;
  look?: 'text';
}

const countInWords = (count: number) => (count === 1 ? '1 text' : `${count.toLocaleString()} texts`);

/** Takes one's finished texts away, each as a file, in one archive. */
export function TakeTexts({ of, label, name, look }: Props) {
  const [count, setCount] = useState(0);
  const take = useMutation({
    mutationFn: async (form: TextForm) => {
      setCount(0);
      const made = await textsArchive(of, form, setCount);
      if (made) offerAs('zip', made.blob, name);
      return made?.count ?? 0;
    },
  });
  return (
    <div className="grid justify-items-start gap-2">
      <Menu
        align="start"
        trigger={
          <Button look={look} disabled={take.isPending}>
            {label}
          </Button>
        }
        items={TEXT_FORMS.map((form) => ({ label: form.label, onSelect: () => take.mutate(form) }))}
      />
      {take.isPending && (
        <p role="status" className="text-[13px] text-soft">
          {countInWords(count)} so far
        </p>
      )}
      {take.isSuccess && (
        <Notice
          title={
            take.data === 0 ? 'There are no finished texts yet.' : `Downloaded: ${countInWords(take.data)}.`
          }
        />
      )}
      {take.error && (
        <Notice tone="warning" title="Nothing was downloaded.">
          <p>{inWords(take.error)}</p>
        </Notice>
      )}
    </div>
  );
}
