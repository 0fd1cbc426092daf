import type { StarterText } from '../kind';

/** Ten entries for notes about patients: each asks for what is found, and asserts nothing of its own. */
export const ADMISSION_STARTER: StarterText = {
  id: 'starter-ward-notes',
  name: 'Starter ward notes',
  about: 'What one writes on a round. Every finding is asked for; nothing is asserted.',
  notation: `
title: Looked at today
purpose: The first line of a round
cue: lk

field Name: detail name

field Alertness: choice
  question: How alert?
  option: alert
  option: quiet
  option: drowsy
  other words

== wording Main: en-GB

{Name} was looked at today and is {Alertness}.
====
title: Weight
purpose: The last weight, with its day
cue: wt

field Weight: detail weight

== wording Main: en-GB

Weight {Weight|dated}.
====
title: Weight and how it changed
purpose: A new weight beside the one before
cue: wc

field Now: number
  question: What does it weigh now?
  unit: g
  least: 0

field Before: detail weight

field Change: computed
  change: Before to Now as amount
  unit: g

== wording Main: en-GB

Weight {Now}, a change of {Change} since {Before|dated}.
====
title: Eaten
purpose: What was offered and what was eaten
cue: ea

field Offered: text
  question: What was offered?

field Eaten: choice
  question: How much was eaten?
  option: all of it
  option: about half
  option: very little
  option: nothing

== wording Main: en-GB

Offered {Offered}; ate {Eaten}.
====
title: Temperature
purpose: A temperature that was taken now
cue: te

field Temperature: number
  question: What was the temperature?
  unit: °C
  decimals: 1
  least: 20
  most: 45

== wording Main: en-GB

Temperature {Temperature}.
====
title: Wound
purpose: Where, how large, and what was done
cue: wo

field Place: text
  question: Where is it?

field Size: number
  question: How long is it?
  unit: mm
  least: 0

field Done: choice
  question: What was done?
  several
  option: cleaned
  option: flushed with warm saline
  option: dressed
  other words

== wording Main: en-GB

Wound at {Place}, {Size}; {Done}.
====
title: Medicine given
purpose: What was given, how much and how
cue: md

field Medicine: text
  question: Which medicine?

field Amount: text
  question: How much?

field Way: choice
  question: How was it given?
  option: by mouth
  option: under the skin
  option: into the muscle
  other words

== wording Main: en-GB

Gave {Medicine}, {Amount} {Way}.
====
title: Look again
purpose: When to look at it again
cue: la

field Days: number
  question: In how many days?
  unit: day|days
  least: 1

field Day: computed
  moved: Days days from today

== wording Main: en-GB

To be looked at again on {Day|weekday}.
====
title: Handed over
purpose: To whom the case was handed on, and what to watch
cue: ho

field To: text
  question: To whom?

field Watch: text
  question: What is to be watched?

== wording Main: en-GB

Handed over to {To}. To watch: {Watch}.
====
title: Plan
purpose: What comes next, as a list
cue: pl

field First: text
  question: What comes first?

field Then: text
  question: What comes then?
  optional

field Last: text
  question: And last?
  optional

== wording Main: en-GB

Plan:

- {First}
- {Then}
- {Last}
`,
};
