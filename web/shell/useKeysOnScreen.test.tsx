import { afterEach, expect, test } from '@jest/globals';
import { cleanup, render, screen } from '@testing-library/react';
import { useKeysOnScreen } from './useKeysOnScreen';

afterEach(cleanup);

function Page({ at, children }: { at: string; children: React.ReactNode }) {
  useKeysOnScreen(at);
  return (
    <div id="root">
      <nav>
        <a href="#bank">Bank</a>
      </nav>
      <main>{children}</main>
    </div>
  );
}
const nextFrame = () => new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
const here = () => document.activeElement;

test('gone to from the head line, a screen has the keys on its heading', async () => {
  const { rerender } = render(<Page at="/">{<h1>Desk</h1>}</Page>);
  screen.getByRole('link').focus();
  rerender(<Page at="/bank">{<h1>The bank</h1>}</Page>);
  await nextFrame();
  expect(here()).toBe(screen.getByRole('heading', { name: 'The bank' }));
});

test('a screen that takes them itself keeps them, in its own head too', async () => {
  const { rerender } = render(<Page at="/">{<h1>Desk</h1>}</Page>);
  rerender(
    <Page at="/nearest">
      <header>
        <h1>Find wording</h1>
        <input autoFocus aria-label="What it is about" />
      </header>
    </Page>,
  );
  await nextFrame();
  expect(here()).toBe(screen.getByRole('textbox'));
});

test('while a screen is awaited its name is not read out: it is when it is there', async () => {
  const { rerender } = render(<Page at="/">{<h1>Desk</h1>}</Page>);
  rerender(<Page at="/bank/a">{<h1 data-awaited>Entry</h1>}</Page>);
  await nextFrame();
  expect(here()).toBe(document.body);
  rerender(<Page at="/bank/a">{<h1 key="there">Gave a bath</h1>}</Page>);
  await nextFrame();
  expect(here()).toBe(screen.getByRole('heading', { name: 'Gave a bath' }));
});

test('a menu that was opened at once keeps them: it lies over the screen', async () => {
  const { rerender } = render(<Page at="/">{<h1>Desk</h1>}</Page>);
  rerender(<Page at="/bank">{<h1>The bank</h1>}</Page>);
  const menu = document.body.appendChild(document.createElement('div'));
  menu.tabIndex = -1;
  menu.focus();
  await nextFrame();
  expect(here()).toBe(menu);
  menu.remove();
});
