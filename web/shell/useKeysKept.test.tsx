import { afterEach, describe, expect, test } from '@jest/globals';
import { cleanup, render, screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { useKeysKept } from './useKeysKept';

afterEach(cleanup);

function Page({ children }: { children: ReactNode }) {
  useKeysKept();
  return <main>{children}</main>;
}

/** A list of which each line can be moved up and removed. */
function Lines() {
  const [lines, setLines] = useState(['Owl', 'Newt', 'Hare']);
  return (
    <section>
      <ul>
        {lines.map((line, at) => (
          <li key={line}>
            <span>{line}</span>
            <button onClick={() => setLines([line, ...lines.filter((one) => one !== line)])}>
              Move {line}
            </button>
            <button onClick={() => setLines(lines.toSpliced(at, 1))}>Remove {line}</button>
          </li>
        ))}
      </ul>
      <button>Add</button>
    </section>
  );
}

/** A question in place of the button that asks it. */
function Question() {
  const [isAsked, ask] = useState(false);
  if (!isAsked) return <button onClick={() => ask(true)}>Take out</button>;
  return (
    <p>
      Really?
      <button onClick={() => ask(false)}>Keep it</button>
    </p>
  );
}

/** Cannot be pressed until `done`, and is gone then where it `goes`. */
function Save({ isPending, isDone = false }: { isPending: boolean; isDone?: boolean }) {
  return (
    <form onSubmit={(event) => event.preventDefault()}>
      <input aria-label="Name" />
      {!isDone && <button disabled={isPending}>Save</button>}
    </form>
  );
}

/** What changed is seen, and what is then to be done in a turn of its own is done: of two turns the one that was asked for first comes first. */
const turn = async () => {
  for (let told = 0; told < 3; told += 1) await Promise.resolve();
  await new Promise((done) => setTimeout(done));
};
const press = async (name: string) => {
  screen.getByRole('button', { name }).focus();
  await userEvent.keyboard('{Enter}');
  await turn();
};
/** What has the keys, by its words or label. */
const here = () => document.activeElement?.getAttribute('aria-label') ?? document.activeElement?.textContent;
/** As browsers do with what cannot be pressed any more. */
const letGo = () => (document.activeElement as HTMLElement).blur();

describe('what had the keys vanished', () => {
  test.each([
    ['Newt', 'Move Hare'],
    ['Hare', 'Add'],
  ])('with its line, %s: what comes after it has them', async (line, next) => {
    render(<Page>{<Lines />}</Page>);
    await press(`Remove ${line}`);
    expect(here()).toBe(next);
  });

  test('with nothing behind it in its part of the page: what stands before it has them', async () => {
    const { rerender } = render(<Page>{<Save isPending={false} />}</Page>);
    await press('Save');
    rerender(<Page>{<Save isPending={false} isDone />}</Page>);
    await turn();
    expect(here()).toBe('Name');
  });

  test('with a question that was asked in its place, and again when that is answered', async () => {
    render(
      <Page>
        <section>
          <button>Before</button>
          <Question />
          <button>Behind</button>
        </section>
      </Page>,
    );
    await press('Take out');
    expect(here()).toBe('Keep it');
    await press('Keep it');
    expect(here()).toBe('Take out');
  });

  test('with all around it: what is left of the page that was pressed before has them', async () => {
    function Both() {
      const [isThere, show] = useState(true);
      return (
        <>
          <div>
            <button>Wider</button>
          </div>
          {isThere && <div>{<button onClick={() => show(false)}>Undo</button>}</div>}
        </>
      );
    }
    render(<Page>{<Both />}</Page>);
    await press('Wider');
    await press('Undo');
    expect(here()).toBe('Wider');
  });

  test('with a menu over the page: what opened it has them, or stands where that stood', async () => {
    const { rerender } = render(
      <Page>
        <ul>
          <li>
            <button>More of Owl</button>
          </li>
          <li>
            <button>More of Newt</button>
          </li>
        </ul>
      </Page>,
    );
    await press('More of Owl');
    const menu = document.body.appendChild(document.createElement('div'));
    menu.innerHTML = '<button>Remove it</button>';
    await press('Remove it');
    menu.remove();
    rerender(
      <Page>
        <ul>
          <li key="newt">
            <button>More of Newt</button>
          </li>
        </ul>
      </Page>,
    );
    await turn();
    expect(here()).toBe('More of Newt');
  });
});

test('what was only moved has them again', async () => {
  render(<Page>{<Lines />}</Page>);
  await press('Move Hare');
  expect(here()).toBe('Move Hare');
});

test('what cannot be pressed for a moment has them again when it can', async () => {
  const { rerender } = render(<Page>{<Save isPending={false} />}</Page>);
  await press('Save');
  letGo();
  rerender(<Page>{<Save isPending />}</Page>);
  await turn();
  expect(document.activeElement).toBe(document.body);
  rerender(<Page>{<Save isPending={false} />}</Page>);
  await turn();
  expect(here()).toBe('Save');
});

describe('nothing is given', () => {
  test('to one whose hand is at the mouse', async () => {
    render(<Page>{<Lines />}</Page>);
    screen.getByRole('button', { name: 'Move Newt' }).focus();
    await userEvent.keyboard(' ');
    await userEvent.click(screen.getByRole('button', { name: 'Remove Newt' }));
    await turn();
    expect(document.activeElement).toBe(document.body);
  });

  test('where the page gives them somewhere itself', async () => {
    function Own() {
      const [isThere, show] = useState(true);
      const draft = useRef<HTMLTextAreaElement>(null);
      useEffect(() => {
        if (!isThere) draft.current?.focus();
      }, [isThere]);
      return (
        <section>
          {isThere && <button onClick={() => show(false)}>Place</button>}
          <button>After</button>
          <textarea aria-label="Draft" ref={draft} />
        </section>
      );
    }
    render(<Page>{<Own />}</Page>);
    await press('Place');
    expect(here()).toBe('Draft');
  });

  test('once another page is shown', async () => {
    const { rerender } = render(<Page>{<Save isPending={false} />}</Page>);
    await press('Save');
    history.pushState(null, '', '/elsewhere');
    rerender(<Page>{<a href="#bank">Bank</a>}</Page>);
    await turn();
    expect(document.activeElement).toBe(document.body);
    history.pushState(null, '', '/');
  });
});
