import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { DEFAULT_PREFERENCES, type Preferences } from '#core/glossary';
import { answering } from '../../client/testing/answering';
import { queryClient } from '../api';
import { asking } from '../testing/settled';
import { RightWords } from './RightWords';

/** What the server has. */
let preferences: Preferences;
let restore: () => void;

const withRight = (right: string[]): Preferences => ({ ...DEFAULT_PREFERENCES, spelling: { right } });
beforeEach(() => {
  queryClient.clear();
  preferences = withRight(['dunlin', 'knot']);
  ({ restore } = answering((to, body) => {
    if (to.startsWith('PUT')) preferences = body as Preferences;
    return { json: preferences };
  }));
});
afterEach(() => {
  cleanup();
  restore();
});

const box = () =>
  screen.getByRole<HTMLTextAreaElement>('textbox', { name: /^Words that are right/, hidden: true });
const show = async () => {
  render(<RightWords />, { wrapper: asking });
  await waitFor(() => expect(box().value).toBe('dunlin\nknot'));
};
const right = () => preferences.spelling?.right;

test('a word that another computer added while words are typed here stays; one taken out here is gone', async () => {
  await show();
  fireEvent.change(box(), { target: { value: 'dunlin\nturnstone' } });
  preferences = withRight(['dunlin', 'knot', 'whimbrel']);
  fireEvent.click(screen.getByText('Save these words'));
  await waitFor(() => expect(right()).toEqual(['dunlin', 'turnstone', 'whimbrel']));
  await waitFor(() => expect(box().value).toBe('dunlin\nturnstone\nwhimbrel'));
});

test('what is typed on while words are saved stays', async () => {
  await show();
  fireEvent.change(box(), { target: { value: 'dunlin\nknot\nruff' } });
  fireEvent.click(screen.getByText('Save these words'));
  fireEvent.change(box(), { target: { value: 'dunlin\nknot\nruff\ngodwit' } });
  await waitFor(() => expect(right()).toEqual(['dunlin', 'knot', 'ruff']));
  await waitFor(() => expect(screen.getByText('Save these words')).toHaveProperty('disabled', false));
  expect(box().value).toBe('dunlin\nknot\nruff\ngodwit');
});

test('to have spelling marked no more takes none of the words away that were added elsewhere', async () => {
  await show();
  preferences = withRight(['dunlin', 'knot', 'whimbrel']);
  await userEvent.click(screen.getByRole('checkbox', { name: /^Mark words/ }));
  await waitFor(() =>
    expect(preferences.spelling).toEqual({ right: ['dunlin', 'knot', 'whimbrel'], isOff: true }),
  );
});
