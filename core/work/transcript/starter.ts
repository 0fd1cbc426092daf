import type { StarterText } from '../kind';

/** Ten marks and lines for who writes down what was said. */
export const TRANSCRIPT_STARTER: StarterText = {
  id: 'starter-transcripts',
  name: 'Starter transcript marks',
  about: 'Marks for what cannot be heard or is heard besides, a heading.',
  notation: `
title: Inaudible
purpose: Words that cannot be made out
cue: in

== wording Main: en-GB

\\[inaudible [time unclear]\\]
====
title: Time here
purpose: Where in the recording this is said
cue: it

== wording Main: en-GB

\\[[time]\\]
====
title: Heard so
purpose: A word that may be wrong
cue: hs

field Word: text
  question: What does it sound like?

== wording Main: en-GB

\\[{Word}? [time unclear]\\]
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

\\[both speak [time unclear]\\]
====
title: Interrupted
purpose: A sentence that is broken off
cue: br

== wording Main: en-GB

—
====
title: Recording broken off
purpose: The recording stops, and goes on elsewhere
cue: st

== wording Main: en-GB

\\[the recording stops\\]
====
title: Somebody comes in
purpose: Another person is heard to come or go
cue: ci

field Who: text
  question: Who?
  offer last answer

== wording Main: en-GB

\\[{Who} comes in\\]
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
