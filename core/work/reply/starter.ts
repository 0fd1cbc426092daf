import type { StarterText } from '../kind';

/** Ten pieces of replies to people who write in. */
export const REPLY_STARTER: StarterText = {
  id: 'starter-replies',
  name: 'Starter replies',
  about: 'From the greeting to the signature.',
  notation: `
title: Greeting
purpose: The first line of a reply
cue: gr

field Name: detail customer

== wording Main: en-GB

Dear {Name},
====
title: Thank you for writing
purpose: The first sentence
cue: ty

field About: text
  question: What did they write about?

== wording Main: en-GB

Thank you for writing to us about {About}.
====
title: Sorry for the wait
purpose: An answer that comes late
cue: wa

== wording Main: en-GB

I am sorry that you have had to wait for an answer.
====
title: Need to know
purpose: Something has to be asked first
cue: nk

field What: text
  question: What do we need to know?

== wording Main: en-GB

So that we can help, please tell us {What}.
====
title: Passed on
purpose: A colleague will answer
cue: po

field Who: text
  question: To whom was it passed on?

field Days: number
  question: Within how many working days?
  unit: working day|working days
  least: 1

== wording Main: en-GB

I have passed your message on to {Who}, who will answer within {Days|words}.
====
title: Not ours
purpose: Somebody else can help
cue: no

field Who: text
  question: Who can help?

== wording Main: en-GB

This is not something we can do ourselves. {Who} can help you with it.
====
title: Appointment
purpose: A day and a time
cue: ap

field Day: date
  question: On which day?

field Time: time
  question: At what time?

== wording Main: en-GB

You can come on {Day|weekday} at {Time}.
====
title: Attached
purpose: Something goes along with the reply
cue: at

field What: text
  question: What is attached?

== wording Main: en-GB

You will find {What} attached.
====
title: Anything else
purpose: The last sentence
cue: an

== wording Main: en-GB

If there is anything else, please write to me again.
====
title: Signed
purpose: The end of a reply
cue: si

field Me: writer name

field Job: writer job

== wording Main: en-GB

Yours sincerely,
{Me}
{Job}
`,
};
