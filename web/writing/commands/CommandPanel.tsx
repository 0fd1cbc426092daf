import { Key } from '../../ui';
import type { CommandTold } from './textCommands';

/** The text command at the caret: what it does and to which words, before it is closed. */
export function CommandPanel({ told }: { told: CommandTold }) {
  return (
    <section aria-label="Text command" role="status">
      <h2 className="section-head">{told.does}</h2>
      {told.words === null ? (
        <p className="text-[14px] text-soft">There is nothing of the kind here.</p>
      ) : (
        told.words !== '' && <p className="book line-clamp-4 text-[15px]">“{told.words}”</p>
      )}
      <p className="mt-1 text-[12.5px] text-soft">
        <Key>Space</Key> or <Key>Enter</Key> does it; <Key>Esc</Key> leaves it as text.
      </p>
    </section>
  );
}
