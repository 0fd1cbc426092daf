import type { StarterText } from '../kind';

/** Ten comments on a piece of work: each names what it speaks of, and says what to do next. */
export const FEEDBACK_STARTER: StarterText = {
  id: 'starter-feedback',
  name: 'Starter comments',
  about: 'Comments beside a passage, a next step, a summing-up.',
  notation: `
title: Well observed
purpose: Praise with its reason
cue: wo
counts as praise: Evidence

field What: text
  question: What was observed well?

== wording Main: en-GB

You saw {What} closely, and it shows.
====
title: Say how you know
purpose: A claim without evidence
cue: ev
counts as fault: Evidence
sign words: clearly, obviously, proves

== wording Main: en-GB

How do you know? Give the count, the place or the source.
====
title: Be exact
purpose: A vague word where a figure belongs
cue: ex
counts as fault: Evidence
sign words: many, several, often, "a lot of"

field Word: text
  question: Which word is vague?

== wording Main: en-GB

“{Word}” can mean many things. Say how many, how large or how long.
====
title: Unclear
purpose: A sentence that has to be read twice
cue: un
counts as fault: Writing
sign long-sentence: 40

== wording Main: en-GB

I had to read this twice. Try it as two sentences.
====
title: Order
purpose: Something stands in the wrong place
cue: or
counts as fault: Structure

field Where: choice
  question: Where does it belong?
  option: to the beginning
  option: to the method
  option: to the results
  option: to the conclusion

== wording Main: en-GB

This belongs {Where}.
====
title: Source
purpose: A source is missing
cue: so
counts as fault: Sources
sign: quotation-without-source

== wording Main: en-GB

Name your source here, with its year.
====
title: Table or picture
purpose: Figures in running words
cue: ta
counts as fault: Structure

field Kind: choice
  question: What would show it better?
  option: a table
  option: a chart
  option: a map

== wording Main: en-GB

These figures would be quicker to read as {Kind}.
====
title: Next step
purpose: One thing to work on next time
cue: nx

field Step: text
  question: What is the one thing?

== wording Main: en-GB

For next time: {Step}.
====
title: Summing-up
purpose: The end of a comment on the whole
cue: su

field Good: text
  question: What was best?

field Mend: text
  question: What matters most to mend?

== wording Main: en-GB

What works best is {Good}. What matters most to mend is {Mend}.
====
title: See me
purpose: An invitation to talk
cue: se

field Day: date
  question: On which day?

field Time: time
  question: At what time?

== wording Main: en-GB

Let us talk about it on {Day|weekday} at {Time}.
`,
};
