import { useMutation } from '@tanstack/react-query';
import { csvOf } from '#core/exchange';
import { inWords } from '#client/api';
import { fileName, offerFile, textFile } from '#client/files';
import { workbook } from '../documents';
import { Button, Menu, Notice } from '../ui';
import { usageRows, type UsageTable } from './usageTables';

const FORMS = [
  { label: 'Table (xlsx)', ending: 'xlsx', make: workbook },
  {
    label: 'Table (CSV)',
    ending: 'csv',
    make: (rows: readonly (readonly string[])[]) => Promise.resolve(textFile(csvOf(rows), 'text/csv')),
  },
] as const;

/** Takes the figures away as a table. */
export function SaveUsage({ tables }: { tables: readonly UsageTable[] }) {
  const save = useMutation({
    mutationFn: async ({ ending, make }: (typeof FORMS)[number]) =>
      offerFile(await make(usageRows(tables)), fileName('Usage', ending)),
  });
  return (
    <div>
      <Menu
        align="start"
        trigger={<Button disabled={save.isPending}>Save the figures</Button>}
        items={FORMS.map((form) => ({ label: form.label, onSelect: () => save.mutate(form) }))}
      />
      {save.error && <Notice tone="warning" title={inWords(save.error)} />}
    </div>
  );
}
