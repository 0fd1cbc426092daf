import type { StarterText } from '../kind';

/** Ten names of files that come again and again, each with its day in front so that they sort. */
export const NAMING_STARTER: StarterText = {
  id: 'starter-names',
  name: 'Starter file names',
  about: 'Bills, statements, letters, minutes: the day in front, then what it is.',
  notation: `
title: Bill
purpose: Somebody asks for money
cue: bi

field Date: date
  question: Of which day is it?

field Sender: text
  question: Who is it from?

field Number: text
  question: Which number does it bear?
  optional

== wording Main: en-GB joins=as-is

{Date|iso} {Sender} bill {Number}
====
title: Statement of a month
purpose: It comes in the month after the one that it is of
cue: st

field Date: date
  question: Of which day is it?

field Month: computed
  moved: -1 months from Date

field Sender: text
  question: Who is it from?

== wording Main: en-GB joins=as-is

{Month|iso} {Sender} statement
====
title: Letter
purpose: Somebody wrote
cue: le

field Date: date
  question: Of which day is it?

field Sender: text
  question: Who is it from?

field Subject: text
  question: What is it about?

== wording Main: en-GB joins=as-is

{Date|iso} Letter from {Sender}, {Subject}
====
title: Contract
purpose: Something was agreed
cue: co

field Date: date
  question: On which day does it begin?

field With: text
  question: With whom?

field Subject: text
  question: About what?

== wording Main: en-GB joins=as-is

{Date|iso} Contract with {With}, {Subject}
====
title: Receipt
purpose: Something was paid
cue: re

field Date: date
  question: On which day was it paid?

field Sender: text
  question: To whom?

field What: text
  question: What for?

== wording Main: en-GB joins=as-is

{Date|iso} {Sender} receipt, {What}
====
title: Minutes
purpose: What was said at a meeting
cue: mi

field Date: date
  question: When was it?

field Meeting: text
  question: Which meeting?

== wording Main: en-GB joins=as-is

{Date|iso} Minutes, {Meeting}
====
title: Report
purpose: Something was looked into
cue: rp

field Date: date
  question: Of which day is it?

field Subject: text
  question: What is it about?

field Author: text
  question: Who wrote it?

== wording Main: en-GB joins=as-is

{Date|iso} Report on {Subject}, {Author}
====
title: Form filled in
purpose: A form that somebody filled in
cue: fo

field Date: date
  question: Of which day is it?

field Form: text
  question: Which form?

field Person: text
  question: Who filled it in?

== wording Main: en-GB joins=as-is

{Date|iso} {Form}, {Person}
====
title: Picture
purpose: A photograph
cue: pi

field Date: date
  question: When was it taken?

field What: text
  question: What does it show?

field Place: text
  question: Where?

== wording Main: en-GB joins=as-is

{Date|iso} {What}, {Place}
====
title: Certificate
purpose: Somebody has learnt or passed something
cue: ce

field Date: date
  question: Of which day is it?

field Person: text
  question: Whose is it?

field What: text
  question: For what?

== wording Main: en-GB joins=as-is

{Date|iso} Certificate, {Person}, {What}
`,
};
