import { CARD_PATHS, type CardPath, type PageCard } from '#contracts';
import { labelOfDetail } from '#core/record';
import { ask } from '../messages';
import { wordsAt } from '../slip/detailsOnPage';
import { Surface } from '../slip/surface';
import { placesOn } from './places';
import { selectorOf } from './selectorOf';

type Place = PageCard['places'][number];

/** An owner shows where details of a case stand on this page: by pointing, or by Tab and Enter. */
class Pointing {
  private readonly surface = new Surface();
  private readonly line: HTMLElement;
  private readonly panel: HTMLElement;
  private readonly taught = new Map<CardPath, Place & { says: string }>();
  private at: HTMLElement | null = null;
  private isAsking = false;
  /** Whether something is pointed at that was not told of yet. */
  private isPointed = false;

  constructor(private readonly ended: () => void) {
    this.panel = this.surface.open(null);
    this.panel.setAttribute('role', 'dialog');
    this.panel.setAttribute('aria-label', 'Where details are');
    this.panel.classList.add('pointing');
    this.line = document.createElement('div');
    this.line.className = 'outlined';
    this.surface.under()?.append(this.line);
    this.surface.place();
    const options = { capture: true, signal: this.over.signal };
    addEventListener('pointermove', ({ target }) => this.pointAt(target), options);
    addEventListener('click', (event) => this.clicked(event), options);
    addEventListener('keydown', (event) => this.pressed(event), options);
    addEventListener('scroll', () => this.outline(), options);
    this.draw();
  }

  private readonly over = new AbortController();

  /** Nothing is taught any more; what was shown goes to Elderleaf where `isDone`. */
  end(isDone: boolean): void {
    this.over.abort();
    this.surface.close();
    this.ended();
    const places = [...this.taught.values()];
    if (isDone && places.length > 0) void ask('taught', { host: location.host, places });
  }

  private isOurs = (target: EventTarget | null) =>
    target instanceof Element && target.localName.startsWith('elderleaf-');

  private pointAt(target: EventTarget | null): void {
    if (this.isAsking || this.isOurs(target) || !(target instanceof HTMLElement)) return;
    this.at = target;
    this.isPointed = true;
    this.outline();
  }

  private outline(): void {
    const { style } = this.line;
    const box = this.at?.getBoundingClientRect();
    style.display = box ? '' : 'none';
    if (!box) return;
    style.cssText = `position:fixed;left:${box.left - 3}px;top:${box.top - 3}px;width:${box.width + 6}px;height:${box.height + 6}px`;
  }

  private clicked(event: MouseEvent): void {
    if (this.isOurs(event.target)) return;
    // The page must not follow a link, or send a form, that is only pointed at.
    event.preventDefault();
    event.stopImmediatePropagation();
    this.isAsking = false;
    this.pointAt(event.target);
    this.askWhich();
  }

  private askWhich(): void {
    if (!this.at || wordsAt(this.at) === '') return;
    this.isAsking = true;
    this.draw();
  }

  private step(by: number): void {
    const all = placesOn(document);
    const from = this.at ? all.indexOf(this.at) : by > 0 ? -1 : 0;
    this.at = all[(from + by + all.length) % all.length] ?? null;
    this.at?.scrollIntoView({ block: 'nearest' });
    this.isAsking = false;
    this.isPointed = true;
    this.outline();
    this.draw();
  }

  private pressed(event: KeyboardEvent): void {
    if (event.ctrlKey || event.altKey || event.metaKey) return;
    const number = Number(event.key);
    if (event.key === 'Escape') {
      if (this.isAsking) this.unask();
      else this.end(false);
    } else if (event.key === 'Tab') this.step(event.shiftKey ? -1 : 1);
    else if (event.key === 'Enter' && !this.isAsking) {
      if (this.isPointed) this.askWhich();
      else this.end(true);
    } else if (this.isAsking && number >= 1) this.choose(CARD_PATHS[number - 1]);
    event.preventDefault();
    event.stopImmediatePropagation();
  }

  /** It is said what this is, or not: Tab goes on from here. */
  private unask(): void {
    this.isAsking = false;
    this.isPointed = false;
    this.draw();
  }

  private choose(path: CardPath | undefined): void {
    if (!path || !this.at) return;
    this.taught.set(path, { path, at: selectorOf(this.at), says: wordsAt(this.at) });
    this.unask();
  }

  private button(words: string, act: () => void, isMain = false): HTMLElement {
    const button = document.createElement('button');
    button.type = 'button';
    button.textContent = words;
    if (isMain) button.className = 'main';
    button.addEventListener('click', act);
    return button;
  }

  private words(tag: string, words: string): HTMLElement {
    const element = document.createElement(tag);
    element.textContent = words;
    return element;
  }

  private draw(): void {
    const known = [...this.taught.values()].map(({ path, says }) => `${labelOfDetail(path)}: ${says}`);
    const list = document.createElement('ul');
    list.append(...known.map((words) => this.words('li', words)));
    const asked = this.isAsking && this.at;
    const foot = document.createElement('footer');
    if (asked)
      foot.append(
        ...CARD_PATHS.map((path, at) =>
          this.button(`${at + 1} ${labelOfDetail(path)}`, () => this.choose(path)),
        ),
      );
    else {
      if (known.length > 0) foot.append(this.button('Done', () => this.end(true), true));
      foot.append(this.button('Cancel', () => this.end(false)));
    }
    this.panel.replaceChildren(
      this.words('h2', 'Where details are on this page'),
      this.words(
        'p',
        asked
          ? `“${wordsAt(asked)}” is …`
          : 'Point at a name, a number, a language, and click; or step with Tab and press Enter.',
      ),
      list,
      foot,
    );
  }
}

const here = globalThis as unknown as { elderleafPointing?: Pointing };
here.elderleafPointing?.end(false);
here.elderleafPointing = new Pointing(() => {
  here.elderleafPointing = undefined;
});
