import type { EntryContent } from '#core/entry';
import { PassageView } from './PassageView';

/** All that an entry says, to read: each wording and part under its name, where there are several. */
export function WordingsView({ content }: { content: EntryContent }) {
  const nameOf = (field: string) => content.fields.find(({ id }) => id === field)?.name ?? field;
  return content.wordings.flatMap((wording) =>
    wording.parts.map((part) => {
      const name = [
        ...(content.wordings.length > 1 ? [wording.name] : []),
        ...(wording.parts.length > 1 ? [part.name] : []),
      ].join(', ');
      return (
        <div key={`${wording.id} ${part.id}`}>
          {name && <p className="eyebrow">{name}</p>}
          <PassageView passage={part.passage} nameOf={nameOf} />
        </div>
      );
    }),
  );
}
