import { DropdownMenu } from 'radix-ui';
import type { ReactNode } from 'react';

export interface MenuItem {
  label: string;
  onSelect: () => void;
}

/** A button that opens a short list of actions. Not modal: the page behind stays usable. */
export function Menu({
  trigger,
  items,
  align = 'end',
}: {
  trigger: ReactNode;
  items: MenuItem[];
  align?: 'start' | 'end';
}) {
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger asChild>{trigger}</DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align={align}
          sideOffset={4}
          className="z-20 min-w-44 rounded-[3px] border border-hair bg-page py-1 text-[14px] shadow-md"
        >
          {items.map(({ label, onSelect }) => (
            <DropdownMenu.Item
              key={label}
              onSelect={onSelect}
              className="cursor-pointer px-3 py-1.5 outline-none data-[highlighted]:bg-flower"
            >
              {label}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
