import { expect, test } from '@jest/globals';
import { fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import type { Wording } from '#core/entry';
import { PageOf } from './PageOf';

const WORDING: Wording = {
  id: 'w',
  name: 'In a talk',
  language: 'en-GB',
  parts: [{ id: 'text', name: 'Text', passage: { type: 'doc', content: [{ type: 'paragraph' }] } }],
};
/** What was said of it so far, last. */
const said: Wording[] = [];
const saved = () => said.at(-1)!;

function Shown({ onPage }: { onPage?: string }) {
  const [wording, set] = useState<Wording>(onPage === undefined ? WORDING : { ...WORDING, onPage });
  const change = (next: Wording) => {
    said.push(next);
    set(next);
  };
  return <PageOf wording={wording} set={change} />;
}
const line = () => screen.getByRole<HTMLInputElement>('textbox');
const type = (value: string) => fireEvent.change(line(), { target: { value } });

test('the page of a wording is named as it was typed or copied, and empty is every page', () => {
  render(<Shown />);
  type('https://Talk.example/rooms/?with=all');
  expect(saved().onPage).toBe('talk.example/rooms');
  fireEvent.blur(line());
  expect(line().value).toBe('talk.example/rooms');
  type('  ');
  expect('onPage' in saved()).toBe(false);
});

test('what names no page is told, stays as it was typed, and changes nothing', () => {
  said.length = 0;
  render(<Shown onPage="talk.example" />);
  expect(line().value).toBe('talk.example');
  type('our talk');
  expect(screen.getByRole('alert').textContent).toContain('as in chat.example');
  fireEvent.blur(line());
  expect(line().value).toBe('our talk');
  expect(said).toEqual([]);
});
