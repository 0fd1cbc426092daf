import { useLocation } from 'react-router';
import { Figure, SECOND_WAYS } from '../shell';
import { Key } from '../ui';

const GROUPS: { title: string; keys: [string, string][] }[] = [
  {
    title: 'Everywhere',
    keys: [
      ['F2', 'The look-up: any word of the bank, or something to do'],
      ['?', 'This page, where nothing is being written'],
    ],
  },
  {
    title: 'Writing on a leaf',
    keys: [
      [
        'a cue',
        'Brings its wording: some cues as soon as they are typed, some on Space, Enter, Tab or punctuation',
      ],
      ['Backspace', 'Right after wording came: gives back what you typed'],
      ['F4', 'Saves the selected words as an entry'],
      ['F8', 'Goes to the next gap, from anywhere in the draft'],
      ['F9', 'Finishes the draft, or walks you through its gaps'],
      ['Ctrl + Enter', 'Confirms the statement at the cursor, and goes to the next one'],
      ['Alt + J', 'Takes the first offer; Alt with K, L, ; and U, I, O, P, N takes the others'],
      ['first letters', 'Of small words that go together: hw offers “he was”, twn “that was not”'],
      ['Alt + Down', 'Goes into the list of offers: Up, Down, then Enter takes one, Escape leaves'],
      ['Alt + M', 'Saves the selected words, or the word before the cursor, in a glossary'],
      ['Alt + Y', 'Lists the questions of the leaf beside it, answered ones ticked'],
      ['Alt + C', 'Opens the record at the head of the leaf, and folds it'],
      ['Alt + B', 'Goes to the margin; Escape comes back'],
      ['Alt + G', 'Finds and changes words of this draft'],
      [
        'Alt + -',
        'Goes to the next word that no dictionary and no glossary knows, and what was likely meant',
      ],
      ['Alt + R', 'Switches collections and glossaries in and out of reach'],
      ['Alt + Shift + Up, Down', 'Moves the paragraph; numbers and references follow'],
      ['Left, Right', 'Step onto a blank and off it again, to change its answer'],
    ],
  },
  {
    title: 'Text commands, once switched on under Glossaries; closed by Space or Enter, called off by Escape',
    keys: [
      ['//erase.2.words', 'At the start of a word: verb, count, unit and way. This deletes two words back'],
      ['//e.2.w', 'The same: each word as short as it is clear'],
      ['verbs', 'go, mark, copy, cut, erase, paste, swap, join, capital'],
      ['units', 'letter, word, sentence, line (between line breaks), paragraph'],
      ['ways', 'back, ahead, up, down; start, end (of the unit)'],
      ['//e', 'What is left out is one, word, back: this deletes the word before'],
    ],
  },
  {
    title: 'On a blank',
    keys: [
      ['1 – 9, a – z', 'Pick a choice by its number or letter'],
      ['Tab', 'Goes to the next blank you are asked about; after the last one, moves on'],
      ['Shift + Tab', 'Goes to the blank before'],
      ['Enter', 'Goes to the next blank; on the last, goes on with the sentence'],
      ['Escape', 'Leaves the blank'],
      ['Alt + S', 'Takes the words selected before; with words selected, answers the next gap with them'],
      ['Down', 'Takes what you answered last for the same person, where that is offered'],
      ['Backspace', 'Takes the answer away'],
    ],
  },
  {
    title: 'On a submission',
    keys: [
      ['letters, a cue', 'Begin a comment on the selected words, or on the sentence at the cursor'],
      ['Enter', 'Begins an empty comment there'],
      ['Alt + Up, Down', 'Step from sentence to sentence; with Shift they select'],
      ['Ctrl + Up, Down', 'Step from paragraph to paragraph; with Shift they select'],
      ['Escape', 'In a comment: goes back to the words it is on'],
      ['Alt + T, Alt + H', 'Go to the next comment, and to the one before'],
      ['Alt + E', 'Puts the comment on other words, or more of them: select, then Enter'],
      ['Alt + Z', 'Says in whole what only points back to another comment'],
      ['Delete', 'Deletes the comment on the words at the cursor'],
      ['Alt + .', 'Goes to the next place where an entry would fit: Enter takes it, Delete ignores it'],
      ['Alt + ,', 'Counts the comment as a fault, as praise, or as neither'],
      ['Alt + /', 'Copies the words of the comment, for a chat'],
      ['Alt + V', 'Goes to the next submission of the assignment'],
    ],
  },
  {
    title: 'On the answer to a message',
    keys: [
      ['Alt + .', 'Places the entry nearest to the message; again, the next one'],
      ['Alt + T', 'Quotes the words selected in the message'],
      ['Alt + Enter', 'Sends the letter; with a gap, or something doubtful, it stays and says so'],
      ['F9', 'Takes the letter back while it waits to go'],
      ['Alt + V', 'Copies the message, for a chat or another program'],
    ],
  },
  {
    title: 'In the queue',
    keys: [
      ['Up, Down', 'Go from enquiry to enquiry'],
      ['T', 'Takes the enquiry and opens its leaf'],
      ['X', 'Ticks the enquiry, to write a letter to each that is ticked'],
    ],
  },
  {
    title: 'In a batch, in the list of letters',
    keys: [
      ['Up, Down', 'Go from letter to letter'],
      ['Enter', 'The letter is checked; the next one that is not comes onto the leaf'],
      ['H', 'Holds the letter back, or no more'],
      ['W', 'Writes on the letter, at its first gap where it has one'],
      ['1 to 9', 'Decides which letter the row gets; 0 leaves it to the rules'],
      ['Alt + Enter, Alt + H', 'Checked, held back, while you write on a letter'],
      ['Alt + V', 'Back to the list'],
    ],
  },
  {
    title: 'On a page that is marked',
    keys: [
      ['Arrows', 'Move the cross along a grid, or the marking that is picked; with Shift by a point'],
      ['A letter', 'Begins a marking at the cross'],
      [
        'Enter',
        'On the page: writes on the picked marking, else begins one; in a marking: done, back to the page',
      ],
      ['Escape', 'From a marking back to the page; on the page: none is picked'],
      ['Alt + T, Alt + H', 'To the next marking, the one before'],
      ['Alt + .', 'The same words again at the cross, with blanks of their own'],
      ['Delete', 'Deletes the picked marking; Ctrl + Z brings it back'],
      ['Page Up, Page Down', 'The page before, the next page'],
      ['Alt + E', 'Lines the picked marking up with another: point at that, or step to it'],
      ['Alt + /', 'Finds words on the pages and in the markings'],
      ['Alt + ,', 'The markings as a list that is written in, and back to the page'],
      ['Alt + Z, Alt + V', 'Larger, smaller; also the wheel with Ctrl, and two fingers'],
    ],
  },
  {
    title: 'On the line of a file that is named',
    keys: [
      ['Enter', 'The name is done: the next file without one'],
      ['Up, Down', 'To the file before or after, with nothing done about this one'],
      ['Tab', 'On an empty line: begins as the name before; else the next blank'],
      ['Alt + J, K, L …', 'Takes what was found in the file: an entry that it names, or a day'],
      ['Down, Up, on a blank', 'Takes the likeliest answer found in the file, then the next'],
      ['Page Up, Page Down, on a day', 'A month before, a month after'],
      ['Alt + Enter', 'Takes the name that is proposed in place of one that some system does not take'],
      ['F4', 'Saves the name, or what is selected of it, as an entry'],
    ],
  },
  {
    title: 'In the pocket',
    keys: [
      ['Alt + Enter', 'Copies the text; with a subject, that first, then the message'],
      ['Alt + N', 'Begins a new text'],
    ],
  },
  {
    title: 'On a recording, while you write',
    keys: [
      ['Alt + .', 'Plays, or pauses and goes back a little'],
      ['Alt + ,', 'Goes back three seconds'],
      ['Alt + /', 'Goes on three seconds'],
      ['Alt + Z, Alt + V', 'Slower, faster'],
      ['Alt + E', 'Repeats a stretch: from here; then to here; then no more'],
      [
        'A pedal, or keys of your own',
        'Taught in the look-up (F2): “Pedal and keys of your own”; a pedal to press in another window: “On-screen pedal”',
      ],
      ['Alt + Enter', 'Begins a turn of whoever is likely to speak next; again, of the one after'],
      ['Alt + T', 'and the key of a speaker: begins a turn of theirs'],
      ['Tab', 'Begins the turn of the speaker whose key or initials are alone on the line'],
      ['Alt + H', 'Puts the time of the recording into the text'],
      ['Alt + [', 'Plays from the turn, or the time, at the cursor'],
      ['Alt + ]', 'Offers the selected words, or the word before the cursor, in this recording alone'],
      ["Alt + '", 'Goes to the next unclear place and plays it from two seconds before'],
    ],
  },
  {
    title: 'On the page of an entry',
    keys: [
      ['F4', 'Makes the selected words a blank, or puts one at the cursor'],
      ['Right', 'At the end of an optional passage: what is typed next always appears'],
      ['Space, Up, Down', 'On the handle of a field or an option: takes it up and moves it'],
      ['F9', 'Saves the entry as a new revision'],
    ],
  },
  {
    title: 'In the look-up',
    keys: [
      ['Up, Down', 'Go through what was found'],
      ['Enter', 'Places it at the cursor or over the selection; off the leaf, opens it'],
      ['Escape', 'Closes the look-up'],
    ],
  },
];

interface Props {
  title: string;
  keys: readonly (readonly [string, string])[];
}

function Group({ title, keys }: Props) {
  return (
    <section className="mt-5">
      <h2 className="section-head">{title}</h2>
      <dl>
        {keys.map(([key, does]) => (
          <div key={key} className="grid grid-cols-[9.5rem_1fr] gap-3 border-b border-hair py-1.5">
            <dt>
              <Key>{key}</Key>
              {SECOND_WAYS[key] && (
                <>
                  {' '}
                  or <Key>{SECOND_WAYS[key]}</Key>
                </>
              )}
            </dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

/** The keys that are live, by where they work. */
export function KeysPage() {
  const here = (useLocation().state as { here?: Props['keys'] } | null)?.here;
  return (
    <Figure
      marginLabel="About the keys"
      margin={
        <p className="mt-6 text-soft">
          Everything here can be done with the mouse as well. Where F keys need another key held, Alt and the
          letter does the same; letters go by their place on the keyboard.
        </p>
      }
    >
      <div className="px-9 py-6 max-[899px]:px-4">
        <h1 className="font-book text-[26px] leading-tight">Keys</h1>
        {here && <Group title="Live on the screen you came from" keys={here} />}
        {GROUPS.map((group) => (
          <Group key={group.title} {...group} />
        ))}
      </div>
    </Figure>
  );
}
