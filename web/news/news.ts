/** Something that members can do since a day, and where. */
interface News {
  /** Counts up: what a member has seen is told by the number of the last. */
  number: number;
  day: string;
  title: string;
  words: string;
  /** Where it is found: a screen, or words for those found within one. */
  at: { label: string; to: string };
}

/** What is new, newest first. Something that changes how people work is written here with it. */
export const NEWS: readonly News[] = [
  {
    number: 41,
    day: '2026-12-02',
    title: 'What you began to type stays',
    words:
      'A note on an entry that you leave with Escape is there when you open it again. What you type into your own details stays while they are saved, and preferences changed on two computers at once are both kept. Where a column of a batch has more values than rules are made for, you are told.',
    at: { label: 'Your account', to: '/account' },
  },
  {
    number: 40,
    day: '2026-12-01',
    title: 'Your keys go on, and more comes back with Undo',
    words:
      'Press a button that removes its line, and your keys go on with what comes after it. A file taken out of a tray and a term removed from a glossary come back with Undo. A file that is being sent when the connection breaks is sent again by itself, and files of a tray that a script renamed are recognised.',
    at: { label: 'The desk', to: '/' },
  },
  {
    number: 39,
    day: '2026-12-01',
    title: 'Two who change a batch or its rules at once',
    words:
      'Both changes now hold: of the rules for records, of a batch and of other settings each item is put together by itself, and you are asked only where both of you changed the same one. Your finished texts can be downloaded however long and alike their titles are.',
    at: { label: 'Rules for records', to: '/record-rules' },
  },
  {
    number: 38,
    day: '2026-12-01',
    title: 'A wording that was removed is back with Undo',
    words:
      'Remove a wording of an entry, or a part of one, and Undo is beside it. House style, groups, glossaries and the rules for records now follow what a colleague changes while you write, and ask where you both changed the same.',
    at: { label: 'The bank', to: '/bank' },
  },
  {
    number: 37,
    day: '2026-12-01',
    title: 'Check doses that are rounded, and limits below zero',
    words:
      'Typed key by key, “rounded to 0.05” in a dose by weight was saved as 5, and a limit or number of −50 as 50. Numbers are now saved as they are typed. If you look after entries with such a calculation or condition, please check them once.',
    at: { label: 'The bank', to: '/bank' },
  },
  {
    number: 36,
    day: '2026-12-01',
    title: 'A leaf that is open twice goes on in both windows',
    words:
      'Written on in one window, or at another computer, a leaf shows it in the other a moment later, with your caret and your undo as they were; finished in one, it is finished in both. Only where something is written in both before either is saved are you asked which to keep.',
    at: { label: 'The desk', to: '/' },
  },
  {
    number: 35,
    day: '2026-11-30',
    title: 'More on pages that are marked',
    words:
      'On a page that is marked, words are found on all its pages and in the markings; what others remarked in the file is answered; what colleagues marked is shown, and taken over; markings are lined up, copied to pages named by their numbers, and those of one entry changed at once. Two fingers enlarge the page, and the list can be written in as a text of its own.',
    at: { label: 'The desk', to: '/' },
  },
  {
    number: 34,
    day: '2026-11-30',
    title: 'Plans and maps are marked',
    words:
      'Another kind of work, Page markings: short phrases are put where you point on a PDF or a picture, by cue, with blanks and numbers that renew themselves, in colours, framed, led to a place by an arrow or a bracket. They go out as annotations that other readers show and change, drawn into the page, as a picture or as a list.',
    at: { label: 'The desk', to: '/' },
  },
  {
    number: 33,
    day: '2026-11-30',
    title: 'Scans get their names',
    words:
      'A new kind of work, File names: a folder of scans, or files that you drop, is named line by line. Entries that a file mentions, its dates and numbers are offered by keys; names that some system does not take are told while you type. The files stay on your computer: they are renamed in their folder, by a script or as an archive, and it can be undone. Page Up and Page Down move any date by a month.',
    at: { label: 'The desk', to: '/' },
  },
  {
    number: 32,
    day: '2026-11-30',
    title: 'Offers, files and names on other pages',
    words:
      'The companion offers entries once you type a lead-in, and puts the files of an entry into the page’s own box for files. A wording can be for one page only: “@night” in a chat, where a letter says “the night team”. Every entry that has it within it follows.',
    at: { label: 'Write an entry', to: '/bank/new' },
  },
  {
    number: 31,
    day: '2026-11-30',
    title: 'Work goes on without a connection',
    words:
      'Elderleaf opens when the server or the network is gone: with the bank, the cases you opened and your drafts. Leaves and entries you make meanwhile are sent when it is back. This computer shows what is saved where. Your browser can install Elderleaf as an application.',
    at: { label: 'This computer', to: '/this-computer' },
  },
  {
    number: 30,
    day: '2026-11-30',
    title: 'Your cues on other pages',
    words:
      'The companion, an extension of the browser, brings entries into mail, course boards, chats and record systems: by the same cues, with their blanks, subject and message each into its box. It reads the bank alone; what you type stays on its page.',
    at: { label: 'Your account', to: '/account' },
  },
  {
    number: 29,
    day: '2026-11-29',
    title: 'Backups: compare one with today, and bring back what you need',
    words:
      'A backup is made each day, and before a file is brought in or many entries change. Compare one with today: what is missing, changed or new in the collections you keep, and in your own texts. Tick what should come back as it was; Undo takes it back again. Owners make and download backups, and see how full the server is. Your finished texts can be downloaded together on the page of your account.',
    at: { label: 'Backups', to: '/backups' },
  },
  {
    number: 28,
    day: '2026-11-29',
    title: 'Bring in what you have: tables, documents and lists',
    words:
      'Drop a table of comments, a document of stock answers or a list of abbreviations, or paste one. Its layout and columns are recognised, signs such as [name] become fields, personal details are pointed out, and you see what each entry becomes, and what is like one of yours. All of it comes as one act, which you can undo days later.',
    at: { label: 'Bring in a file', to: '/bank/bring-in' },
  },
  {
    number: 27,
    day: '2026-11-29',
    title: 'Batches: a letter for each row of a table',
    words:
      'Drop a table (xlsx, CSV, or paste one) on the desk, say which decision gets which letter, and check the letters one by one: Enter goes on, H holds one back, W writes on one by hand, which it keeps when the wording changes. They go out by mail at your pace, as Word documents or PDF, on paper, or as message files, each once; what went where is a table. In the queue X ticks enquiries, to write one letter to each.',
    at: { label: 'The desk', to: '/' },
  },
  {
    number: 26,
    day: '2026-11-29',
    title: 'The pocket: the bank beside chats, calls and other programs',
    words:
      'A small window with a text of its own: type a cue or look wording up, answer its blanks, and Alt + Enter copies it, with its formatting or plain; where a wording has a subject, that comes first and the message with the next press. Where the browser can, it stays on top of other windows. It can fill in from the case that you have open, and works while the connection is down.',
    at: { label: 'Pocket', to: '/pocket' },
  },
  {
    number: 25,
    day: '2026-11-29',
    title: 'A queue of enquiries for the whole team',
    words:
      'Messages wait in one queue, who waits longest first: from a mailbox, which whoever runs the server can set, and those you drop on the desk. T takes the selected one and opens its leaf; the others see at once that you answer it. Put it back, pass it on with a message, put it off to a day, join it with another of the same sender, or leave a note for colleagues. A message that answers another belongs to the same enquiry, and the same message comes in once.',
    at: { label: 'Queue', to: '/queue' },
  },
  {
    number: 24,
    day: '2026-11-29',
    title: 'Replies are sent from their leaf, and can be taken back',
    words:
      'Beneath the message are To, Cc and Subject, filled in from who asked; a wording with a part called Subject fills that too. Alt + Enter sends. A letter with a gap stays, and so does one that names somebody else, speaks of an attachment that is not there, or says what your house style avoids, until you say that it is right. It waits ten seconds (the outbox has the setting), in which F9 takes it back. Without a mail server letters are kept in the outbox, to be downloaded.',
    at: { label: 'Outbox', to: '/outbox' },
  },
  {
    number: 23,
    day: '2026-11-29',
    title: 'A glossary says which letters find its terms',
    words:
      'Whoever keeps a glossary chooses whether its terms are found by their first letters, by the initials of a phrase, by their consonants, or by their cues alone: a long list of names need not push in where two letters are typed.',
    at: { label: 'Glossaries', to: '/glossaries' },
  },
  {
    number: 22,
    day: '2026-11-29',
    title: 'Messages are dropped on the desk and answered beneath',
    words:
      'Drop an email message (.eml) on your desk: it becomes an enquiry, with its sender, subject and language in the record and what came along among its files. The message is shown above your reply, earlier ones and its signature folded; pictures from elsewhere are never fetched. The entries nearest to it are listed with the words they share: Alt + . places the first. Select words of the message and press Alt + T to quote them.',
    at: { label: 'Desk', to: '/' },
  },
  {
    number: 21,
    day: '2026-11-29',
    title: 'Spelling is checked; small words come by their first letters',
    words:
      'Words that neither the dictionary, nor a glossary, nor the record of the case knows are marked while you write; nothing you write is sent anywhere for it. Alt + - goes from one to the next with what was likely meant: Enter changes it, or say that it is right for you, or save it in a glossary for everybody. British English comes along; whoever runs the server can add dictionaries for other languages. Small words that go together are offered by their first letters, in English and Welsh: hw for “he was”, twn for “that was not”, wnh for “wasn’t he”; what you take comes first the next time. A glossary can have families of its own: {the swan|the gull} {was|is}.',
    at: { label: 'Glossaries', to: '/glossaries' },
  },
  {
    number: 20,
    day: '2026-11-29',
    title: 'Transcripts: names of one recording, fillers, a pedal on the screen',
    words:
      'Alt + ] keeps a name for the recording you write down: it is offered there alone, with the speakers and what the case knows. Put a term right once, and its like is shown to be changed. “Clean or verbatim” (F2) shows fillers and false starts, and leaves what you mark out of what goes out; “Dictated marks” writes “full stop” and “comma” as they are meant. Several who have a case can write down a part each, read what the others have and put it together by time. Groups of speakers are kept for recordings to come, and their keys print as a card. A pedal by MIDI or USB can be taught, and the on-screen pedal works from another window or a phone.',
    at: { label: 'On-screen pedal', to: '/pedal' },
  },
  {
    number: 19,
    day: '2026-11-29',
    title: 'Transcripts: who speaks, when, and what cannot be heard',
    words:
      "Name the speakers of a recording once. Alt + Enter begins a turn of whoever is likely to speak next, with its label and time; Alt + T and a letter begins anybody’s. Labels are no text: rename a speaker, merge two or change the style, and every turn follows. Alt + H puts a time into the text; what is unclear is listed and heard again by Alt + '. First drafts come in as WebVTT, SRT, text or docx; transcripts go out as docx, WebVTT, SRT, Markdown and text.",
    at: { label: 'Desk', to: '/' },
  },
  {
    number: 18,
    day: '2026-11-28',
    title: 'Recordings, heard while you write them down',
    words:
      'Drop a recording on the desk, or take one in on the leaf of its case: it plays at the head of the leaf. Alt + . plays, or pauses and goes back a little; Alt + , and Alt + / go back and on three seconds; Alt + Z and Alt + V are slower and faster, with the voice as high as it was; Alt + E repeats a stretch. All of them work in the middle of a word. Where you were is remembered.',
    at: { label: 'Desk', to: '/' },
  },
  {
    number: 17,
    day: '2026-11-28',
    title: 'PDF submissions',
    words:
      'A submission may be a PDF: its words are read as paragraphs, and the very file goes back with your comments on its words, as every reader shows them. A scan is shown page by page, and each page can be commented. Show pages shows the pages as they look. A document dropped on the desk can be commented on at once. Submissions of one assignment are one line of the desk.',
    at: { label: 'Desk', to: '/' },
  },
  {
    number: 16,
    day: '2026-11-28',
    title: 'Criteria, signs and the class',
    words:
      'Criteria of an assignment can have levels with points; choosing one brings its words to the summing-up, and the tally at the head of a submission counts praise and faults. An entry says on its page which criterion it belongs to, what it counts as, and what to look for: Alt + . walks the places where it would fit. A short wording takes the place of the whole when something is said a second time. The page of an assignment shows the commonest slips, also over the term, and makes a leaf to the class.',
    at: { label: 'New assignment', to: '/assignments/new' },
  },
  {
    number: 15,
    day: '2026-11-28',
    title: 'Comments on submissions, for one and for a class',
    words:
      'A submission (Word, OpenDocument, Markdown, text) is read on the leaf: type a cue, and the comment appears beside the sentence at the cursor or the words you selected. What you say a second time points back to the first. Assignments take in the files of a class, each for its person. Comments go back in the very file that was handed in, one by one or as a zip. Colleagues who share an assignment see each other’s comments.',
    at: { label: 'New assignment', to: '/assignments/new' },
  },
  {
    number: 14,
    day: '2026-11-28',
    title: 'Find and change in a draft; how long a text may be; how you bring wording',
    words:
      'Alt + G finds words of a draft as they read, and changes one or all of them. Owners say how many words or characters a kind of work has at most; its leaves then count. Usage compares the ways you bring wording: its cue, its keys, an offer, the look-up, a click. The sheet shows the words of an entry within another. A condition is edited level with its words.',
    at: { label: 'Usage', to: '/usage' },
  },
  {
    number: 13,
    day: '2026-11-28',
    title: 'Format, symbols and tables; what is usual here; answers offered as you type',
    words:
      'Format, at the head of a leaf and above a wording, lists every way to form a text with its key, tables and symbols by name. Beside a leaf stands what usually comes next, and all wording by collection. Terms are offered inside blanks; Alt + S answers with the words you selected. Today, the writer or a detail of the case is one pick from the Blank menu. Words dragged to the margin are saved as an entry; an entry dragged onto a collection moves there.',
    at: { label: 'Keys', to: '/keys' },
  },
  {
    number: 12,
    day: '2026-11-28',
    title: 'Records from record systems; the record in one line',
    words:
      'Files of a record system (FHIR R4) bring allergies, immunisations, reports and more; the same patient again is brought up to date. The record is one line at the head of a leaf: Alt + C opens it. Wordings ask for the highest, lowest, mean or change of anything measured. Owners set what is due, usual and old. A finished note is downloaded for a record system.',
    at: { label: 'Rules for records', to: '/record-rules' },
  },
  {
    number: 11,
    day: '2026-11-27',
    title: 'Several texts on a leaf; files with an entry; other details to sign with',
    words:
      'Texts, at the head of a leaf, adds a letter, a summary or any other text to it; each is copied by itself. Files added to an entry are attached wherever it is placed. Your account holds other sets of details, for another role or address. A case can be taken back. A zip dropped on the desk is taken file by file.',
    at: { label: 'Your account', to: '/account' },
  },
  {
    number: 10,
    day: '2026-11-27',
    title: 'Files with a case; starter collections',
    words:
      'Add files, at the head of a leaf, saves pictures, sound, tables and any other file with its case; so does dropping them on the desk. Fill in from the clipboard takes details from another program. Starter collections, symbols among them, can be added to your bank.',
    at: { label: 'Starter collections', to: '/bank/shelf' },
  },
  {
    number: 9,
    day: '2026-11-27',
    title: 'Several leaves in a case; documents dropped on the desk',
    words:
      'Another leaf, or a copy of this one, is at the head of each leaf; what was confirmed is asked again on a copy. Word documents, Markdown and text dropped on the desk begin leaves. Correct the record takes weights, medicines and problems too.',
    at: { label: 'The desk', to: '/' },
  },
  {
    number: 8,
    day: '2026-11-27',
    title: 'Begin without a file; put a record right',
    words:
      'New leaf asks nothing, and is called by what you write. New case takes a title and what else you know of it. Correct the record at the head of a leaf: the blanks that rest on it follow. A case is renamed, given on and closed. The sheet is as you left it when you come back, and shows what is within a collection.',
    at: { label: 'The desk', to: '/' },
  },
  {
    number: 7,
    day: '2026-11-27',
    title: 'Cues that say more, long choices, undo that stays',
    words:
      'Each collection says what its new cues are made from. A cue that also brings another entry offers it, and one that is out of reach says so on the leaf. A choice of many options is found by typing, and lists are pasted as options. What you save from a leaf is checked for its cue, house style and findings. An undo of many entries stays on every page.',
    at: { label: 'Cues', to: '/cues' },
  },
  {
    number: 6,
    day: '2026-11-26',
    title: 'The sheet, printed and filtered; house style; practice',
    words:
      'The sheet is filtered by tag, language, use and more, changed in place, copied as a table, and printed with its cues. Words that you settle on are pointed out, a term is changed everywhere in one act, what goes out of date gets a review date, and two minutes of practice teach the cues that you look up.',
    at: { label: 'House style', to: '/order/words' },
  },
  {
    number: 5,
    day: '2026-11-26',
    title: 'Tidy the bank',
    words:
      'Entries that say nearly the same are found in the whole bank, with what differs marked and how often each is used, and merged in one act that can be taken back. What is typed again and again becomes an entry, and somebody’s details in shared wording become fields.',
    at: { label: 'Tidy the bank', to: '/order' },
  },
  {
    number: 4,
    day: '2026-11-26',
    title: 'A collection goes to another team as a file',
    words:
      'Its keeper saves it as a file. The other team sees first what differs and which cues are taken, and chooses one by one.',
    at: { label: 'Bring in a file', to: '/bank/bring-in' },
  },
  {
    number: 3,
    day: '2026-11-26',
    title: 'A bank of any size',
    words:
      'Of a large bank a part is loaded, and its cues fire. The sheet and the look-up reach all the rest, misspelt words too; Alt and R on a leaf switches a collection on by name.',
    at: { label: 'The bank', to: '/bank' },
  },
  {
    number: 2,
    day: '2026-11-25',
    title: 'Two at once, and nothing lost',
    words:
      'You see who else has an entry open. The second to save puts both changes together. A draft that holds an older wording says so, and takes the new one over with your answers and what you changed by hand.',
    at: { label: 'The desk', to: '/' },
  },
  {
    number: 1,
    day: '2026-11-25',
    title: 'Proposals, notes and variations',
    words:
      'Where you may not change an entry you may propose how, note a fault from the midst of your work, or use a variation of your own in its place.',
    at: { label: 'Proposals and notes', to: '/proposals' },
  },
];
