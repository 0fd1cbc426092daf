import { useMutation } from '@tanstack/react-query';
import { csvOf, FILE_FORMATS } from '#core/exchange';
import { inWords } from '#client/api';
import { offerAs } from '#client/files';
import { workbook } from '../documents';
import { Button, Menu, Notice } from '../ui';
import { usageRows, type UsageTable } from './usageTables';

const FORMATS = ['xlsx', 'csv'] as const;

/** Takes the figures away as a table. */
export function SaveUsage({ tables }: { tables: readonly UsageTable[] }) {
  const save = useMutation({
    mutationFn: async (format: (typeof FORMATS)[number]) => {
      const rows = usageRows(tables);
      offerAs(format, format === 'xlsx' ? await workbook(rows) : csvOf(rows), 'Usage');
    },
  });
  return (
    <div>
      <Menu
        align="start"
        trigger={<Button disabled={save.isPending}>Save the figures</Button>}
        items={FORMATS.map((format) => ({
          label: FILE_FORMATS[format].label,
          onSelect: () => save.mutate(format),
        }))}
      />
      {save.error && <Notice tone="warning" title={inWords(save.error)} />}
    </div>
  );
}
