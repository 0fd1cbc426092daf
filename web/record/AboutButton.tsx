import { Button } from '../ui';

/** Shows and hides what is said about a case, at its head. `called`: what such a case is called: "tray". */
export const AboutButton = ({
  called,
  isOpen,
  toggle,
}: {
  called: string;
  isOpen: boolean;
  toggle: () => void;
}) => (
  <Button look="text" className="text-[13px]" aria-expanded={isOpen} onClick={toggle}>
    About this {called}
  </Button>
);
