/** A key or button that a pedal, or a keyboard, presses: what it is known by, and what it is called. */
export interface Press {
  id: string;
  label: string;
}

/** Keys that move in a text or leave it: a pedal that took one of them would take it from whoever writes. */
const WRITERS_OWN: ReadonlySet<string> = new Set([
  ...['Tab', 'Enter', 'Escape', 'Backspace', 'Delete', 'Insert', 'Home', 'End', 'PageUp', 'PageDown'],
  ...['ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight', 'CapsLock', 'Dead', 'Process'],
]);
const MODIFIERS: ReadonlySet<string> = new Set(['Shift', 'Control', 'Alt', 'AltGraph', 'Meta']);

type Key = Pick<KeyboardEvent, 'key' | 'code' | 'ctrlKey' | 'altKey' | 'shiftKey' | 'metaKey'>;

/** Whether a key without modifiers belongs to writing: what writes a character, but on the keypad, or moves in the text. */
const isOfWriting = (key: string, isNumpad: boolean): boolean =>
  (key.length === 1 && !isNumpad) || WRITERS_OWN.has(key);

/** The press that a key is; `own` for one that belongs to writing, null while it is a modifier alone. */
export function pressOfKey({ key, code, ctrlKey, altKey, shiftKey, metaKey }: Key): Press | 'own' | null {
  if (MODIFIERS.has(key)) return null;
  const held = [ctrlKey && 'Ctrl', altKey && 'Alt', shiftKey && 'Shift', metaKey && 'Meta'].filter(Boolean);
  const isNumpad = code.startsWith('Numpad') && code !== 'NumpadEnter';
  if (!(ctrlKey || altKey || metaKey) && isOfWriting(key, isNumpad)) return 'own';
  // By its place where it says one: what it writes differs between keyboards, and foot switches often say none.
  const name = code || key;
  const words = isNumpad ? `Keypad ${code.slice(6)}` : name.replace(/^(Key|Digit)(?=.$)/, '');
  return { id: [...held, name].join('+'), label: [...held, words].join(' + ') };
}

/** What of a gamepad is looked at. */
export interface GamepadLike {
  index: number;
  buttons: readonly { pressed: boolean }[];
}

/** Where presses come from. */
export interface PressHost {
  target: Pick<EventTarget, 'addEventListener' | 'removeEventListener'>;
  gamepads: () => readonly (GamepadLike | null)[];
  /** Runs something again and again, many times a second; gives what ends it. */
  eachFrame: (run: () => void) => () => void;
}

/** Hears of a press as it goes down and up; says whether it was used, so that it does nothing else. */
export type Heard = (press: Press, isDown: boolean) => boolean;

const buttonPress = (pad: GamepadLike, button: number): Press => ({
  id: `Gamepad${pad.index}:${button}`,
  label: `Gamepad ${pad.index + 1}, button ${button + 1}`,
});

/** Hears the buttons of gamepads: they tell of nothing, and are looked at in each frame as long as one is connected. */
function hearGamepads({ target, gamepads, eachFrame }: PressHost, heard: Heard): () => void {
  const down = new Map<string, Press>();
  const look = () => {
    const now = new Map(
      gamepads().flatMap((pad) =>
        (pad?.buttons ?? []).flatMap(({ pressed }, at) => {
          const press = buttonPress(pad!, at);
          return pressed ? [[press.id, press] as const] : [];
        }),
      ),
    );
    for (const [id, press] of down) if (!now.has(id)) heard(press, false);
    for (const [id, press] of now) if (!down.has(id)) heard(press, true);
    down.clear();
    for (const [id, press] of now) down.set(id, press);
  };
  let end: (() => void) | null = null;
  const begin = () => {
    end ??= eachFrame(look);
  };
  target.addEventListener('gamepadconnected', begin);
  if (gamepads().some(Boolean)) begin();
  return () => {
    target.removeEventListener('gamepadconnected', begin);
    end?.();
  };
}

/**
 * Hears keys and the buttons of gamepads. A key that is held and repeats is heard once; it goes up even where a modifier went up before
 * it. Gives what ends it.
 */
export function hearPresses(host: PressHost, heard: Heard): () => void {
  const down = new Map<string, Press>();
  const keyDown = (event: Event) => {
    const key = event as KeyboardEvent;
    const press = key.isComposing ? null : pressOfKey(key);
    if (!press || press === 'own') return;
    const isUsed = key.repeat ? down.has(press.id) : heard(press, true);
    if (!isUsed) return;
    down.set(key.code || key.key, press);
    down.set(press.id, press);
    key.preventDefault();
    key.stopPropagation();
  };
  const keyUp = (event: Event) => {
    const { code, key } = event as KeyboardEvent;
    const press = down.get(code || key);
    if (!press) return;
    down.delete(code || key);
    down.delete(press.id);
    heard(press, false);
  };
  // Before the text hears of it: a key that was learnt is no key of the text.
  host.target.addEventListener('keydown', keyDown, { capture: true });
  host.target.addEventListener('keyup', keyUp, { capture: true });
  const endGamepads = hearGamepads(host, heard);
  return () => {
    host.target.removeEventListener('keydown', keyDown, { capture: true });
    host.target.removeEventListener('keyup', keyUp, { capture: true });
    endGamepads();
  };
}

/** The page as a source of presses. */
export const pagePresses = (): PressHost => ({
  target: window,
  // Browsers have gamepads only where the page came safely (https, or this computer).
  gamepads: () => ('getGamepads' in navigator ? navigator.getGamepads() : []),
  eachFrame: (run) => {
    let frame = 0;
    const again = () => {
      run();
      frame = requestAnimationFrame(again);
    };
    frame = requestAnimationFrame(again);
    return () => cancelAnimationFrame(frame);
  },
});
