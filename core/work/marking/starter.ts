import type { StarterText } from '../kind';

/** Ten short phrases for plans, maps and forms. */
export const MARKING_STARTER: StarterText = {
  id: 'starter-markings',
  name: 'Starter markings',
  about:
    'Findings that count by themselves, counts, measures, what is missing: short phrases to put on a page.',
  notation: `
title: Finding, numbered
purpose: A finding of an inspection; findings count by themselves
cue: fi

field What: text
  question: What was found?

== wording Main: en-GB joins=as-is

[number Findings | 1 | n1] {What}
====
title: In good order
purpose: Nothing is to be done
cue: ok

== wording Main: en-GB joins=as-is

in good order
====
title: To be mended
purpose: Something is broken
cue: me

field Day: date
  question: By which day?

== wording Main: en-GB joins=as-is

to be mended by {Day|day-month}
====
title: Missing
purpose: Something should be there
cue: mi

field What: text
  question: What is missing?

== wording Main: en-GB joins=as-is

{What} missing
====
title: Measured
purpose: A measure taken here
cue: ms

field Measure: number
  question: How many centimetres?
  unit: cm

== wording Main: en-GB joins=as-is

{Measure|no-unit} cm
====
title: Counted
purpose: So many were counted here
cue: co

field Count: number
  question: How many?

field What: text
  question: Of what?

== wording Main: en-GB joins=as-is

{Count} {What}
====
title: Way out
purpose: A way out in a fire
cue: wo

== wording Main: en-GB joins=as-is

way out
====
title: See the photograph
purpose: A photograph shows more
cue: ph

field Number: number
  question: Which photograph?

== wording Main: en-GB joins=as-is

photograph {Number}
====
title: Checked
purpose: Somebody was here on a day
cue: ch

field Day: date
  question: On which day?
  starting today
  optional

== wording Main: en-GB joins=as-is

checked {Day|short}
====
title: Ask about this
purpose: Somebody is to be asked
cue: as

field Who: text
  question: Who is to be asked?

== wording Main: en-GB joins=as-is

ask {Who}
`,
};
