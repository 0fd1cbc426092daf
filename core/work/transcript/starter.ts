import type { StarterText } from '../kind';

/** Ten marks and lines for who writes down what was said. */
export const TRANSCRIPT_STARTER: StarterText = {
  id: 'starter-transcripts',
  name: 'Starter transcript marks',
  about: 'Marks for what cannot be heard, turns of speakers, a heading.',
  notation: `
title: Inaudible
purpose: Words that cannot be made out
cue: in

== wording Main: en-GB

\\[inaudible\\]
====
title: Inaudible at a time
purpose: Words that cannot be made out, with their time
cue: it

field Time: text
  question: At what time?
  hint: 00:12:30

== wording Main: en-GB

\\[inaudible {Time}\\]
====
title: Heard so
purpose: A word that may be wrong
cue: hs

field Word: text
  question: What does it sound like?

== wording Main: en-GB

\\[{Word}?\\]
====
title: Laughter
purpose: Somebody laughs
cue: la

== wording Main: en-GB

\\[laughter\\]
====
title: Pause
purpose: A long silence
cue: pa

== wording Main: en-GB

\\[pause\\]
====
title: Both speak
purpose: Two people speak at once
cue: bo

== wording Main: en-GB

\\[both speak\\]
====
title: Interrupted
purpose: A sentence that is broken off
cue: br

== wording Main: en-GB

—
====
title: Interviewer
purpose: A turn of who asks
cue: iv

== wording Main: en-GB

**Interviewer:** [caret]
====
title: Speaker
purpose: A turn of somebody named
cue: sp

field Speaker: text
  question: Who speaks?
  offer last answer

== wording Main: en-GB

**{Speaker}:** [caret]
====
title: Heading
purpose: The head of a transcript
cue: he

field Who: text
  question: Who was recorded?

field Day: date
  question: When was it recorded?

field Place: text
  question: Where?
  optional

field Verbatim: choice
  question: How was it written down?
  option: word for word
  option: without hesitations
  option: as a summary

== wording Main: en-GB

**Recording of {Who}**

Recorded on {Day}[when ("Place" is answered):  at {Place}]. Written down {Verbatim}.
`,
};
