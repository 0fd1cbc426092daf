import { DropdownMenu } from 'radix-ui';
import { Fragment, useRef, useState, type ReactNode } from 'react';

export interface MenuItem {
  label: string;
  /** What does the same without the menu: a key, or what is typed. */
  hint?: string | undefined;
  /** For what can be on or off: whether it is on. */
  isOn?: boolean;
  /** Items of one part stand together; a line parts it from the next. */
  part?: string;
  onSelect: () => void;
}

const ITEM = 'flex cursor-pointer items-baseline gap-6 px-3 py-1.5 outline-none data-[highlighted]:bg-flower';

function Item({ label, hint, isOn, onSelect }: MenuItem) {
  const shown = (
    <>
      <span className={isOn ? 'font-semibold text-elder' : ''}>{label}</span>
      {hint && (
        <span aria-hidden className="ml-auto text-[12px] text-soft">
          {hint}
        </span>
      )}
    </>
  );
  if (isOn === undefined)
    return (
      <DropdownMenu.Item onSelect={onSelect} className={ITEM}>
        {shown}
      </DropdownMenu.Item>
    );
  return (
    <DropdownMenu.CheckboxItem checked={isOn} onSelect={onSelect} className={ITEM}>
      {shown}
    </DropdownMenu.CheckboxItem>
  );
}

interface ItemsProps {
  items: Props['items'];
  choose: (item: MenuItem) => void;
}

/** What an open menu lists: worked out once, as it opens. */
function Items({ items, choose }: ItemsProps) {
  const [listed] = useState(items);
  return listed.map((item, at) => (
    <Fragment key={item.label}>
      {at > 0 && item.part !== listed[at - 1]!.part && (
        <DropdownMenu.Separator className="my-1 border-t border-hair" />
      )}
      <Item {...item} onSelect={() => choose(item)} />
    </Fragment>
  ));
}

interface Props {
  trigger: ReactNode;
  /** Or what works them out when the menu opens, where they follow what changes often. */
  items: MenuItem[] | (() => MenuItem[]);
  align?: 'start' | 'end';
  /** Gives the keys to where one goes on, whether or not something was chosen; otherwise they come back to the button. */
  keysGoOn?: () => void;
}

/** A button that opens a short list of actions. Not modal: the page behind stays usable. */
export function Menu({ trigger, items, align = 'end', keysGoOn }: Props) {
  const chosen = useRef<(() => void) | null>(null);
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger asChild>{trigger}</DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align={align}
          sideOffset={4}
          onCloseAutoFocus={(event) => {
            if (!keysGoOn) return;
            event.preventDefault();
            keysGoOn();
            chosen.current?.();
            chosen.current = null;
          }}
          className="z-20 max-h-[var(--radix-dropdown-menu-content-available-height)] min-w-44 overflow-y-auto rounded-[3px] border border-hair bg-page py-1 text-[14px] shadow-md"
        >
          <Items
            items={items}
            choose={(item) => {
              if (keysGoOn) chosen.current = item.onSelect;
              else item.onSelect();
            }}
          />
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
